import { poseAt, type Caution, type PointM, type ReckonedTrack, type ResolvedPlan } from '@/core';

/** A place of the sand that cautions are about: how bad the worst of them is, and which they are, by their order in the list. */
export type CautionSpot = { key: string; at: PointM; level: Caution['level']; cautions: number[] };

/** Where the cautions of a layout are; those about the layout as a whole are nowhere. */
export function cautionSpots(
  cautions: readonly Caution[],
  { layout }: Pick<ResolvedPlan, 'layout'>,
  tracks: readonly ReckonedTrack[],
): CautionSpot[] {
  const spots = new Map<string, CautionSpot>();
  cautions.forEach((caution, index) => {
    const found = placeOf(caution, layout.items, tracks);
    if (!found) return;
    const before = spots.get(found.key);
    // The worst come first: the first of a place says how bad it is.
    if (before) before.cautions.push(index);
    else spots.set(found.key, { ...found, level: caution.level, cautions: [index] });
  });
  return [...spots.values()];
}

function placeOf(
  { items, place }: Caution,
  laid: readonly { id: string; at: PointM }[],
  tracks: readonly ReckonedTrack[],
): { key: string; at: PointM } | null {
  const track = tracks.find(({ id }) => id === place.track);
  const leg = track?.kind === 'items' && place.part !== null ? track.legs[place.part] : undefined;
  if (leg && items.length > 1) {
    const { at } = poseAt(leg.chain, leg.chain.lengthM / 2);
    return { key: `${track!.id} ${place.part}`, at };
  }
  const item = laid.find(({ id }) => id === items[0]);
  return item ? { key: item.id, at: item.at } : null;
}
