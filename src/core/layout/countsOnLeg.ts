import { readCount } from '../stride/readDistance';
import type { StrideWord } from '../stride/strideWord';
import type { ItemTrack, Layout } from './layout';
import { countedGroundM, distanceCaseOf } from './reckonLayout';
import { layoutStride, settingAt } from './layoutStrides';
import type { ReckonedLeg } from './reckonedLeg';

/** One count of a leg for one horse; null where the horse cannot ride it so at all, or the count is not rated there. */
export type CountRead = { strides: number; q: number; word: StrideWord } | null;

export type HorseCounts = { horseId: string; horse: string; counts: CountRead[] };

/**
 * What every horse makes of several counts on the same leg, each judged by itself.
 * @param counts - whole numbers of strides, ≥ 0
 * @returns one entry a horse whose stride is known, its counts in the order asked
 */
export function countsOnLeg(
  layout: Layout,
  track: ItemTrack,
  leg: number,
  reckoned: ReckonedLeg,
  counts: readonly number[],
): HorseCounts[] {
  const setting = settingAt(track.gait, track.legs[leg]!);
  const distance = distanceCaseOf(layout, track, leg);
  return reckoned.readings.flatMap(({ horseId, horse, cannot, ownLine }) => {
    const own = layout.horses.find(({ id }) => id === horseId);
    const stride = own && layoutStride(own, track.gait, setting);
    if (!stride) return [];
    const groundM = ownLine?.groundM ?? countedGroundM(reckoned);
    const read = counts.map(strides => {
      const found = cannot ? null : readCount(groundM, strides, distance, stride);
      return found && { strides, ...found };
    });
    return [{ horseId, horse, counts: read }];
  });
}

/** One fewer, the count itself, and one more. */
export const countsAround = (strides: number): number[] =>
  [strides - 1, strides, strides + 1].filter(count => count >= 0);
