import { minutesRidden } from '../lesson/minutesRidden';
import type { DayPass } from './reviewPass';

/** Work at which the rider was watched: over which layout, how long in all, on how many days. */
export type RiderWorkDone = { layoutId: string; minutes: number; passes: number; days: number; lastDay: string };

/**
 * What was ridden at stages that watch the rider, layout by layout, the latest first.
 * @param riderStages - the ids of those stages
 * @param layoutOf - the layout of a version
 */
export function riderWorkDone(
  passes: readonly DayPass[],
  riderStages: ReadonlySet<string>,
  layoutOf: (layoutVersionId: string) => string,
): RiderWorkDone[] {
  const byLayout = new Map<string, DayPass[]>();
  for (const pass of passes) {
    if (pass.stageId === null || !riderStages.has(pass.stageId) || pass.isVoid) continue;
    const layout = layoutOf(pass.layoutVersionId);
    byLayout.set(layout, [...(byLayout.get(layout) ?? []), pass]);
  }
  return [...byLayout]
    .map(([layoutId, own]) => ({
      ...{ layoutId, passes: own.length },
      minutes: [...byStage(own).values()].reduce((sum, times) => sum + minutesRidden(times), 0),
      days: new Set(own.map(({ day }) => day)).size,
      lastDay: own.reduce((last, { day }) => (day > last ? day : last), ''),
    }))
    .sort((a, b) => (a.lastDay < b.lastDay ? 1 : a.lastDay > b.lastDay ? -1 : 0));
}

/** When the passes of each stage of each day began. */
function byStage(passes: readonly DayPass[]): Map<string, number[]> {
  const times = new Map<string, number[]>();
  for (const { day, stageId, riddenAtMs } of passes) {
    const key = `${day} ${stageId}`;
    times.set(key, [...(times.get(key) ?? []), riddenAtMs]);
  }
  return times;
}
