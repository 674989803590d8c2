import { mean, standardDeviation } from '../statistics/moments';
import { studentTwoSided } from '../statistics/studentQuantile';
import type { LearnedStride } from './learnStride';

/** Fewer passes than this say nothing of a step. */
const LEAST_PASSES = 4;

/**
 * The step that a horse takes over poles, from where its foot fell gap by gap: each pass gives one, the spacing times one
 * and the mean change (common practice, no source). The interval is Student's, over days where there are enough of them,
 * since passes of a day are alike.
 * @param passes - the step of each pass, metres, with its day
 * @returns null for fewer than four passes
 */
export function learnStep(passes: readonly { stepM: number; day: string }[]): LearnedStride | null {
  if (passes.length < LEAST_PASSES) return null;
  const byDay = new Map<string, number[]>();
  for (const { stepM, day } of passes) byDay.set(day, [...(byDay.get(day) ?? []), stepM]);
  const days = byDay.size;
  const steps = days >= LEAST_PASSES ? [...byDay.values()].map(mean) : passes.map(({ stepM }) => stepM);
  const strideM = mean(steps);
  const halfM = (studentTwoSided(0.95, steps.length - 1) * standardDeviation(steps)) / Math.sqrt(steps.length);
  return { strideM, lowM: strideM - halfM, highM: strideM + halfM, legs: passes.length, days };
}
