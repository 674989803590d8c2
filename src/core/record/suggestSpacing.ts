import { footfallChanges, meanFootfall, type Footfall } from './footfall';

export type FootfallDirection = 'short' | 'middle' | 'long';

export type SpacingSuggestion =
  | { kind: 'nothing-noted' }
  | {
      kind: 'keep' | 'close' | 'open' | 'look-at-pace';
      direction: FootfallDirection;
      meanFraction: number;
      /** What to set the row to next; the same spacing for "keep" and "look-at-pace". */
      nextSpacingM: number;
      changeM: number;
      /** How the change was found: from single judgements, or gap by gap. */
      from: 'judged' | 'gap-by-gap';
      passes: number;
    };

/** Common practice, no source: the band within which the foot falls "in the middle". */
const SHORT_BELOW = 0.4;
const LONG_ABOVE = 0.6;
/** Common practice, no source: one careful change, and the most at once. */
const CAREFUL_CHANGE_M = 0.05;
export const MOST_CHANGE_M = 0.1;
/** A change smaller than a pole can be laid by eye is no change. */
const SMALLEST_CHANGE_M = 0.01;

/** Which way a mean fraction points: the step is short for the spacing, right, or long. */
export function footfallDirection(meanFraction: number): FootfallDirection {
  if (meanFraction < SHORT_BELOW) return 'short';
  return meanFraction > LONG_ABOVE ? 'long' : 'middle';
}

/**
 * The spacing to try next, from where the foot fell in the passes ridden at one spacing.
 *
 * Gap by gap, the mean change a gap Δ gives the step the horse wants, P·(1 + Δ); a fraction that is off but constant
 * speaks of pace or of where the row was entered, so the poles stay. A single judged fraction gives a direction only:
 * under 0.4, 5 cm closer; over 0.6, steady the pace first, then 5 cm wider. Never more than 10 cm at once.
 * (Common practice, no source.)
 * @param spacingM - centre to centre of the row as ridden, metres, > 0
 * @param passes - the footfalls of each pass, oldest first
 * @throws {RangeError} a spacing that is not positive and finite
 */
export function suggestSpacing(spacingM: number, passes: readonly (readonly Footfall[])[]): SpacingSuggestion {
  if (!(spacingM > 0 && spacingM < Infinity)) throw new RangeError(`suggestSpacing: spacingM ${spacingM}`);
  const means = passes.map(meanFootfall).filter(mean => mean !== null);
  if (means.length === 0) return { kind: 'nothing-noted' };
  const meanFraction = average(means);
  const direction = footfallDirection(meanFraction);
  const changes = passes.flatMap(footfallChanges);
  const gapByGap = changes.length > 0;
  const wishedM = gapByGap ? average(changes) * spacingM : judgedChange(direction);
  const changeM = Math.abs(wishedM) < SMALLEST_CHANGE_M ? 0 : clampChange(wishedM);
  return {
    kind: suggestionKind(changeM, direction),
    direction,
    meanFraction,
    nextSpacingM: spacingM + changeM,
    changeM,
    from: gapByGap ? 'gap-by-gap' : 'judged',
    passes: means.length,
  };
}

function judgedChange(direction: FootfallDirection): number {
  if (direction === 'middle') return 0;
  return direction === 'short' ? -CAREFUL_CHANGE_M : CAREFUL_CHANGE_M;
}

function suggestionKind(changeM: number, direction: FootfallDirection): 'keep' | 'close' | 'open' | 'look-at-pace' {
  if (changeM < 0) return 'close';
  if (changeM > 0) return 'open';
  return direction === 'middle' ? 'keep' : 'look-at-pace';
}

function clampChange(changeM: number): number {
  return Math.min(MOST_CHANGE_M, Math.max(-MOST_CHANGE_M, changeM));
}

function average(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}
