import {
  DEPARTS,
  FENCE_OUTCOMES,
  FIGURE_POINTS,
  HEAD_HEIGHTS,
  LANDINGS,
  LEADS,
  RIDE_DIRECTIONS,
  TAKE_OFFS,
  TRACK_GAITS,
  UNTOLD_QUESTION,
  type PassMark,
  type RecordEvent,
} from '@/core';
import { z } from 'zod';
import { QuestionOnPaper } from './questionPaper';

const Id = z.uuid();
const RowId = z.string().min(1).max(60);
const Place = z.number().int().min(1).max(2000);
const Rein = z.enum(['left', 'right']);
const Direction = z.enum(RIDE_DIRECTIONS);
const AtMs = z.number().int().min(0).max(8.64e15);

export const MAX_NOTE_LENGTH = 500;
/** A recorded track is kept with at most so many places. */
export const MOST_PATH_POINTS = 400;

const Metres = z.number().min(-50).max(250);
const OnSand = z.strictObject({ xM: Metres, yM: Metres });

const kind = <Kind extends string, Shape extends z.ZodRawShape>(name: Kind, shape: Shape) =>
  z.strictObject({ id: Id, kind: z.literal(name), ...shape });

/** One mark as it is sent and kept. */
export const MarkOnPaper = z.discriminatedUnion('kind', [
  kind('footfall', { place: Place.nullable(), fraction: z.number().min(0).max(1) }),
  kind('hit', { place: Place }),
  kind('note', { words: z.string().trim().min(1).max(MAX_NOTE_LENGTH) }),
  kind('strides', { place: Place, count: z.number().int().min(0).max(99) }),
  kind('fence', { place: Place, outcome: z.enum(FENCE_OUTCOMES) }),
  kind('take-off', { place: Place, where: z.enum(TAKE_OFFS) }),
  kind('landing', { place: Place, where: z.enum(LANDINGS) }),
  kind('lead', { place: Place, lead: z.enum(LEADS) }),
  kind('aim', { place: Place, off: z.enum(['left', 'right']) }),
  kind('fault', { place: Place.nullable(), fault: z.string().trim().min(1).max(80) }),
  kind('depart', { how: z.enum(DEPARTS), trotSteps: z.number().int().min(0).max(99).nullable() }),
  kind('gait', { ridden: z.enum(TRACK_GAITS) }),
  kind('head', { height: z.enum(HEAD_HEIGHTS) }),
  kind('figure', { place: Place, point: z.enum(FIGURE_POINTS), kept: z.boolean() }),
  kind('quality', { value: z.number().int().min(1).max(5) }),
  kind('spot', { at: OnSand }),
  kind('rider', { what: z.string().trim().min(1).max(80) }),
  kind('void', {}),
  kind('line', { from: Place, to: Place }),
  kind('track', {
    path: z.array(OnSand).max(MOST_PATH_POINTS),
    ridden: z.array(z.strictObject({ item: z.string().max(80), timeS: z.number().min(0) })).max(2000),
    missed: z.array(z.string().max(80)).max(2000),
    extra: z.array(z.string().max(80)).max(2000),
  }),
]) satisfies z.ZodType<PassMark>;

/** The kinds of marks that this Roan knows. */
export const MARK_KINDS: ReadonlySet<string> = new Set(MarkOnPaper.options.map(({ shape }) => shape.kind.value));

const Event = z.discriminatedUnion('type', [
  z.strictObject({
    type: z.literal('pass'),
    id: Id,
    pass: z.strictObject({
      id: Id,
      pairId: RowId,
      layoutVersionId: RowId,
      lessonId: RowId.nullable(),
      stageId: RowId.nullable().default(null),
      /** What a device kept from before questions were kept has none. */
      question: QuestionOnPaper.default(UNTOLD_QUESTION as z.infer<typeof QuestionOnPaper>),
      rein: Rein.nullable(),
      direction: Direction,
      stage: z.string().min(1).max(60),
      riddenAtMs: AtMs,
    }),
  }),
  z.strictObject({ type: z.literal('amend'), id: Id, passId: Id, rein: Rein.nullable(), direction: Direction }),
  z.strictObject({ type: z.literal('mark'), id: Id, passId: Id, mark: MarkOnPaper, atMs: AtMs }),
  z.strictObject({ type: z.literal('undo-mark'), id: Id, passId: Id, markId: Id, atMs: AtMs }),
  z.strictObject({ type: z.literal('undo-pass'), id: Id, passId: Id, atMs: AtMs }),
  z.strictObject({ type: z.literal('break'), id: Id, lessonId: RowId, pairId: RowId, atMs: AtMs }),
  z.strictObject({ type: z.literal('undo-break'), id: Id, breakId: Id, atMs: AtMs }),
  z.strictObject({
    type: z.literal('ask'),
    ...{ id: Id, lessonId: RowId, stageId: RowId, pairId: RowId.nullable(), question: QuestionOnPaper, atMs: AtMs },
  }),
  z.strictObject({ type: z.literal('undo-ask'), id: Id, askId: Id, atMs: AtMs }),
  z.strictObject({ type: z.literal('acknowledge'), id: Id, lessonId: RowId, atMs: AtMs }),
]) satisfies z.ZodType<RecordEvent>;

/** What a ride pad sends: events in order. */
export const RecordBatch = z.strictObject({
  events: z.array(Event).min(1).max(200),
  /** The lesson whose record is asked for in answer; null for a ride by itself. */
  lessonId: RowId.nullable().default(null),
}) satisfies z.ZodType<RecordBatch>;
export type RecordBatch = { events: RecordEvent[]; lessonId: string | null };

/** Events that a device kept, as far as they can be understood, one by one: more may wait than is sent at once. */
export function readKeptEvents(kept: unknown): RecordEvent[] {
  return (Array.isArray(kept) ? kept : []).flatMap(event => {
    const read = Event.safeParse(event);
    return read.success ? [read.data] : [];
  });
}
