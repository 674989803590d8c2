import { mirroredPlace } from '../geometry/frame';
import { pointAlong, type PointM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';
import { carryItem, carryTrack, type Carry } from '../exercises/carry';
import type { Item } from '../items/item';
import { keptOf } from '../layout/layoutEdit';
import { otherRein } from '../track/rein';
import type { PlacedRecipe, Plan } from './plan';

/**
 * What is moved as one on the sand: an item laid by hand, or an exercise as a whole. Every function returns a new plan;
 * what is locked stays where it is.
 */

/** The ids of everything that can be selected. */
export function thingIds(plan: Plan): string[] {
  return [...plan.items.map(({ id }) => id), ...plan.exercises.map(({ id }) => id)];
}

/** Where a thing is, or null where there is none of that id. */
export function thingAt(plan: Plan, id: string): PointM | null {
  return plan.items.find(item => item.id === id)?.at ?? plan.exercises.find(one => one.id === id)?.place.at ?? null;
}

type Change = { item: (item: Item) => Item; exercise: (placed: PlacedRecipe) => PlacedRecipe };

function changed(plan: Plan, ids: readonly string[], { item, exercise }: Change): Plan {
  const free = new Set(ids.filter(id => !plan.lockedIds.includes(id)));
  if (free.size === 0) return plan;
  return {
    ...plan,
    items: plan.items.map(one => (free.has(one.id) ? item(one) : one)),
    exercises: plan.exercises.map(one => (free.has(one.id) ? exercise(one) : one)),
  };
}

const shifted = (point: PointM, by: PointM): PointM => ({ xM: point.xM + by.xM, yM: point.yM + by.yM });

/** Moves things by the same way. A point that a leg rides through goes along where both its items do. */
export function moveThings(plan: Plan, ids: readonly string[], by: PointM): Plan {
  return changed(
    withVias(plan, ids, point => shifted(point, by)),
    ids,
    {
      item: item => ({ ...item, at: shifted(item.at, by) }),
      exercise: one => ({ ...one, place: { ...one.place, at: shifted(one.place.at, by) } }),
    },
  );
}

/** Turns things together about a point, anticlockwise. */
export function turnThings(plan: Plan, ids: readonly string[], byRad: number, about: PointM): Plan {
  const turned = ({ at, headingRad }: Pose): Pose => ({
    at: turnedPoint(at, byRad, about),
    headingRad: headingRad + byRad,
  });
  return changed(
    withVias(plan, ids, point => turnedPoint(point, byRad, about)),
    ids,
    {
      item: item =>
        'headingRad' in item ? { ...item, ...turned(item) } : { ...item, at: turnedPoint(item.at, byRad, about) },
      exercise: one => ({ ...one, place: turned(one.place) }),
    },
  );
}

function turnedPoint({ xM, yM }: PointM, byRad: number, about: PointM): PointM {
  const [cos, sin] = [Math.cos(byRad), Math.sin(byRad)];
  const [dx, dy] = [xM - about.xM, yM - about.yM];
  return { xM: about.xM + dx * cos - dy * sin, yM: about.yM + dx * sin + dy * cos };
}

/** The points that legs between moved items ride through. */
function withVias(plan: Plan, ids: readonly string[], change: (point: PointM) => PointM): Plan {
  const moved = new Set(ids.filter(id => !plan.lockedIds.includes(id)));
  const tracks = plan.tracks.map(track => {
    if (track.kind === 'figures') return track;
    const legs = track.legs.map((leg, index) => {
      const both = moved.has(track.through[index]!.item) && moved.has(track.through[index + 1]!.item);
      return both && typeof leg.track === 'object' ? { ...leg, track: { via: change(leg.track.via) } } : leg;
    });
    return legs.some((leg, index) => leg !== track.legs[index]) ? { ...track, legs } : track;
  });
  return { ...plan, tracks };
}

/** The other rein: things mirrored in the centre line of an arena so wide, with the tracks that ride over them alone. */
export function mirrorThings(plan: Plan, ids: readonly string[], widthM: number): Plan {
  const carry: Carry = {
    point: ({ xM, yM }) => ({ xM: widthM - xM, yM }),
    pose: pose => mirroredPlace(widthM, pose),
    swaps: true,
  };
  const mirrored = new Set(ids.filter(id => !plan.lockedIds.includes(id)));
  const tracks = plan.tracks.map(track =>
    track.kind === 'items' && track.through.every(({ item }) => mirrored.has(item)) ? carryTrack(track, carry) : track,
  );
  return changed({ ...plan, tracks }, ids, {
    item: item => carryItem(item, carry),
    exercise: one => ({ ...one, rein: otherRein(one.rein), place: mirroredPlace(widthM, one.place) }),
  });
}

/**
 * Takes things off the sand and out of the tracks by hand.
 * @param ownerOf - the exercise that an item belongs to
 */
export function removeThings(plan: Plan, ids: readonly string[], ownerOf: ReadonlyMap<string, string>): Plan {
  const gone = new Set(ids.filter(id => !plan.lockedIds.includes(id)));
  const isGone = (item: string) => gone.has(ownerOf.get(item) ?? item);
  const exercises = plan.exercises.filter(({ id }) => !gone.has(id));
  return {
    ...plan,
    items: plan.items.filter(({ id }) => !gone.has(id)),
    exercises,
    tracks: plan.tracks.flatMap(track => {
      if (track.kind === 'figures' || !track.through.some(({ item }) => isGone(item))) return [track];
      const kept = keptOf(track, ({ item }) => !isGone(item));
      return kept.through.length === 0 ? [] : [kept];
    }),
  };
}

/** Locks things where they are, or lets them go. */
export function lockThings(plan: Plan, ids: readonly string[], locked: boolean): Plan {
  const others = plan.lockedIds.filter(id => !ids.includes(id));
  return { ...plan, lockedIds: locked ? [...others, ...ids] : others };
}

/** Puts things on one line along or across the arena, where the first one is, or turns them the way it faces. */
export function alignThings(plan: Plan, ids: readonly string[], how: 'along' | 'across' | 'facing'): Plan {
  const first = ids[0] === undefined ? null : thingAt(plan, ids[0]);
  if (!first) return plan;
  const facing = headingOf(plan, ids[0]!);
  const at = (point: PointM): PointM => (how === 'along' ? { ...point, xM: first.xM } : { ...point, yM: first.yM });
  if (how !== 'facing')
    return changed(plan, ids, {
      item: item => ({ ...item, at: at(item.at) }),
      exercise: one => ({ ...one, place: { ...one.place, at: at(one.place.at) } }),
    });
  if (facing === null) return plan;
  return changed(plan, ids, {
    item: item => ('headingRad' in item ? { ...item, headingRad: facing } : item),
    exercise: one => ({ ...one, place: { ...one.place, headingRad: facing } }),
  });
}

function headingOf(plan: Plan, id: string): number | null {
  const item = plan.items.find(one => one.id === id);
  if (item) return 'headingRad' in item ? item.headingRad : null;
  return plan.exercises.find(one => one.id === id)?.place.headingRad ?? null;
}

/**
 * Spaces things evenly on the line from the first to the last of them, in the order they lie on it: between the two that
 * lie furthest apart, or so far from one to the next, from the one that is selected first.
 * @param gapM - centre to centre, or null to leave the outer two where they are
 */
export function spaceThings(plan: Plan, ids: readonly string[], gapM: number | null): Plan {
  const places = ids.flatMap(id => {
    const at = thingAt(plan, id);
    return at ? [{ id, at }] : [];
  });
  const [first, last] = [places[0], places[places.length - 1]];
  if (!first || !last || places.length < 2) return plan;
  const headingRad = Math.atan2(last.at.yM - first.at.yM, last.at.xM - first.at.xM);
  const along = ({ at }: { at: PointM }) =>
    (at.xM - first.at.xM) * Math.cos(headingRad) + (at.yM - first.at.yM) * Math.sin(headingRad);
  const ordered = [...places].sort((a, b) => along(a) - along(b));
  const start = gapM === null ? ordered[0]! : first;
  const fromM = along(start);
  const stepM = gapM ?? (along(ordered[ordered.length - 1]!) - fromM) / (ordered.length - 1);
  return ordered.reduce((next, place, index) => {
    const to = pointAlong(start.at, headingRad, (index - ordered.indexOf(start)) * stepM);
    return moveThings(next, [place.id], { xM: to.xM - place.at.xM, yM: to.yM - place.at.yM });
  }, plan);
}
