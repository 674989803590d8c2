import { studentTwoSided } from '../statistics/studentQuantile';

/** A taped length that somebody walked, and the steps it took, to the half. */
export type StepWalk = { lengthM: number; steps: number };

export type OwnStep = { stepM: number; lowM: number; highM: number; walks: number };

/** Common practice, no source: how much a step differs from walk to walk, as if four walks had shown it. */
const USUAL = { spread: 0.02, walks: 4 };
/** Steps are counted to the half: an error anywhere within a quarter step either way. */
const COUNT_ERROR = 0.25;
const Z_95 = 1.96;

/**
 * A person's own step from taped walks: all metres over all steps, and where it lies 95 times in 100. Their
 * own spread from walk to walk says how sure it is, weighed with the usual one while the walks are few (Student), and the
 * counting to the half step.
 * @throws {RangeError} no walks, or lengths and steps that are not positive and finite
 */
export function ownStep(walks: readonly StepWalk[]): OwnStep {
  const possible = ({ lengthM, steps }: StepWalk) => lengthM > 0 && lengthM < Infinity && steps > 0 && steps < Infinity;
  if (walks.length === 0 || !walks.every(possible)) throw new RangeError(`ownStep: ${JSON.stringify(walks)}`);
  const steps = walks.reduce((sum, walk) => sum + walk.steps, 0);
  const stepM = walks.reduce((sum, walk) => sum + walk.lengthM, 0) / steps;
  const k = walks.length;
  const counting = (Z_95 * COUNT_ERROR * Math.sqrt(k)) / Math.sqrt(3) / steps;
  const half = stepM * Math.hypot(spreadOfMean(walks, stepM), counting);
  return { stepM, lowM: stepM - half, highM: stepM + half, walks: k };
}

/** Half the width of the mean's interval from walk to walk, as a share: their own spread, weighed with the usual one. */
function spreadOfMean(walks: readonly StepWalk[], stepM: number): number {
  const k = walks.length;
  const squares = walks.reduce((sum, { lengthM, steps }) => sum + (lengthM / steps / stepM - 1) ** 2, 0);
  const degrees = USUAL.walks + k - 1;
  const spread = Math.sqrt((USUAL.walks * USUAL.spread ** 2 + squares) / degrees);
  return (studentTwoSided(0.95, degrees) * spread) / Math.sqrt(k);
}

/**
 * How far off somebody ends who walks a distance by a step that is not theirs: positive is long.
 * @param byStepM - the step the distance was divided by
 */
export function walkedError(distanceM: number, byStepM: number, trueStepM: number): number {
  return (distanceM / byStepM) * trueStepM - distanceM;
}
