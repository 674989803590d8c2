import { layoutHorse, NO_EARLIER_WORK, type RecordLog } from '@/core';
import type { RunPair } from './runStage';

export type RidingPair = RunPair & { rides: boolean };

/**
 * The pairs of a lesson as it is now, whether or not they still ride: those that the page came with, and those that joined
 * since. A horse that nobody knows more of yet has the strides that practice has for its height.
 */
export function pairsNow(
  pairs: readonly RunPair[],
  { joins, rides }: Pick<RecordLog, 'joins' | 'rides'>,
): RidingPair[] {
  const joined = joins
    .filter(({ pairId }, at) => joins.findIndex(join => join.pairId === pairId) === at)
    .filter(({ pairId }) => !pairs.some(({ id }) => id === pairId))
    .map(({ pairId, horse, rider }): RunPair => {
      // The same horse with another rider is the same horse.
      const known = pairs.find(({ horseId }) => horseId === horse.id);
      return {
        ...{ id: pairId, horseId: horse.id, horse: horse.name, rider: rider.name, planned: false },
        strides: known?.strides ?? layoutHorse({ ...horse, type: 'all-round', level: 'novice', strides: {} }),
        earlier: known?.earlier ?? NO_EARLIER_WORK,
      };
    });
  return [...pairs, ...joined].map(pair => ({ ...pair, rides: rides[pair.id] ?? pair.planned }));
}
