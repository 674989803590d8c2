import { mayRideFromBehind } from '../items/footprint';
import { isRidden } from '../items/item';
import type { ItemTrack, Layout } from '../layout/layout';
import { chainsOf } from '../layout/alongTrack';
import { reckonLayout } from '../layout/reckonLayout';
import type { RideDirection } from '../record/rideDirection';
import { otherRein, type Rein } from '../track/rein';
import { turningOf } from './turning';

/** One way of riding a question: on which rein, null where its track changes it, and which way round. */
export type RideWay = { rein: Rein | null; direction: RideDirection };

/** Whether everything on a track may be ridden from both sides. */
export function goesBothWays(layout: Pick<Layout, 'items'>, { through }: ItemTrack): boolean {
  return through.every(({ item: id }) =>
    layout.items.some(item => item.id === id && isRidden(item) && mayRideFromBehind(item)),
  );
}

/**
 * The ways in which the one track of an asked layout may be ridden, the one as drawn first. On a straight line the approach
 * rein and the direction are two things. On a track that turns they are one: the other rein is the other way round, or the
 * mirror image where something may be ridden one way only. A track that changes the rein has none. A figure is on the rein
 * it begins on, and its mirror image on the other.
 */
export function waysToRide(asked: Layout): RideWay[] {
  const track = asked.tracks[0];
  if (!track) return [];
  if (track.kind === 'figures') {
    const rein = track.figures[0]?.figure.rein ?? 'left';
    return [
      { rein, direction: 'as-drawn' },
      { rein: otherRein(rein), direction: 'mirrored' },
    ];
  }
  const bothWays = goesBothWays(asked, track);
  const turning = turningOf(chainsOf(reckonLayout({ ...asked, horses: [] })[0]!));
  if (turning === 'changes') return eachDirection(bothWays).map(direction => ({ rein: null, direction }));
  if (turning === 'straight')
    return eachDirection(bothWays).flatMap(direction => [
      { rein: 'left', direction },
      { rein: 'right', direction },
    ]);
  return [
    { rein: turning, direction: 'as-drawn' },
    { rein: otherRein(turning), direction: bothWays ? 'other-way' : 'mirrored' },
  ];
}

const eachDirection = (bothWays: boolean): RideDirection[] => (bothWays ? ['as-drawn', 'other-way'] : ['as-drawn']);

/** Whether a question is asked on each rein: one whose track changes the rein is not. */
export function hasReins(ways: readonly RideWay[]): boolean {
  return ways.some(({ rein }) => rein !== null);
}

/** The way that is nearest to one that was wished for: the same rein, the same direction where that goes. */
export function nearestWay(ways: readonly RideWay[], wish: RideWay): RideWay {
  return (
    ways.find(way => way.rein === wish.rein && way.direction === wish.direction) ??
    ways.find(way => way.rein === wish.rein) ??
    ways.find(way => way.direction === wish.direction) ??
    ways[0] ?? { rein: null, direction: 'as-drawn' }
  );
}
