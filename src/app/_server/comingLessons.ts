import { layoutAfter } from '@/core';
import type { Lesson } from '@/data/queries/lessons';

/** Half a day after its start a lesson may still be ridden. */
const STILL_COMING_MS = 12 * 3600 * 1000;

/** Whether a lesson may still be ridden. */
export function isComing({ startsAtMs }: Pick<Lesson, 'startsAtMs'>, nowMs: number): boolean {
  return startsAtMs >= nowMs - STILL_COMING_MS;
}

export type NextInLesson = { layoutId: string; lesson: string };

/**
 * The layout that a coming lesson goes on to after one, in the lesson that comes soonest; null where none does.
 * @param canFollow - whether a layout can stand where this one stood
 */
export function nextInLessons(
  lessons: readonly Pick<Lesson, 'name' | 'startsAtMs' | 'plan'>[],
  layoutId: string,
  nowMs: number,
  canFollow: (layoutId: string) => boolean,
): NextInLesson | null {
  const coming = lessons.filter(lesson => isComing(lesson, nowMs)).sort((a, b) => a.startsAtMs - b.startsAtMs);
  for (const { name, plan } of coming) {
    const next = layoutAfter(plan, layoutId);
    if (next !== null && canFollow(next)) return { layoutId: next, lesson: name };
  }
  return null;
}
