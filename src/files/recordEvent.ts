import {
  DEPARTS,
  FENCE_OUTCOMES,
  FIGURE_POINTS,
  HEAD_HEIGHTS,
  LANDINGS,
  LEADS,
  RIDE_DIRECTIONS,
  SLIPS,
  TAKE_OFFS,
  TRACK_GAITS,
  TRANSITIONS,
  UNTOLD_QUESTION,
  type PassMark,
  type RecordChange,
  type RecordEvent,
  type TappedMark,
  MOST_NOTE_LETTERS,
} from '@/core';
import { z } from 'zod';
import { QuestionOnPaper } from './questionPaper';

const Id = z.uuid();
const RowId = z.string().min(1).max(60);
const Place = z.number().int().min(1).max(2000);
const Rein = z.enum(['left', 'right']);
const Direction = z.enum(RIDE_DIRECTIONS);
const AtMs = z.number().int().min(0).max(8.64e15);

/** A recorded track is kept with at most so many places. */
export const MOST_PATH_POINTS = 400;

const Metres = z.number().min(-50).max(250);
/** Longer than any lesson is ridden. */
const MOST_TRACK_M = 50_000;
const OnSand = z.strictObject({ xM: Metres, yM: Metres });

/** When strides were tapped, from the first tap on: in order. */
const Taps = z
  .array(z.number().int().min(0).max(600_000))
  .max(99)
  .refine(taps => taps.every((atMs, index) => index === 0 || atMs >= taps[index - 1]!), 'Taps follow each other.');

const kind = <Kind extends string, Shape extends z.ZodRawShape>(name: Kind, shape: Shape) =>
  z.strictObject({ id: Id, kind: z.literal(name), ...shape });

/** One mark as it is sent and kept. */
export const MarkOnPaper = z.discriminatedUnion('kind', [
  kind('footfall', { place: Place.nullable(), fraction: z.number().min(0).max(1) }),
  kind('hit', { place: Place }),
  kind('note', { words: z.string().trim().min(1).max(MOST_NOTE_LETTERS) }),
  kind('strides', { place: Place, count: z.number().int().min(0).max(99), tapsMs: Taps.optional() }),
  kind('fence', { place: Place, outcome: z.enum(FENCE_OUTCOMES) }),
  kind('take-off', { place: Place, where: z.enum(TAKE_OFFS) }),
  kind('landing', { place: Place, where: z.enum(LANDINGS) }),
  kind('lead', { place: Place, lead: z.enum(LEADS) }),
  kind('aim', { place: Place, off: z.enum(['left', 'right']) }),
  kind('fault', { place: Place.nullable(), fault: z.string().trim().min(1).max(80) }),
  kind('depart', { how: z.enum(DEPARTS), trotSteps: z.number().int().min(0).max(99).nullable() }),
  kind('transition', {
    ...{ place: Place, to: z.enum([...TRACK_GAITS, 'halt']), how: z.enum(TRANSITIONS) },
    trotSteps: z.number().int().min(0).max(99).nullable(),
  }),
  kind('gait', {
    ...{ ridden: z.enum(TRACK_GAITS), from: Place.optional() },
    ...{ fromM: z.number().min(0).max(MOST_TRACK_M).optional(), asked: z.enum(TRACK_GAITS).optional() },
  }),
  kind('head', { height: z.enum(HEAD_HEIGHTS) }),
  kind('figure', {
    place: Place,
    part: z.number().int().min(1).max(99).optional(),
    point: z.enum(FIGURE_POINTS),
    kept: z.boolean(),
  }),
  kind('slip', {
    ...{ place: Place, part: z.number().int().min(1).max(99).optional() },
    ...{ from: z.enum(SLIPS), at: OnSand.optional() },
  }),
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

/** Who said something: a person's name, else what a device calls itself. */
const By = z.string().trim().min(1).max(60).nullable().default(null);
const Way = z.strictObject({ rein: Rein.nullable(), direction: Direction });
const StageOfPass = z.strictObject({ stageId: RowId.nullable(), stage: z.string().min(1).max(60) });
// As it is tapped, without its id: an id that means nothing stands in while it is read.
const TappedOnPaper = z.looseObject({ kind: z.string() }).transform((said, context) => {
  const read = MarkOnPaper.safeParse({ ...said, id: NO_ID });
  if (read.success) {
    const { id: _, ...tapped } = read.data;
    return tapped as TappedMark;
  }
  context.addIssue({ code: 'custom', message: read.error.issues[0]?.message ?? 'This is no mark.' });
  return z.NEVER;
});
const NO_ID = '00000000-0000-4000-8000-000000000000';

const changeOnPaper = {
  id: Id,
  of: RowId,
  from: z.array(Id).max(200),
  atMs: AtMs,
  by: By,
  undoes: RowId.nullable(),
};
const changed = <Value extends z.ZodType>(on: RecordChange['on'], what: RecordChange['what'], value: Value) =>
  z.strictObject({ ...changeOnPaper, on: z.literal(on), what: z.literal(what), was: value, to: value });

/** A change as a device may send it. */
const DeviceChange = z.union([
  changed('pass', 'counts', z.boolean()),
  changed('mark', 'counts', z.boolean()),
  changed('break', 'counts', z.boolean()),
  changed('ask', 'counts', z.boolean()),
  changed('pass', 'way', Way),
  changed('pass', 'pair', RowId),
  changed('pass', 'stage', StageOfPass),
  changed('pass', 'question', QuestionOnPaper),
  changed('pass', 'time', AtMs),
  changed('break', 'time', AtMs),
  changed('mark', 'said', TappedOnPaper),
  changed('pair', 'rides', z.boolean()),
  changed('lesson', 'ended', AtMs.nullable()),
  changed('lesson', 'order', z.array(RowId).max(60)),
]) as unknown as z.ZodType<RecordChange>;

/** Any change that is kept: the server's own are of a lesson's day, its plan, and whether it is archived. */
export const ChangeOnPaper = z.union([
  DeviceChange,
  changed('lesson', 'day', AtMs),
  changed('lesson', 'archived', z.boolean()),
  changed('lesson', 'plan', z.string().max(2000)),
]) as unknown as z.ZodType<RecordChange>;

const Name = z.string().trim().min(1, 'Give a name.').max(60);
const JoinOnPaper = z.strictObject({
  ...{ id: Id, pairId: RowId, insteadOf: RowId.nullable(), atMs: AtMs, by: By },
  horse: z.strictObject({ id: RowId, name: Name, heightM: z.number().min(0.6).max(2.2) }),
  rider: z.strictObject({ id: RowId, name: Name }),
});

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
    saidAtMs: AtMs.optional(),
    by: By,
  }),
  z.strictObject({ type: z.literal('mark'), id: Id, passId: Id, mark: MarkOnPaper, atMs: AtMs, by: By }),
  z.strictObject({
    type: z.literal('break'),
    ...{ id: Id, lessonId: RowId, pairId: RowId, stageId: RowId.nullable().default(null), atMs: AtMs, by: By },
  }),
  z.strictObject({
    type: z.literal('ask'),
    ...{ id: Id, lessonId: RowId, stageId: RowId, pairId: RowId.nullable(), question: QuestionOnPaper, atMs: AtMs },
    by: By,
  }),
  z.strictObject({ type: z.literal('acknowledge'), id: Id, lessonId: RowId, atMs: AtMs }),
  z.strictObject({ type: z.literal('join'), id: Id, lessonId: RowId, join: JoinOnPaper }),
  z.strictObject({ type: z.literal('change'), id: Id, lessonId: RowId.nullable(), change: DeviceChange }),
]) satisfies z.ZodType<RecordEvent>;

