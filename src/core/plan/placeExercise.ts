import { layOutExercise } from '../exercises/layOutExercise';
import type { Recipe } from '../exercises/exercise';
import type { PointM } from '../geometry/pointM';
import type { Item } from '../items/item';
import type { PlannedTrack } from '../layout/layout';
import type { Rein } from '../track/rein';
import type { PlacedRecipe, Plan } from './plan';
import { exerciseGround, type PlanGround } from './resolvePlan';
import { moveThings } from './things';

export type ExerciseWanted = {
  /** An id that nothing else has. */
  id: string;
  recipe: Recipe;
  rein: Rein;
  horseIds: string[] | null;
  /** A session of figures that it is ridden in, or null for a track of its own. */
  session: string | null;
};

export type PlacedOnSand = { plan: Plan; id: string; adapted: boolean };

/** Puts an exercise on the sand where it usually lies, as large as arena and horses have it. */
export function placeExercise(
  plan: Plan,
  ground: Pick<PlanGround, 'arena' | 'horses'>,
  { id, recipe, rein, horseIds, session }: ExerciseWanted,
): PlacedOnSand {
  const made = layOutExercise(recipe, exerciseGround(plan, { horseIds }, ground), { rein });
  const placed: PlacedRecipe = {
    id,
    name: null,
    kind: recipe.kind,
    rein,
    params: made.params,
    place: made.place,
    horseIds,
    session,
  };
  return { plan: { ...plan, exercises: [...plan.exercises, placed] }, id, adapted: made.adapted };
}

/**
 * Puts an arrangement of the yard's own on the sand, its middle at a point; its parts get ids of their own there.
 * @param items - about their middle
 */
export function placeArrangement(
  plan: Plan,
  { items, tracks }: { items: readonly Item[]; tracks: readonly PlannedTrack[] },
  at: PointM,
  newId: () => string,
): { plan: Plan; ids: string[] } {
  let next = plan;
  const idOf = new Map<string, string>();
  for (const item of items) {
    const id = newId();
    idOf.set(item.id, id);
    next = { ...next, items: [...next.items, { ...item, id }] };
  }
  for (const track of tracks) {
    const id = newId();
    const own =
      track.kind === 'figures'
        ? { ...track, id }
        : { ...track, id, through: track.through.map(stop => ({ ...stop, item: idOf.get(stop.item) ?? stop.item })) };
    next = { ...next, tracks: [...next.tracks, own] };
  }
  const ids = [...idOf.values()];
  return { plan: moveThings(next, ids, at), ids };
}

/** What is selected as an arrangement for the shelf: items about their middle, and the tracks that ride over them alone. */
export function arrangementOf(
  items: readonly Item[],
  tracks: readonly PlannedTrack[],
): { items: Item[]; tracks: PlannedTrack[] } {
  const count = Math.max(1, items.length);
  const middle = {
    xM: items.reduce((sum, { at }) => sum + at.xM, 0) / count,
    yM: items.reduce((sum, { at }) => sum + at.yM, 0) / count,
  };
  const own = new Set(items.map(({ id }) => id));
  const over = tracks.filter(track => track.kind === 'items' && track.through.every(({ item }) => own.has(item)));
  const loose: Plan = {
    ...{ school: 'whole-stride', groupIds: [], exercises: [], lockedIds: [] },
    ...{ items: [...items], tracks: over },
  };
  return moveThings(loose, [...own], { xM: -middle.xM, yM: -middle.yM });
}
