import type { PlannedTrack } from '../layout/layout';
import type { Plan } from './plan';
import { CIRCLE } from './tracksByHand';

/**
 * A plan whose tracks can be reckoned: a leg back to the same item, the same way, is a circle, and no other leg is. Turning
 * an item round or leaving one out can make or end such a leg. The same plan comes back where there is nothing to mend.
 */
export function soundPlan(plan: Plan): Plan {
  const tracks = plan.tracks.map(soundTrack);
  return tracks.some((track, index) => track !== plan.tracks[index]) ? { ...plan, tracks } : plan;
}

function soundTrack(track: PlannedTrack): PlannedTrack {
  if (track.kind === 'figures') return track;
  const legs = track.legs.map((leg, index) => {
    const from = track.through[index]!;
    const to = track.through[index + 1]!;
    const back = from.item === to.item && from.reversed === to.reversed;
    return back === (leg.circle !== null) ? leg : { ...leg, circle: back ? CIRCLE : null };
  });
  return legs.some((leg, index) => leg !== track.legs[index]) ? { ...track, legs } : track;
}
