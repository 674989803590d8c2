import { howMany } from '../words/howMany';
import type { PassRecord } from '../record/passRecord';
import { NO_WORK, passWork, sumWork, type Work, type WorkedPass } from './passWork';
import { SMALL_CIRCLE_M } from '../layout/smallCircles';
import { HIGH_FROM_M, type QuestionWork } from './questionWork';

/** What a horse has done in a day, and how long since it walked. */
export type WorkCounts = Work & {
  sinceBreakMin: number;
  /** Days of the last seven on which it jumped, this one among them. */
  jumpingDays: number;
};

/**
 * What a horse does besides: on the day in other lessons, ridden or planned, and in rides by itself; and on which other days
 * of the last seven it jumped.
 */
export type EarlierWork = Work & { otherJumpingDays: number };

export const NO_EARLIER_WORK: EarlierWork = { ...NO_WORK, otherJumpingDays: 0 };

export const jumps = ({ lowEfforts, highEfforts }: Pick<Work, 'lowEfforts' | 'highEfforts'>): boolean =>
  lowEfforts + highEfforts > 0;

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

/** The work of a question over a layout version; null where it is not known. */
export type WorkOf<Pass> = (pass: Pass) => QuestionWork | null;

/** The work of some passes added up, each by its own question and version. */
export function workOfPasses<Pass extends WorkedPass>(passes: readonly Pass[], workOf: WorkOf<Pass>): Work {
  return sumWork(
    passes.flatMap(pass => {
      const work = workOf(pass);
      return work ? [passWork(pass, work)] : [];
    }),
  );
}

type CountedPass = WorkedPass & Pick<PassRecord, 'riddenAtMs'>;

export type WorkSoFar<Pass extends CountedPass> = {
  /** Of one horse in this lesson, with whoever rode it, any order. */
  passes: readonly Pass[];
  workOf: WorkOf<Pass>;
  /** When it walked. */
  breaksMs: readonly number[];
  startMs: number;
  nowMs: number;
  earlier?: EarlierWork;
};

/** What a horse has done by now, with what else it does that day. */
export function workCounts<Pass extends CountedPass>(soFar: WorkSoFar<Pass>): WorkCounts {
  const { passes, workOf, breaksMs, startMs, nowMs, earlier = NO_EARLIER_WORK } = soFar;
  const work = sumWork([workOfPasses(passes, workOf), earlier]);
  // From the first pass since it walked last; where none was ridden since, no minute.
  const walkedMs = Math.max(startMs, ...breaksMs);
  const firstMs = Math.min(nowMs, ...passes.filter(({ riddenAtMs }) => riddenAtMs >= walkedMs).map(p => p.riddenAtMs));
  return {
    ...work,
    sinceBreakMin: Math.max(0, (nowMs - firstMs) / 60_000),
    jumpingDays: earlier.otherJumpingDays + (jumps(work) ? 1 : 0),
  };
}

/** How full a day is with efforts: each low and each high one counts as its share of it; 1 is a day's work. */
export function dayShare(
  { lowEfforts, highEfforts }: Pick<Work, 'lowEfforts' | 'highEfforts'>,
  limits: Pick<WorkLimits, 'lowEfforts' | 'highEfforts'>,
): number {
  return lowEfforts / limits.lowEfforts + highEfforts / limits.highEfforts;
}

const ROUNDING = 1e-9;

/** What of a day's work has come to its limit, in words: the same in a plan, in a planned lesson and while it is ridden. */
export function dayWarnings(
  { lowEfforts, highEfforts, raisedPasses, smallCircleMin }: Work,
  limits: WorkLimits = USUAL_WORK_LIMITS,
): string[] {
  const warnings: string[] = [];
  if (dayShare({ lowEfforts, highEfforts }, limits) >= 1 - ROUNDING)
    warnings.push(
      `${lowEfforts + highEfforts} efforts, ${highEfforts} of them at ${HIGH_FROM_M} m and over: ${limits.lowEfforts} low ones or ${limits.highEfforts} high ones are enough for a day.`,
    );
  if (raisedPasses >= limits.raisedPasses)
    warnings.push(
      `${howMany(raisedPasses, 'pass', 'passes')} over raised poles: ${howMany(limits.raisedPasses, 'is', 'are')} enough for a day.`,
    );
  for (const rein of ['left', 'right'] as const)
    if (smallCircleMin[rein] >= limits.smallCircleMin - ROUNDING)
      warnings.push(
        `${smallCircleMin[rein].toFixed(1)} minutes on circles of ${SMALL_CIRCLE_M} m and less on the ${rein} rein: ${howMany(limits.smallCircleMin, 'is', 'are')} enough for a day.`,
      );
  return warnings;
}

/**
 * What of a day has come to its limit, and what is over it: as many jumping days as the limit may be, and one more is warned of. In words;
 * nothing is ever blocked.
 */
export function workWarnings(
  counts: WorkCounts,
  breakEveryMin: number,
  limits: WorkLimits = USUAL_WORK_LIMITS,
): string[] {
  const { sinceBreakMin, jumpingDays } = counts;
  const warnings = dayWarnings(counts, limits);
  if (jumpingDays > limits.jumpingDays)
    warnings.push(`It jumps on ${jumpingDays} days of these seven: ${limits.jumpingDays} is the limit.`);
  if (sinceBreakMin >= breakEveryMin) warnings.push(`${Math.floor(sinceBreakMin)} minutes without a walk break.`);
  return warnings;
}
