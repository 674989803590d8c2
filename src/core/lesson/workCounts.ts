import { isRaised } from '../items/pole';
import type { Layout } from '../layout/layout';
import type { PassRecord } from '../record/passRecord';
import { isVoid } from '../record/passJudged';

/** What one pass over a layout is to a horse. */
export type PassWork = { lowEfforts: number; highEfforts: number; raised: boolean; smallCircleMin: number };

/** What a horse has done, and how long since it walked. */
export type WorkCounts = {
  lowEfforts: number;
  highEfforts: number;
  raisedPasses: number;
  smallCircleMin: number;
  sinceBreakMin: number;
};

/** Common practice, no source: in a day, and minutes between walk breaks. */
export type WorkLimits = { lowEfforts: number; highEfforts: number; raisedPasses: number; breakEveryMin: number };
export const USUAL_WORK_LIMITS: WorkLimits = { lowEfforts: 60, highEfforts: 30, raisedPasses: 10, breakEveryMin: 10 };

/** Common practice, no source: from here on an effort is a high one. */
export const HIGH_FROM_M = 0.9;

/** The work of riding the tracks of a layout once. */
export function passWork(layout: Pick<Layout, 'items' | 'tracks'>, smallCircleMin = 0): PassWork {
  const ridden = layout.tracks.flatMap(track => (track.kind === 'items' ? track.through.map(({ item }) => item) : []));
  const items = ridden.flatMap(id => layout.items.find(item => item.id === id) ?? []);
  const fences = items.flatMap(item => (item.kind === 'fence' ? [item] : []));
  return {
    lowEfforts: fences.filter(({ heightM }) => heightM < HIGH_FROM_M).length,
    highEfforts: fences.filter(({ heightM }) => heightM >= HIGH_FROM_M).length,
    raised: items.some(item => item.kind === 'pole' && isRaised(item.raised)),
    smallCircleMin,
  };
}

/**
 * What a horse has done by now. A pass given up before the line is no work over fences.
 * @param passes - of one horse, any order
 * @param workOf - the work of one pass over a layout version
 * @param breaksMs - when it walked
 */
export function workCounts(
  passes: readonly Pick<PassRecord, 'layoutVersionId' | 'marks' | 'riddenAtMs'>[],
  workOf: (layoutVersionId: string) => PassWork | null,
  breaksMs: readonly number[],
  startMs: number,
  nowMs: number,
): WorkCounts {
  const counts = { lowEfforts: 0, highEfforts: 0, raisedPasses: 0, smallCircleMin: 0 };
  for (const pass of passes) {
    const work = isVoid(pass) ? null : workOf(pass.layoutVersionId);
    if (!work) continue;
    counts.lowEfforts += work.lowEfforts;
    counts.highEfforts += work.highEfforts;
    counts.raisedPasses += work.raised ? 1 : 0;
    counts.smallCircleMin += work.smallCircleMin;
  }
  // It has walked since it was last ridden, or is being ridden still.
  const walkedMs = Math.max(startMs, ...breaksMs);
  const firstMs = Math.min(nowMs, ...passes.filter(({ riddenAtMs }) => riddenAtMs >= walkedMs).map(p => p.riddenAtMs));
  return { ...counts, sinceBreakMin: Math.max(0, (nowMs - firstMs) / 60_000) };
}

/** What is at or over its limit, in words; nothing is ever blocked. */
export function workWarnings(counts: WorkCounts, limits: WorkLimits = USUAL_WORK_LIMITS): string[] {
  const warnings: string[] = [];
  if (counts.highEfforts >= limits.highEfforts)
    warnings.push(`${counts.highEfforts} efforts at 0.9 m and over: ${limits.highEfforts} is usual for a day.`);
  if (counts.lowEfforts + counts.highEfforts >= limits.lowEfforts)
    warnings.push(`${counts.lowEfforts + counts.highEfforts} efforts: ${limits.lowEfforts} is usual for a day.`);
  if (counts.raisedPasses >= limits.raisedPasses)
    warnings.push(`${counts.raisedPasses} passes over raised poles: ${limits.raisedPasses} is usual for a day.`);
  if (counts.sinceBreakMin >= limits.breakEveryMin)
    warnings.push(`${Math.floor(counts.sinceBreakMin)} minutes without a walk break.`);
  return warnings;
}
