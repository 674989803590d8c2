import { isRaised } from '../items/pole';
import type { Layout } from '../layout/layout';
import type { ReckonedTrack } from '../layout/reckonedTrack';

/** What stands where a fault happened: what is offered against it must be possible there. Places count from 1, as drawn. */
export type FaultGround = {
  at: (place: number) => 'fence' | 'raised pole' | 'pole' | null;
  /** How far behind a fence the pole lies that comes next, metres; null where none does. */
  landingPoleM: (place: number) => number | null;
  /** A row of poles from end to end, whose gaps are closed and opened together. */
  isRow: boolean;
};

/** Where nothing is known of the ground. */
export const NO_GROUND: FaultGround = { at: () => null, landingPoleM: () => null, isRow: false };

/** The ground of an asked layout. */
export function faultGround({ items, tracks: [track] }: Pick<Layout, 'items' | 'tracks'>, reckoned: ReckonedTrack) {
  if (track?.kind !== 'items' || reckoned.kind !== 'items') return NO_GROUND;
  const itemAt = (place: number) => items.find(({ id }) => id === track.through[place - 1]?.item);
  const at: FaultGround['at'] = place => {
    const item = itemAt(place);
    if (item?.kind === 'fence') return 'fence';
    return item?.kind === 'pole' ? (isRaised(item.raised) ? 'raised pole' : 'pole') : null;
  };
  const stops = track.through.map((_, index) => at(index + 1));
  return {
    at,
    landingPoleM: (place: number) =>
      at(place) === 'fence' && itemAt(place + 1)?.kind === 'pole' ? (reckoned.legs[place - 1]?.groundM ?? null) : null,
    isRow: stops.length > 1 && !stops.includes('fence'),
  };
}
