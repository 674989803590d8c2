import type { LessonPlan } from './lesson';

/** The layout that stages of a lesson go on to after one; null where nothing else follows, or it is not ridden there. */
export function layoutAfter({ stages }: Pick<LessonPlan, 'stages'>, layoutId: string): string | null {
  const first = stages.findIndex(stage => stage.layoutId === layoutId);
  if (first < 0) return null;
  return stages.slice(first).find(stage => stage.layoutId !== null && stage.layoutId !== layoutId)?.layoutId ?? null;
}