type Thing = 'pass' | 'mark' | 'break' | 'ask';

const takenBack = (id: string, on: Thing, of: string, atMs: number): RecordEvent => {
  const change = { id, on, what: 'counts', of, was: true, to: false, from: [], atMs, by: null, undoes: of } as const;
  return { type: 'change', id, lessonId: null, change };
};

/** What a device kept from when an undo was an event of its own kind; `amend` was the rein and direction of a pass. */
const OldEvent = z.union([
  z
    .strictObject({ type: z.literal('undo-pass'), id: Id, passId: Id, atMs: AtMs })
    .transform(({ id, passId, atMs }) => takenBack(id, 'pass', passId, atMs)),
  z
    .strictObject({ type: z.literal('undo-mark'), id: Id, passId: Id, markId: Id, atMs: AtMs })
    .transform(({ id, markId, atMs }) => takenBack(id, 'mark', markId, atMs)),
  z
    .strictObject({ type: z.literal('undo-break'), id: Id, breakId: Id, atMs: AtMs })
    .transform(({ id, breakId, atMs }) => takenBack(id, 'break', breakId, atMs)),
  z
    .strictObject({ type: z.literal('undo-ask'), id: Id, askId: Id, atMs: AtMs })
    .transform(({ id, askId, atMs }) => takenBack(id, 'ask', askId, atMs)),
  z
    .strictObject({ type: z.literal('amend'), id: Id, passId: Id, rein: Rein.nullable(), direction: Direction })
    .transform(({ id, passId: of, ...way }): RecordEvent => {
      const { type: _, ...to } = way;
      // What it was before is not known any more, nor when: whatever was said since stands.
      const change = {
        id,
        on: 'pass',
        what: 'way',
        of,
        was: to,
        to,
        from: [],
        atMs: 0,
        by: null,
        undoes: null,
      } as const;
      return { type: 'change', id, lessonId: null, change };
    }),
]);

const AnyEvent = z.union([Event, OldEvent]);

/** What a ride pad sends: events in order. */
export const RecordBatch = z.strictObject({
  events: z.array(AnyEvent).min(1).max(200),
  /** The lesson whose record is asked for in answer; null for a ride by itself. */
  lessonId: RowId.nullable().default(null),
  /** The clock of the device when it sent this: how far it is off is taken out of what it says. */
  sentAtMs: AtMs.optional(),
  /** The number of the last answer that the device had: what came since is what it is told. */
  after: z.number().int().min(0).optional(),
}) satisfies z.ZodType<RecordBatch>;
export type RecordBatch = { events: RecordEvent[]; lessonId: string | null; sentAtMs?: number; after?: number };

/** Events that a device kept, as far as they can be understood, one by one: more may wait than is sent at once. */
export function readKeptEvents(kept: unknown): RecordEvent[] {
  return (Array.isArray(kept) ? kept : []).flatMap(event => {
    const read = AnyEvent.safeParse(event);
    return read.success ? [read.data] : [];
  });
}

/** A mark as it is kept, looked at as those that are sent; null where it is none. Its id may be of an older Roan. */
export function readMark({ id: _, ...mark }: { id: string } & Record<string, unknown>): PassMark | null {
  const read = MarkOnPaper.safeParse({ ...mark, id: NO_ID });
  return read.success ? read.data : null;
}
