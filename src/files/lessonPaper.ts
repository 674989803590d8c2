import { FAILURE_POLICIES, SEATS, USUAL_BREAK_MIN, type LessonPlan } from '@/core';
import { z } from 'zod';

const RowId = z.string().min(1).max(60);
const Text = (most: number) => z.string().trim().max(most);

const StopOnPaper = z.discriminatedUnion('when', [
  z.strictObject({ when: z.literal('repetitions') }),
  z.strictObject({ when: z.literal('minutes'), minutes: z.number().min(1).max(240) }),
  z.strictObject({ when: z.literal('first clear improvement') }),
]);

/** One stage of a lesson as it is stored. */
export const StageOnPaper = z.strictObject({
  id: RowId,
  name: Text(60).min(1, 'Give the stage a name.'),
  layoutId: RowId.nullable(),
  exercise: z.strictObject({ id: z.string().max(80), stage: z.number().int().min(0).max(50) }).nullable(),
  focus: Text(160),
  seat: z.enum(SEATS),
  eachRein: z.number({ error: 'How often on each rein?' }).int().min(0).max(50, 'At most 50 times on a rein.'),
  minutes: z.number({ error: 'How many minutes?' }).min(0).max(240, 'At most 240 minutes.'),
  policy: z.enum(FAILURE_POLICIES),
  stop: StopOnPaper,
});

/** The plan of a lesson as it is stored. */
export const LessonOnPaper = z.strictObject({
  format: z.literal('roan-lesson'),
  version: z.literal(1),
  pairs: z.array(RowId).max(12, 'A lesson has at most twelve pairs.'),
  stages: z
    .array(StageOnPaper)
    .max(40, 'A lesson has at most 40 stages.')
    .superRefine((stages, context) => {
      // Passes are told apart by the name of their stage.
      const seen = new Set<string>();
      for (const { name } of stages) {
        if (seen.has(name))
          context.addIssue({
            code: 'custom',
            message: `Two stages are called “${name}”: give each a name of its own.`,
          });
        seen.add(name);
      }
    }),
  breakEveryMin: z.number().min(1).max(120).default(USUAL_BREAK_MIN),
});
export type LessonOnPaper = z.infer<typeof LessonOnPaper>;

/** What the page sends to plan a lesson; the start is the yard's own clock: "2026-05-04T17:30". */
export const LessonForm = z.strictObject({
  name: Text(60).min(1, 'Give the lesson a name.'),
  arenaId: RowId,
  startsAt: z.string().regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, 'Say the day and the time.'),
  plan: LessonOnPaper,
});
export type LessonForm = z.infer<typeof LessonForm>;

export function writeLesson({ pairIds, stages, breakEveryMin }: LessonPlan): LessonOnPaper {
  return { format: 'roan-lesson', version: 1, pairs: pairIds, stages, breakEveryMin };
}

export function lessonFromPaper({ pairs, stages, breakEveryMin }: LessonOnPaper): LessonPlan {
  return { pairIds: pairs, stages, breakEveryMin };
}
