import type { RiddenItem } from '../items/item';
import { ridingDepthM } from '../items/footprint';
import type { ItemTrack, Layout, LayoutHorse } from '../layout/layout';
import { distanceCaseOf, fittingTurnM, hasPoledGap, legGroundOf, turningHorse } from '../layout/reckonLayout';
import { layoutStride, settingAt } from '../layout/layoutStrides';
import type { DistanceCase } from '../stride/distanceRule';
import type { TestedStride } from '../stride/readDistance';
import { legTrack, measureLeg, type LegGround } from '../track/leg';
import { groundCost, leastTurnM } from '../track/turnCost';

/** A leg of a track as a fit looks at it: what it joins, and for whom it is read. */
export type FitLeg = {
  track: ItemTrack;
  leg: number;
  from: string;
  to: string;
  /** Where a pole lies in the gap, the item that the gap begins at: its ground counts too. */
  gapFrom: string | null;
  distance: DistanceCase;
  horses: { horse: LayoutHorse; stride: TestedStride; leastTurnM: number }[];
};

/** A leg as it lies: its ground as it counts for strides, and its tightest turn. */
export type RiddenLeg = { countedM: number; smallestRadiusM: number };

/** The legs of a layout that somebody of the horses rides, as a fit looks at them. */
export function fitLegs(layout: Layout, horseIds: readonly string[]): FitLeg[] {
  const horses = layout.horses.filter(({ id }) => horseIds.includes(id));
  return layout.tracks.flatMap(track => {
    if (track.kind !== 'items') return [];
    return track.legs.flatMap((planned, leg): FitLeg[] => {
      const [from, to] = [track.through[leg]!, track.through[leg + 1]!];
      // Round to the same again nothing is joined.
      if (from.item === to.item) return [];
      const gapFrom = hasPoledGap(layout, track, leg) ? track.through[leg - 1]!.item : null;
      const setting = settingAt(track.gait, planned);
      const fittingM = fittingTurnM(layout, track.gait);
      const known = horses.flatMap(horse => {
        const stride = layoutStride(horse, track.gait, setting);
        if (!stride) return [];
        return [{ horse, stride, leastTurnM: leastTurnM(track.gait, turningHorse(horse, track.gait), fittingM) }];
      });
      if (known.length === 0) return [];
      const distance = distanceCaseOf(layout, track, leg);
      return [{ ...{ track, leg, from: from.item, to: to.item, gapFrom, distance }, horses: known }];
    });
  });
}

/** How a leg lies, from the items as they stand; the same as the layout reckons it, without what each horse makes of it. */
export function legAsRidden(layout: Layout, leg: FitLeg, itemOf: (id: string) => RiddenItem): RiddenLeg {
  const ground = legGroundOf(layout, leg.track);
  const fittingM = fittingTurnM(layout, leg.track.gait);
  const own = oneLeg(leg, leg.leg, ground, itemOf);
  const before = leg.gapFrom === null ? null : oneLeg(leg, leg.leg - 1, ground, itemOf);
  const chain = before
    ? {
        ...before.chain,
        segments: [...before.chain.segments, ...own.chain.segments],
        lengthM: before.chain.lengthM + own.chain.lengthM,
      }
    : own.chain;
  const groundM = own.groundM + (before?.groundM ?? 0);
  const behindM = ridingDepthM(itemOf(leg.gapFrom ?? leg.from)) / 2;
  const { countedM } = groundCost(chain, behindM, groundM, fittingM);
  return { countedM, smallestRadiusM: own.radiusM };
}

function oneLeg({ track }: FitLeg, leg: number, ground: LegGround, itemOf: (id: string) => RiddenItem) {
  const [from, to] = [track.through[leg]!, track.through[leg + 1]!];
  const [a, b] = [itemOf(from.item), itemOf(to.item)];
  const laid = legTrack(
    { item: a, reversed: from.reversed },
    { item: b, reversed: to.reversed },
    track.legs[leg]!,
    ground,
  );
  if (!laid.ok) throw new RangeError(`legAsRidden: ${laid.reason}`);
  const { groundM, smallestRadiusM } = measureLeg(a, b, laid.chain);
  return { chain: laid.chain, groundM, radiusM: smallestRadiusM ?? Infinity };
}
