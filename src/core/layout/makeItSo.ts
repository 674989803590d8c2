import { isInsideArena } from '../arena/arena';
import { groundForCountM, type TestedStride } from '../stride/readDistance';
import { groupGround } from '../stride/groupGround';
import type { ItemTrack, Layout, LayoutHorse } from './layout';
import { applyEdits, type LayoutEdit } from './layoutEdit';
import { moveForGround } from './moveForGround';
import { distanceCaseOf, reckonItemTrack } from './reckonLayout';
import { layoutStride, settingAt } from './layoutStrides';

export type MadeSo =
  { ok: true; edits: LayoutEdit[]; groundM: number; moved: string[] } | { ok: false; reason: string };

/**
 * Moves the second item of a leg so that it rides in the asked count: even for one horse, or as even as it can be for
 * several. What follows it on the track goes along, so that the distances behind it stay; where that leaves the arena,
 * the second item moves alone.
 * @throws {RangeError} no horses, or a count that is not a whole number ≥ 0
 */
export function makeItSo(
  layout: Layout,
  track: ItemTrack,
  leg: number,
  strides: number,
  horses: readonly LayoutHorse[],
): MadeSo {
  const known = horses.flatMap(horse => layoutStride(horse, track.gait, settingAt(track.gait, track.legs[leg]!)) ?? []);
  if (known.length === 0) throw new RangeError('makeItSo: no horse whose stride is known');
  const countedM = countedOf(layout, track, leg, strides, known);
  if (countedM === null) return { ok: false, reason: 'No stride at all is not rated here: ask for another count.' };
  const second = track.through[leg + 1]!.item;
  const following = itemsAfter(track, leg);
  const edit: LayoutEdit = { kind: 'change-leg', track: track.id, leg, changes: { asked: strides } };
  for (const moved of following.length > 1 ? [following, [second]] : [[second]]) {
    const line = moveForGround(layout, track, leg, { by: 'count', lengthM: countedM }, moved, true);
    if (line.ok && isInside(layout, line.edits, moved)) {
      const { groundM } = reckonItemTrack(applyEdits(layout, line.edits), track).legs[leg]!;
      return { ok: true, edits: [...line.edits, edit], groundM, moved };
    }
  }
  return { ok: false, reason: `There is no room on this line for ${strides} ${strides === 1 ? 'stride' : 'strides'}.` };
}

/** The ground that serves the horses for a count, as it counts for strides. */
function countedOf(
  layout: Layout,
  track: ItemTrack,
  leg: number,
  strides: number,
  known: readonly TestedStride[],
): number | null {
  const distance = distanceCaseOf(layout, track, leg);
  if (known.length === 1) return groundForCountM(strides, distance, known[0]!.normalM);
  return groupGround(strides, distance, known)?.groundM ?? null;
}

/** The second item of a leg and what is ridden after it, without what was ridden before. */
export function itemsAfter({ through }: ItemTrack, leg: number): string[] {
  const before = new Set(through.slice(0, leg + 1).map(({ item }) => item));
  return [...new Set(through.slice(leg + 1).map(({ item }) => item))].filter(item => !before.has(item));
}

/** Whether all that moves still lies on the sand once the edits are made. */
export function isInside(layout: Layout, edits: readonly LayoutEdit[], moved: readonly string[]): boolean {
  const { items, arena } = applyEdits(layout, edits);
  return items.every(({ id, at }) => !moved.includes(id) || isInsideArena(arena, at));
}
