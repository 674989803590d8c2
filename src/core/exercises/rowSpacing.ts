import { profileStride, type HorseProfile, type StrideSource } from '../horse/strideProfile';
import { isRaised } from '../items/pole';
import { ENTRY_OF_GAIT, type PoleRow } from './poleRow';

/** Common practice, no source: raised poles shorten the step a little, so they are set closer. */
export const RAISED_CLOSER_M = 0.05;

export type RowSpacingReading = {
  /** Centre to centre, along the row. */
  spacingM: number;
  /** The horse's own normal step or stride over poles at this gait. */
  normalM: number;
  /** How much closer the row lies because its poles are raised; 0 on the ground or when set by hand. */
  raisedCloserM: number;
  source: StrideSource | 'hand';
};

/**
 * The spacing of a row for a horse: its step (walk, trot) or stride (canter) over poles, 5 cm closer once half of the
 * poles or more are raised. One spacing serves the whole row, so that it stays even. A spacing set by hand wins.
 */
export function rowSpacing(row: PoleRow, horse: HorseProfile): RowSpacingReading {
  const entry = ENTRY_OF_GAIT[row.gait];
  const stride = profileStride(horse, entry);
  if (!stride) throw new RangeError(`rowSpacing: no stride for ${entry}`);
  if (row.spacing.by === 'hand')
    return { spacingM: row.spacing.spacingM, normalM: stride.normalM, raisedCloserM: 0, source: 'hand' };
  const raisedCount = row.raised.filter(isRaised).length;
  const raisedCloserM = raisedCount > 0 && raisedCount * 2 >= row.raised.length ? RAISED_CLOSER_M : 0;
  return { spacingM: stride.normalM - raisedCloserM, normalM: stride.normalM, raisedCloserM, source: stride.source };
}
