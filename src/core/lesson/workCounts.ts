import { isRaised } from '../items/pole';
import type { Item } from '../items/item';
import type { ItemTrack, Layout } from '../layout/layout';
import { reckonLayout } from '../layout/reckonLayout';
import { minutesOnSmallCircles } from '../layout/smallCircles';
import { isVoid, lineRidden } from '../record/passJudged';
import type { PassRecord } from '../record/passRecord';
import type { Rein } from '../track/rein';

/** What a thing that is ridden over is to a horse. */
export type StopWork = 'low effort' | 'high effort' | 'raised' | 'none';

/** What one pass over a layout is to a horse. */
export type PassWork = {
  lowEfforts: number;
  highEfforts: number;
  raised: boolean;
  /** Minutes on circles of 10 m and less, by rein as drawn. */
  smallCircleMin: Record<Rein, number>;
  /** Along the track that is marked, in order, for when only a line of it is ridden. */
  stops: StopWork[];
};

/** What a horse has done in a day, and how long since it walked. */
export type WorkCounts = {
  lowEfforts: number;
  highEfforts: number;
  raisedPasses: number;
  smallCircleMin: Record<Rein, number>;
  sinceBreakMin: number;
  /** Days of the last seven on which it jumped, this one among them. */
  jumpingDays: number;
};

/** What was done before: earlier on the day, and on which other days of the last seven it jumped. */
export type EarlierWork = Omit<WorkCounts, 'sinceBreakMin' | 'jumpingDays'> & { otherJumpingDays: number };

export const NO_EARLIER_WORK: EarlierWork = {
  ...{ lowEfforts: 0, highEfforts: 0, raisedPasses: 0, otherJumpingDays: 0 },
  smallCircleMin: { left: 0, right: 0 },
};

/** In a day, but for the jumping days, which are of seven. */
export type WorkLimits = {
  lowEfforts: number;
  highEfforts: number;
  raisedPasses: number;
  /** On each rein. */
  smallCircleMin: number;
  jumpingDays: number;
};

/** Common practice, no source. */
export const USUAL_WORK_LIMITS: WorkLimits = {
  ...{ lowEfforts: 60, highEfforts: 30, raisedPasses: 10, smallCircleMin: 3, jumpingDays: 2 },
};

/** Common practice, no source: from here on an effort is a high one. */
export const HIGH_FROM_M = 0.9;

/** The work of riding the tracks of a layout once. */
export function passWork(layout: Layout): PassWork {
  // No horse's reading is asked for.
  const tracks = reckonLayout({ ...layout, horses: [] });
  const stops = layout.tracks.flatMap(track => (track.kind === 'items' ? [stopsOf(layout, track)] : []));
  const all = stops.flat();
  const minutes = layout.tracks.map((track, index) => minutesOnSmallCircles(track, tracks[index]!));
  const sum = (rein: Rein) => minutes.reduce((total, one) => total + one[rein], 0);
  return { ...effortsOf(all), smallCircleMin: { left: sum('left'), right: sum('right') }, stops: stops[0] ?? [] };
}

function stopsOf({ items }: Layout, { through }: ItemTrack): StopWork[] {
  return through.map(({ item: id }) => stopWork(items.find(item => item.id === id)));
}

function stopWork(item: Item | undefined): StopWork {
  if (item?.kind === 'fence') return item.heightM < HIGH_FROM_M ? 'low effort' : 'high effort';
  return item?.kind === 'pole' && isRaised(item.raised) ? 'raised' : 'none';
}

function effortsOf(stops: readonly StopWork[]) {
  return {
    lowEfforts: stops.filter(stop => stop === 'low effort').length,
    highEfforts: stops.filter(stop => stop === 'high effort').length,
    raised: stops.includes('raised'),
  };
}

type CountedPass = Pick<PassRecord, 'layoutVersionId' | 'marks' | 'riddenAtMs' | 'direction'>;

/** What of a pass was ridden: all of it, a line of it, or nothing that counts. */
function workOfPass(pass: CountedPass, workOf: (layoutVersionId: string) => PassWork | null): PassWork | null {
  const whole = isVoid(pass) ? null : workOf(pass.layoutVersionId);
  const line = lineRidden(pass);
  if (!whole || !line) return whole;
  return { ...whole, ...effortsOf(whole.stops.slice(line.from - 1, line.to)), smallCircleMin: { left: 0, right: 0 } };
}

