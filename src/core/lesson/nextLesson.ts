import type { LessonPlan, LessonStage } from './lesson';

/** How far the pairs of a lesson came at a stage. */
export type StageGot = { rode: number; earned: number };

/**
 * The plan of the lesson after one: it starts from what everybody earned last, once on each rein to come back to it, goes on with
 * what was not earned, and what was not reached. A warm-up stays; what was taken in before is left out.
 * @param gotAt - how far the pairs came, by stage
 * @param newId - an id of a stage that is nowhere yet
 */
export function nextLesson(plan: LessonPlan, gotAt: ReadonlyMap<string, StageGot>, newId: () => string): LessonPlan {
  const isEarned = ({ id }: LessonStage) => {
    const got = gotAt.get(id);
    return got !== undefined && got.rode > 0 && got.earned === got.rode;
  };
  const isAsked = ({ questions }: LessonStage) => questions.length > 0;
  const lastEarned = plan.stages.findLast(stage => isAsked(stage) && isEarned(stage));
  const stages = plan.stages.flatMap(stage => {
    if (!isAsked(stage) || !isEarned(stage)) return [{ ...stage, id: newId() }];
    if (stage !== lastEarned) return [];
    return [{ ...stage, id: newId(), eachRein: Math.min(1, stage.eachRein) }];
  });
  return { ...plan, stages };
}
