import { lessonMinutes, type LessonPlan, type LessonStage } from './lesson';

/** When a stage is ridden, minutes from the start of its lesson. */
export type StageTime = { stageId: string; fromMin: number; toMin: number };

/** Common practice, no source: a lesson is an hour. */
export const USUAL_LESSON_MIN = 60;

/** The stages of a lesson on its clock, one after the other. */
export function stageTimes(stages: readonly Pick<LessonStage, 'id' | 'minutes'>[]): StageTime[] {
  let atMin = 0;
  return stages.map(({ id, minutes }) => {
    const fromMin = atMin;
    atMin += minutes;
    return { stageId: id, fromMin, toMin: atMin };
  });
}

/** When everybody walks, minutes from the start of a lesson: so often, and not at its very end. */
export function breakTimes({ stages, breakEveryMin }: Pick<LessonPlan, 'stages' | 'breakEveryMin'>): number[] {
  if (!(breakEveryMin > 0)) throw new RangeError(`breakTimes every ${breakEveryMin} minutes`);
  const breaks = Math.max(0, Math.ceil(lessonMinutes({ stages }) / breakEveryMin) - 1);
  return Array.from({ length: breaks }, (_, index) => (index + 1) * breakEveryMin);
}

/** What a lesson that is too long is told, with the stage that could be shorter; null where it fits. */
export function overTheHour(stages: readonly Pick<LessonStage, 'name' | 'minutes'>[]): string | null {
  const overMin = lessonMinutes({ stages }) - USUAL_LESSON_MIN;
  const longest = stages.reduce<(typeof stages)[number] | null>(
    (most, stage) => (most === null || stage.minutes > most.minutes ? stage : most),
    null,
  );
  if (overMin <= 0 || longest === null) return null;
  const minutes = overMin === 1 ? 'A minute' : `${overMin} minutes`;
  return `${minutes} over the hour: leave a stage for next time, or shorten the longest, “${longest.name}” (${longest.minutes} min).`;
}