/**
 * The work of some passes added up. A pass given up before the line is none; ridden the other way, a left circle is a
 * right one.
 * @param workOf - the work of one pass over a layout version
 */
export function workOfPasses(
  passes: readonly CountedPass[],
  workOf: (layoutVersionId: string) => PassWork | null,
): Omit<EarlierWork, 'otherJumpingDays'> {
  const counts = { lowEfforts: 0, highEfforts: 0, raisedPasses: 0, smallCircleMin: { left: 0, right: 0 } };
  for (const pass of passes) {
    const work = workOfPass(pass, workOf);
    if (!work) continue;
    counts.lowEfforts += work.lowEfforts;
    counts.highEfforts += work.highEfforts;
    counts.raisedPasses += work.raised ? 1 : 0;
    const [left, right] = pass.direction === 'as-drawn' ? (['left', 'right'] as const) : (['right', 'left'] as const);
    counts.smallCircleMin.left += work.smallCircleMin[left];
    counts.smallCircleMin.right += work.smallCircleMin[right];
  }
  return counts;
}

export type WorkSoFar = {
  /** Of one horse in this lesson, any order. */
  passes: readonly CountedPass[];
  workOf: (layoutVersionId: string) => PassWork | null;
  /** When it walked. */
  breaksMs: readonly number[];
  startMs: number;
  nowMs: number;
  earlier?: EarlierWork;
};

/** What a horse has done by now, earlier lessons and rides of the day among it. */
export function workCounts({
  passes,
  workOf,
  breaksMs,
  startMs,
  nowMs,
  earlier = NO_EARLIER_WORK,
}: WorkSoFar): WorkCounts {
  const now = workOfPasses(passes, workOf);
  // It has walked since it was last ridden, or is being ridden still.
  const walkedMs = Math.max(startMs, ...breaksMs);
  const firstMs = Math.min(nowMs, ...passes.filter(({ riddenAtMs }) => riddenAtMs >= walkedMs).map(p => p.riddenAtMs));
  const [lowEfforts, highEfforts] = [now.lowEfforts + earlier.lowEfforts, now.highEfforts + earlier.highEfforts];
  return {
    ...{ lowEfforts, highEfforts, raisedPasses: now.raisedPasses + earlier.raisedPasses },
    smallCircleMin: {
      left: now.smallCircleMin.left + earlier.smallCircleMin.left,
      right: now.smallCircleMin.right + earlier.smallCircleMin.right,
    },
    sinceBreakMin: Math.max(0, (nowMs - firstMs) / 60_000),
    jumpingDays: earlier.otherJumpingDays + (lowEfforts + highEfforts > 0 ? 1 : 0),
  };
}

/** What is at or over its limit, in words; nothing is ever blocked. */
export function workWarnings(
  counts: WorkCounts,
  breakEveryMin: number,
  limits: WorkLimits = USUAL_WORK_LIMITS,
): string[] {
  const { lowEfforts, highEfforts, raisedPasses, smallCircleMin, sinceBreakMin, jumpingDays } = counts;
  const efforts = lowEfforts + highEfforts;
  const warnings: string[] = [];
  if (highEfforts >= limits.highEfforts)
    warnings.push(`${highEfforts} efforts at 0.9 m and over today: ${limits.highEfforts} is the limit for a day.`);
  if (efforts >= limits.lowEfforts)
    warnings.push(`${efforts} efforts today: ${limits.lowEfforts} is the limit for a day.`);
  if (raisedPasses >= limits.raisedPasses)
    warnings.push(`${raisedPasses} passes over raised poles today: ${limits.raisedPasses} is the limit for a day.`);
  for (const rein of ['left', 'right'] as const)
    if (smallCircleMin[rein] >= limits.smallCircleMin)
      warnings.push(
        `${smallCircleMin[rein].toFixed(1)} minutes on small circles on the ${rein} rein: ${limits.smallCircleMin} is the limit.`,
      );
  if (jumpingDays > limits.jumpingDays)
    warnings.push(`It jumps on ${jumpingDays} days of these seven: ${limits.jumpingDays} is the limit.`);
  if (sinceBreakMin >= breakEveryMin) warnings.push(`${Math.floor(sinceBreakMin)} minutes without a walk break.`);
  return warnings;
}
