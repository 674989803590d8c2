import type { Rein } from '../track/rein';
import type { ReviewPass } from './reviewPass';

/** Which passes are looked at together: what is left out is not asked for. */
export type SideChoice = {
  pairId?: string;
  layoutId?: string;
  /** One setting of a layout: the version that was ridden. */
  layoutVersionId?: string;
  /** The first and the last of its days, "2026-05-04", both of them in. */
  fromDay?: string;
  untilDay?: string;
  rein?: Rein;
};

/**
 * The passes of a side: those that count, and that were ridden as they are asked, not as lines by themselves.
 * @param layoutOf - the layout of a version; null where it is not known
 */
export function passesOfSide(
  passes: readonly ReviewPass[],
  side: SideChoice,
  layoutOf: (versionId: string) => string | null,
): ReviewPass[] {
  const { pairId, layoutId, layoutVersionId, fromDay, untilDay, rein } = side;
  return passes.filter(
    pass =>
      !pass.isVoid &&
      pass.line === null &&
      (pairId === undefined || pass.pairId === pairId) &&
      (layoutId === undefined || layoutOf(pass.layoutVersionId) === layoutId) &&
      (layoutVersionId === undefined || pass.layoutVersionId === layoutVersionId) &&
      (fromDay === undefined || pass.day >= fromDay) &&
      (untilDay === undefined || pass.day <= untilDay) &&
      (rein === undefined || pass.rein === rein),
  );
}
