import { distanceM } from '../geometry/pointM';
import type { Layout } from '../layout/layout';
import { endsAsMeasured } from './asMeasured';
import { pieceEnds } from './pieceEnds';
import type { SettingSheet } from './settingSheet';

/** How far a length that is walked in steps may end from what it says: somebody's step is only known so well, metres. */
export function walkedLengthOffM(lengthM: number, stepShare: number): number {
  return lengthM * stepShare + BY_HAND_M;
}

/** The remainder of each measure is laid by hand to half a centimetre or an eighth of an inch; two or three add up. */
const BY_HAND_M = 0.015;

/**
 * How far each piece may end from where it belongs when its measures are walked in steps and the remainders laid by hand:
 * somebody's step is only known so well, and all their steps are off the same way.
 * @param stepM - what the measures were divided by, > 0
 * @param stepShare - how far the true step may be from that, as a share of it: 0.03 for 3 %; ≥ 0, < 1
 * @returns metres by item
 */
export function walkedOffM(
  layout: Pick<Layout, 'arena' | 'items'>,
  sheet: SettingSheet,
  stepM: number,
  stepShare: number,
): Map<string, number> {
  if (!(stepM > 0 && stepM < Infinity && stepShare >= 0 && stepShare < 1))
    throw new RangeError(`walkedOffM(${stepM}, ${stepShare})`);
  const worst = new Map(layout.items.map(({ id }) => [id, 0]));
  for (const share of [-stepShare, -stepShare / 2, stepShare / 2, stepShare]) {
    const lengths = new Map(
      sheet.measures.map(({ id, lengthM }) => {
        const walkedM = (Math.round((lengthM / stepM) * 2) / 2) * stepM;
        return [id, lengthM + walkedM * share];
      }),
    );
    // Lengths that follow from others are laid by the piece itself, and those are not walked.
    const marks = endsAsMeasured(layout, sheet, lengths);
    for (const item of layout.items) {
      const ends = marks.get(item.id) ?? [];
      const off = Math.max(0, ...pieceEnds(item).map(({ at }, end) => distanceM(at, ends[end] ?? at)));
      worst.set(item.id, Math.max(worst.get(item.id)!, off));
    }
  }
  return new Map([...worst].map(([id, off]) => [id, off + BY_HAND_M]));
}
