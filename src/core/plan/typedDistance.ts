import { paramsFault } from '../exercises/exerciseParams';
import { findRecipe } from '../exercises/shelf';
import { isInside, itemsAfter } from '../layout/makeItSo';
import type { ItemTrack } from '../layout/layout';
import { moveForGround } from '../layout/moveForGround';
import { brokenBy, editPlan } from './breakApart';
import type { PlacedRecipe, Plan } from './plan';
import type { ResolvedExercise, ResolvedPlan } from './resolvePlan';

/** `apart`: the exercises that come apart for it, by their ids. */
export type TypedDistance = { ok: true; plan: Plan; apart: string[] } | { ok: false; reason: string };

const refuse = (reason: string): TypedDistance => ({ ok: false, reason });

/**
 * Gives a leg of a track the ground that was typed for it. An exercise of the shelf keeps it as what it asks and stays whole where
 * its recipe knows the distance; else the second item moves along the line, and what is ridden after it goes along.
 * @param groundM - from the back of the first to the front of the second along the track, metres
 * @throws {RangeError} a length that is not above 0, or a track or leg that is not there
 */
export function typeDistance(
  plan: Plan,
  resolved: ResolvedPlan,
  trackId: string,
  leg: number,
  groundM: number,
): TypedDistance {
  const track = resolved.layout.tracks.find(({ id }) => id === trackId);
  if (!(groundM > 0 && groundM < Infinity) || track?.kind !== 'items' || !track.legs[leg])
    throw new RangeError(`typeDistance(${trackId}, ${leg}, ${groundM})`);
  const exercise = ownerOf(resolved, trackId);
  const asked = exercise && typedInExercise(exercise, leg, groundM);
  if (asked) return asked.ok ? { ok: true, plan: withParams(plan, asked.placed), apart: [] } : asked;
  return movedOnLine(plan, resolved, track, leg, groundM);
}

/**
 * Asks a count of a leg. An exercise that is laid out by its count keeps it as what it asks, and lays itself out for it.
 * @param strides - a whole number of strides, or null to ask none
 */
export function typeAsked(
  plan: Plan,
  resolved: ResolvedPlan,
  trackId: string,
  leg: number,
  strides: number | null,
): TypedDistance {
  const exercise = ownerOf(resolved, trackId);
  const recipe = exercise && findRecipe(exercise.placed.kind);
  if (exercise && recipe && strides !== null && typeof exercise.params.strides === 'number') {
    const params = { ...exercise.params, strides };
    const fault = paramsFault(recipe, exercise.params, params);
    if (fault) return refuse(`It cannot be laid out so: ${fault}.`);
    return { ok: true, plan: withParams(plan, { ...exercise.placed, params }), apart: [] };
  }
  const edits = [{ kind: 'change-leg' as const, track: trackId, leg, changes: { asked: strides } }];
  return { ok: true, plan: editPlan(plan, resolved, edits), apart: brokenBy(plan, resolved, edits) };
}

function ownerOf({ exercises, ownerOf: owners }: ResolvedPlan, trackId: string): ResolvedExercise | null {
  return exercises.find(({ placed }) => placed.id === owners.get(trackId)) ?? null;
}

/** The exercise with the distance as what it asks; null where its recipe does not know it. */
function typedInExercise(
  { placed, params }: ResolvedExercise,
  leg: number,
  groundM: number,
): { ok: true; placed: PlacedRecipe } | { ok: false; reason: string } | null {
  const recipe = findRecipe(placed.kind);
  if (!recipe?.typed) return null;
  const typed = recipe.typed(params, leg, groundM);
  if (!typed) return { ok: false, reason: 'This distance follows from the others: type one of those, or the radius.' };
  const fault = paramsFault(recipe, params, typed);
  return fault
    ? { ok: false, reason: `It cannot be laid out so: ${fault}.` }
    : { ok: true, placed: { ...placed, params: typed } };
}

const withParams = (plan: Plan, placed: PlacedRecipe): Plan => ({
  ...plan,
  exercises: plan.exercises.map(one => (one.id === placed.id ? placed : one)),
});

function movedOnLine(
  plan: Plan,
  resolved: ResolvedPlan,
  track: ItemTrack,
  leg: number,
  groundM: number,
): TypedDistance {
  const { layout } = resolved;
  if (track.legs[leg]!.circle)
    return refuse('A circle back to the same fence is as long as it is round: type its radius.');
  const second = track.through[leg + 1]!.item;
  const following = itemsAfter(track, leg);
  if (!following.includes(second))
    return refuse('It is ridden before already: type the distance where it comes first.');
  for (const moved of following.length > 1 ? [following, [second]] : [[second]]) {
    if (moved.some(id => plan.lockedIds.includes(resolved.ownerOf.get(id) ?? id))) continue;
    const line = moveForGround(layout, track, leg, { by: 'tape', lengthM: groundM }, moved, true);
    if (!line.ok || !isInside(layout, line.edits, moved)) continue;
    return { ok: true, plan: editPlan(plan, resolved, line.edits), apart: brokenBy(plan, resolved, line.edits) };
  }
  return refuse('There is no room for it on this line: move the first fence back, or turn the line.');
}
