import type { Item } from '../items/item';
import type { Layout } from '../layout/layout';
import { applyEdits } from '../layout/layoutEdit';
import { moveForGround } from '../layout/moveForGround';
import { itemsAsMeasured } from './asMeasured';
import type { MeasureId } from './placing';
import type { SettingSheet } from './settingSheet';

/** What was really measured on the ground: lengths of a sheet, and distances between pieces along their track, metres. */
export type GroundTruth = {
  measures: ReadonlyMap<MeasureId, number>;
  legs: readonly { track: string; leg: number; groundM: number }[];
};

/** Where the pieces stand, or the leg that nothing can be that long. */
export type AsSet = { ok: true; items: Item[] } | { ok: false; from: string; to: string };

/**
 * Where every piece stands, by what was measured: first by the measures of the sheet, then each distance that was taped
 * moves its second piece along its line.
 * @throws {RangeError} a leg that the layout does not have, or a length that is negative or not finite
 */
export function itemsAsSet(layout: Layout, sheet: SettingSheet, { measures, legs }: GroundTruth): AsSet {
  const lengths = [...measures.values(), ...legs.map(({ groundM }) => groundM)];
  if (!lengths.every(lengthM => lengthM >= 0 && lengthM < Infinity)) throw new RangeError('itemsAsSet: lengths');
  let standing: Layout = { ...layout, items: itemsAsMeasured(layout, sheet, measures) };
  for (const { track: id, leg, groundM } of legs) {
    const track = layout.tracks.find(candidate => candidate.id === id);
    if (track?.kind !== 'items' || !track.legs[leg]) throw new RangeError(`itemsAsSet: no leg ${leg} of “${id}”`);
    const [from, to] = [track.through[leg]!.item, track.through[leg + 1]!.item];
    const moved =
      from === to
        ? ({ ok: false } as const)
        : moveForGround(standing, track, leg, { by: 'tape', lengthM: groundM }, [to], true);
    if (!moved.ok) return { ok: false, from, to };
    standing = applyEdits(standing, moved.edits);
  }
  return { ok: true, items: standing.items };
}

/** How far a piece stands from where the plan has it, and which way it is to go back, as ridden. */
export type OutOfPlace = { item: string; offM: number; back: { aheadM: number; leftM: number }; turnedRad: number };

/** What is out of place by more than this is worth carrying back, metres and radians. */
const WORTH_M = 0.005;
const WORTH_RAD = 0.002;

/** The pieces that do not stand where the plan has them, the farthest off first. */
export function outOfPlace(planned: readonly Item[], standing: readonly Item[]): OutOfPlace[] {
  return planned
    .flatMap(item => {
      const now = standing.find(({ id }) => id === item.id);
      if (!now) return [];
      const [dx, dy] = [item.at.xM - now.at.xM, item.at.yM - now.at.yM];
      const headingRad = 'headingRad' in item ? item.headingRad : Math.PI / 2;
      const turn = 'headingRad' in item && 'headingRad' in now ? item.headingRad - now.headingRad : 0;
      const [cos, sin] = [Math.cos(headingRad), Math.sin(headingRad)];
      const back = { aheadM: dx * cos + dy * sin, leftM: dy * cos - dx * sin };
      return [{ item: item.id, offM: Math.hypot(dx, dy), back, turnedRad: Math.atan2(Math.sin(turn), Math.cos(turn)) }];
    })
    .filter(({ offM, turnedRad }) => offM > WORTH_M || Math.abs(turnedRad) > WORTH_RAD)
    .sort((a, b) => b.offM - a.offM);
}
