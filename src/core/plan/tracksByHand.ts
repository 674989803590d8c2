import type { RiddenItem } from '../items/item';
import type { PointM } from '../geometry/pointM';
import { DEFAULT_LEG, type ItemTrack, type PlannedLeg, type PlannedTrack } from '../layout/layout';
import type { TrackGait } from '../layout/trackGait';
import type { Plan } from './plan';

/** Common practice, no source: a circle back to the same item, where nobody said another. */
export const CIRCLE = { rein: 'left', radiusM: 10 } as const;

type Stop = ItemTrack['through'][number];

/** Adds a stop at the end of a track; a track that is not there yet begins with it. */
export function appendStop(plan: Plan, id: string, gait: TrackGait, stop: Stop): Plan {
  const track = plan.tracks.find(one => one.id === id);
  if (!track) return withTracks(plan, [...plan.tracks, begun(id, gait, stop)]);
  if (track.kind === 'figures') return plan;
  const last = track.through[track.through.length - 1]!;
  const legs = [...track.legs, legBetween(last, stop, track.legs[track.legs.length - 1])];
  return withTrack(plan, { ...track, through: [...track.through, stop], legs });
}

function begun(id: string, gait: TrackGait, stop: Stop): ItemTrack {
  return { kind: 'items', id, name: null, gait, through: [stop], legs: [], course: null, passes: 1 };
}

/** A leg like the one before it; back to the same item, the same way, it is a circle. */
function legBetween(from: Stop, to: Stop, like: PlannedLeg | undefined): PlannedLeg {
  const circle = from.item === to.item && from.reversed === to.reversed ? CIRCLE : null;
  const { setting, approach } = like ?? DEFAULT_LEG;
  return { ...DEFAULT_LEG, setting, approach, circle };
}

/** Takes the last stop of a track away, and the track with its only one. */
export function dropLastStop(plan: Plan, id: string): Plan {
  const track = plan.tracks.find(one => one.id === id);
  if (!track || track.kind === 'figures') return plan;
  if (track.through.length === 1) return removeTrack(plan, id);
  return withTrack(plan, { ...track, through: track.through.slice(0, -1), legs: track.legs.slice(0, -1) });
}

/** Rides one stop of a track earlier or later; the legs are planned anew where their ends changed. */
export function moveStop(plan: Plan, id: string, index: number, to: number): Plan {
  const track = plan.tracks.find(one => one.id === id);
  if (!track || track.kind === 'figures' || to < 0 || to >= track.through.length) return plan;
  const through = [...track.through];
  const [stop] = through.splice(index, 1);
  through.splice(to, 0, stop!);
  return withTrack(plan, { ...track, through, legs: legsFor(track, through) });
}

/** Takes one stop out of a track. */
export function removeStop(plan: Plan, id: string, index: number): Plan {
  const track = plan.tracks.find(one => one.id === id);
  if (!track || track.kind === 'figures') return plan;
  const through = track.through.filter((_, at) => at !== index);
  if (through.length === 0) return removeTrack(plan, id);
  return withTrack(plan, { ...track, through, legs: legsFor(track, through) });
}

/** A leg stays as it was planned where the same two stops still follow each other. */
function legsFor(track: ItemTrack, through: readonly Stop[]): PlannedLeg[] {
  return through.slice(1).map((to, index) => {
    const from = through[index]!;
    const before = track.through.findIndex((stop, at) => stop === from && track.through[at + 1] === to);
    return track.legs[before] ?? legBetween(from, to, track.legs[0]);
  });
}

export function removeTrack(plan: Plan, id: string): Plan {
  return withTracks(
    plan,
    plan.tracks.filter(one => one.id !== id),
  );
}

/** Puts a changed track in the place of the one with its id. */
export function withTrack(plan: Plan, track: PlannedTrack): Plan {
  return withTracks(
    plan,
    plan.tracks.map(one => (one.id === track.id ? track : one)),
  );
}

function withTracks(plan: Plan, tracks: PlannedTrack[]): Plan {
  return { ...plan, tracks };
}

/** Whether an item is ridden from behind by somebody who comes to it from this side. */
export function comesFromBehind(item: RiddenItem, from: PointM): boolean {
  const ahead = (from.xM - item.at.xM) * Math.cos(item.headingRad) + (from.yM - item.at.yM) * Math.sin(item.headingRad);
  return ahead > 0;
}

/** Gives an item, a track or an exercise a name, or takes it away: null. What it is held by is its id, which stays. */
export function renameThing(plan: Plan, id: string, name: string | null): Plan {
  const renamed = <Thing extends { id: string; name: string | null }>(things: readonly Thing[]): Thing[] =>
    things.map(thing => (thing.id === id ? { ...thing, name } : thing));
  return {
    ...plan,
    items: renamed(plan.items),
    tracks: renamed(plan.tracks),
    exercises: renamed(plan.exercises),
  };
}
