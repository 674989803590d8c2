import type { Layout } from '../layout/layout';
import type { ReckonedTrack } from '../layout/reckonLayout';
import { between } from './between';
import type { Caution } from './caution';
import { fromBehind } from './fromBehind';
import { noNaturalTrack } from './noNaturalTrack';
import { itemOffArena, legOffArena } from './offArena';
import { outOfReach } from './outOfReach';

/** What to look at in a reckoned layout before anybody rides it. */
export function layoutCautions(layout: Layout, tracks: readonly ReckonedTrack[]): Caution[] {
  return [
    ...layout.items.flatMap(item => itemOffArena(layout.arena, item)),
    ...layout.tracks.flatMap(track => fromBehind(layout, track)),
    ...tracks.flatMap(track =>
      track.legs.flatMap(leg => [
        ...noNaturalTrack(leg),
        ...legOffArena(layout.arena, leg),
        ...leg.readings.flatMap(reading => [...outOfReach(leg, reading), ...between(leg, reading)]),
      ]),
    ),
  ];
}
