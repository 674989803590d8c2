import { layoutHorse, NO_EARLIER_WORK, standingChange, type RecordChange, type RecordLog } from '@/core';
import type { RunPair } from './runStage';

export type RidingPair = RunPair & { rides: boolean };

/**
 * The pairs of a lesson as it is now, whether or not they still ride: those that the page came with, and those that joined
 * since, in the order that was said last. A horse that nobody knows more of yet has the strides that practice has for its height.
 */
export function pairsNow(
  pairs: readonly RunPair[],
  { joins, rides, changes }: Pick<RecordLog, 'joins' | 'rides' | 'changes'>,
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
  const order = orderSaid(changes);
  const placeOf = (id: string) => (order.includes(id) ? order.indexOf(id) : order.length);
  return [...pairs, ...joined]
    .map(pair => ({ ...pair, rides: rides[pair.id] ?? pair.planned }))
    .sort((a, b) => placeOf(a.id) - placeOf(b.id));
}

/** The order of pairs that was said last; none where nobody said one. */
function orderSaid(changes: readonly RecordChange[]): readonly string[] {
  const ofOrder = changes.filter(change => change.on === 'lesson' && change.what === 'order');
  const last = ofOrder.length === 0 ? null : standingChange(ofOrder);
  return last?.what === 'order' ? last.to : [];
}
