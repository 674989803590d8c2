import { FAILURE_POLICIES, SEATS, USUAL_BREAK_MIN, type LessonPlan } from '@/core';
import { z } from 'zod';
import { AskedQuestionOnPaper } from './questionPaper';

const RowId = z.string().min(1).max(60);
const Text = (most: number) => z.string().trim().max(most);

const StopOnPaper = z.discriminatedUnion('when', [
  z.strictObject({ when: z.literal('repetitions') }),
  z.strictObject({ when: z.literal('minutes'), minutes: z.number().min(1).max(240) }),
  z.strictObject({ when: z.literal('first clear improvement') }),
]);

const stageOnPaper = {
  id: RowId,
  name: Text(60).min(1, 'Give the stage a name.'),
  layoutId: RowId.nullable(),
  focus: Text(160),
  seat: z.enum(SEATS),
  eachRein: z.number({ error: 'How often on each rein?' }).int().min(0).max(50, 'At most 50 times on a rein.'),
  minutes: z.number({ error: 'How many minutes?' }).min(0).max(240, 'At most 240 minutes.'),
  policy: z.enum(FAILURE_POLICIES),
  stop: StopOnPaper,
  riderMarks: z.array(Text(60).min(1)).max(8).optional(),
};

/** One stage of a lesson as it is stored. */
export const StageOnPaper = z.strictObject({
  ...stageOnPaper,
  questions: z.array(AskedQuestionOnPaper).max(20, 'A stage asks at most twenty questions.'),
});

const Stages = <Stage extends z.ZodType>(stage: Stage) => z.array(stage).max(40, 'A lesson has at most 40 stages.');

const lessonOnPaper = {
  format: z.literal('roan-lesson'),
  pairs: z.array(RowId).max(12, 'A lesson has at most twelve pairs.'),
  breakEveryMin: z.number().min(1).max(120).default(USUAL_BREAK_MIN),
};

/** The plan of a lesson as it is stored. Stages are held by their ids: their names are free. */
export const LessonOnPaper = z.strictObject({
  ...lessonOnPaper,
  version: z.literal(2),
  stages: Stages(StageOnPaper).superRefine((stages, context) => {
    const seen = new Set<string>();
    for (const { id } of stages) {
      if (seen.has(id)) context.addIssue({ code: 'custom', message: 'One stage is there twice.' });
      seen.add(id);
    }
  }),
});
export type LessonOnPaper = z.infer<typeof LessonOnPaper>;

/** A lesson as it was stored when a stage was an exercise's stage, or a layout as it is planned. */
export const OldLessonOnPaper = z.strictObject({
  ...lessonOnPaper,
  version: z.literal(1),
  stages: Stages(
    z.strictObject({
      ...stageOnPaper,
      exercise: z.strictObject({ id: z.string().max(80), stage: z.number().int().min(0).max(50) }).nullable(),
    }),
  ),
});
export type OldLessonOnPaper = z.infer<typeof OldLessonOnPaper>;

/** What the page sends to plan a lesson; the start is the yard's own clock: "2026-05-04T17:30". */
export const LessonForm = z.strictObject({
  name: Text(60).min(1, 'Give the lesson a name.'),
  arenaId: RowId,
  startsAt: z.string().regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, 'Say the day and the time.'),
  plan: LessonOnPaper,
});
export type LessonForm = z.infer<typeof LessonForm>;

export function lessonFromPaper({ pairs, stages, breakEveryMin }: LessonOnPaper): LessonPlan {
  return { pairIds: pairs, stages, breakEveryMin };
}
