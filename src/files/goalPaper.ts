import { dayNumber, dayOfNumber, findRecipe, PURPOSES, REIN_MEASURES, REINS, TRACK_GAITS, type Goal } from '@/core';
import { z } from 'zod';

const Day = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'Say the day.')
  .refine(day => dayOfNumber(dayNumber(day)) === day, 'This is no day of the calendar.');
/** Less is no goal, and all of them is one that never holds. */
const Share = z.number({ error: 'How often?' }).min(0.5, 'At least half of them.').max(0.95, 'At most 95 in 100.');
const Gait = z.enum(TRACK_GAITS).nullable();

const MeasureOnPaper = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('stage'),
    exercise: z
      .string()
      .max(60)
      .refine(kind => findRecipe(kind) !== null, 'The shelf has no such exercise.'),
    stage: z.number().int().min(0).max(50),
  }),
  z.strictObject({ kind: z.literal('clean'), purpose: z.enum(PURPOSES), share: Share }),
  z.strictObject({ kind: z.literal('rein'), measure: z.enum(REIN_MEASURES), rein: z.enum(REINS), gait: Gait }),
  z.strictObject({ kind: z.literal('count'), way: z.enum(['more', 'fewer']), share: Share }),
  z.strictObject({ kind: z.literal('head'), gait: Gait, share: Share }),
]);

/** What of a goal is written down at once: its words, what it is for, what it is measured by, and by when. */
export const GoalOnPaper = z.strictObject({
  words: z.string().trim().min(1, 'Say what the goal is.').max(120, 'At most 120 letters.'),
  purposes: z.array(z.enum(PURPOSES)).max(4, 'At most four purposes.'),
  measure: MeasureOnPaper.nullable(),
  byDay: Day.nullable(),
});
export type GoalOnPaper = z.infer<typeof GoalOnPaper>;

type Kept = { id: string; pairId: string; sinceDay: string; reachedDay: string | null };

/** A goal as the core has it, its days as numbers. */
export function goalFromPaper({ words, purposes, measure, byDay }: GoalOnPaper, kept: Kept): Goal {
  const { id, pairId, sinceDay, reachedDay } = kept;
  return {
    ...{ id, pairId, words, purposes, measure, byDay: byDay === null ? null : dayNumber(byDay) },
    ...{ sinceDay: dayNumber(sinceDay), reachedDay: reachedDay === null ? null : dayNumber(reachedDay) },
  };
}
