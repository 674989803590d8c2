import { MAX_ROW_POLES, type RecordEvent } from '@/core';
import { z } from 'zod';

const Id = z.uuid();
const Place = z.number().int().min(1).max(MAX_ROW_POLES);
const Rein = z.enum(['left', 'right']);
const Direction = z.enum(['as-drawn', 'other-way']);
const AtMs = z.number().int().min(0).max(8.64e15);

export const MAX_NOTE_LENGTH = 500;

const Mark = z.discriminatedUnion('kind', [
  z.strictObject({ id: Id, kind: z.literal('footfall'), place: Place.nullable(), fraction: z.number().min(0).max(1) }),
  z.strictObject({ id: Id, kind: z.literal('hit'), place: Place }),
  z.strictObject({ id: Id, kind: z.literal('note'), words: z.string().trim().min(1).max(MAX_NOTE_LENGTH) }),
]);

const Event = z.discriminatedUnion('type', [
  z.strictObject({
    type: z.literal('pass'),
    id: Id,
    pass: z.strictObject({
      id: Id,
      rein: Rein,
      direction: Direction,
      stage: z.string().min(1).max(60),
      riddenAtMs: AtMs,
    }),
  }),
  z.strictObject({ type: z.literal('amend'), id: Id, passId: Id, rein: Rein, direction: Direction }),
  z.strictObject({ type: z.literal('mark'), id: Id, passId: Id, mark: Mark, atMs: AtMs }),
  z.strictObject({ type: z.literal('undo-mark'), id: Id, passId: Id, markId: Id, atMs: AtMs }),
  z.strictObject({ type: z.literal('undo-pass'), id: Id, passId: Id, atMs: AtMs }),
]) satisfies z.ZodType<RecordEvent>;

/** What the ride pad sends: events in order, for one pair on one layout version. */
export const RecordBatch = z.strictObject({
  pairId: z.string().min(1).max(60),
  layoutVersionId: z.string().min(1).max(60),
  events: z.array(Event).min(1).max(200),
});
export type RecordBatch = z.infer<typeof RecordBatch>;
