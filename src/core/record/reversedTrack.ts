import type { ItemTrack } from '../layout/layout';

/** A track ridden the other way: last item first, each from its other side. */
export function reversedTrack(track: ItemTrack): ItemTrack {
  return {
    ...track,
    through: [...track.through].reverse().map(({ item, reversed }) => ({ item, reversed: !reversed })),
    legs: [...track.legs].reverse(),
  };
}
