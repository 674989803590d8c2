import { callInWords } from '../stride/callInWords';
import { distanceRule } from '../stride/distanceRule';
import { groundForCountM } from '../stride/readDistance';
import type { ItemTrack, Layout, LayoutHorse } from '../layout/layout';
import type { LayoutEdit } from '../layout/layoutEdit';
import { moveForGround } from '../layout/moveForGround';
import { distanceCaseOf, hasPoledGap, reckonItemTrack } from '../layout/reckonLayout';
import { layoutStride, settingAt } from '../layout/layoutStrides';

export type CountSnap = { edits: LayoutEdit[]; words: string };

/**
 * Draws an item that is dragged to the place at which a leg beside it rides in an even count for one horse: a whole stride
 * or a whole step. Null where no such place is within reach.
 */
export function snapToCount(layout: Layout, item: string, horse: LayoutHorse, reachM: number): CountSnap | null {
  for (const track of layout.tracks) {
    if (track.kind === 'figures') continue;
    for (let leg = 0; leg < track.legs.length; leg += 1) {
      const [from, to] = [track.through[leg]!.item, track.through[leg + 1]!.item];
      if (from === to || (from !== item && to !== item)) continue;
      const snap = snapLeg(layout, track, leg, item, horse, reachM);
      if (snap) return snap;
    }
  }
  return null;
}

function snapLeg(
  layout: Layout,
  track: ItemTrack,
  leg: number,
  item: string,
  horse: LayoutHorse,
  reachM: number,
): CountSnap | null {
  // A pole in a gap goes where it lies: the gap is what has a count.
  if (hasPoledGap(layout, track, leg)) return null;
  const stride = layoutStride(horse, track.gait, settingAt(track.gait, track.legs[leg]!));
  const reckoned = reckonItemTrack({ ...layout, horses: [horse] }, alone(track, leg)).legs[0]!;
  const reading = reckoned.readings[0];
  if (!stride || !reading) return null;
  const distance = distanceCaseOf(layout, track, leg);
  for (const { strides } of reading.options) {
    const countedM = groundForCountM(strides, distance, stride.normalM);
    if (countedM === null || Math.abs(countedM - reckoned.cost.countedM) > reachM) continue;
    const moved = moveForGround(
      layout,
      track,
      leg,
      { by: 'count', lengthM: countedM },
      [item],
      track.through[leg + 1]!.item === item,
    );
    if (!moved.ok) continue;
    const even = [{ strides, q: 1, needM: stride.normalM, word: 'easy' as const }];
    return { edits: moved.edits, words: `${callInWords(even, distanceRule(distance).zeroIs)} for ${horse.name}` };
  }
  return null;
}

function alone(track: ItemTrack, leg: number): ItemTrack {
  return {
    ...track,
    course: null,
    through: track.through.slice(leg, leg + 2),
    legs: track.legs.slice(leg, leg + 1),
  };
}
