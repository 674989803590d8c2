import type { LessonPlan } from '@/core';
import type { LessonOnPaper } from './lessonPaper';

/** A plan of a lesson as it is stored. */
export function writeLesson({ pairIds, stages, breakEveryMin }: LessonPlan): LessonOnPaper {
  return {
    ...{ format: 'roan-lesson', version: 2, pairs: pairIds, breakEveryMin },
    // As the schema has it, whose lists may be written to.
    stages: structuredClone(stages) as LessonOnPaper['stages'],
  };
}
