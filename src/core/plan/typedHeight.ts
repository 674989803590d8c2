import { withLength } from '../exercises/withLength';
import { atHeight } from '../items/atHeight';
import type { Fence, Item } from '../items/item';
import type { PlacedRecipe, Plan } from './plan';
import type { ResolvedExercise, ResolvedPlan } from './resolvePlan';

/**
 * Gives fences a height: those by hand as they stand, those of an exercise as what it asks, which stays whole. Whatever else is
 * named stays as it is.
 * @param itemIds - fences, by their ids in the layout
 * @throws {RangeError} a height that is not a finite number of metres ≥ 0
 */
export function typeHeight(plan: Plan, resolved: ResolvedPlan, itemIds: readonly string[], heightM: number): Plan {
  if (!(heightM >= 0 && heightM < Infinity)) throw new RangeError(`typeHeight(${heightM})`);
  const ids = new Set(itemIds);
  const isFence = (item: Item): item is Fence => item.kind === 'fence';
  return {
    ...plan,
    items: plan.items.map(item => (ids.has(item.id) && isFence(item) ? atHeight(item, heightM) : item)),
    exercises: plan.exercises.map(placed => {
      const exercise = resolved.exercises.find(one => one.placed.id === placed.id);
      return exercise ? exerciseAtHeight(placed, exercise, ids, heightM) : placed;
    }),
  };
}

/** All of its fences: the height of them all; some of them: a height of their own. */
function exerciseAtHeight(
  placed: PlacedRecipe,
  { laid, params }: ResolvedExercise,
  ids: ReadonlySet<string>,
  heightM: number,
): PlacedRecipe {
  const fences = laid.items.filter(({ kind }) => kind === 'fence');
  const named = fences.flatMap(({ id }, index) => (ids.has(id) ? [index] : []));
  if (named.length === 0) return placed;
  // A cross-rail of a grid stands at a share of its height: only by itself does it get what was typed.
  if (named.length === fences.length && !fences.some(fence => fence.kind === 'fence' && fence.form === 'cross-rail'))
    return { ...placed, params: { ...placed.params, heightM, heightsM: [] } };
  const own = Array.isArray(params.heightsM) ? (params.heightsM as number[]) : [];
  const heightsM = named.reduce((list, index) => withLength(list, index, heightM), own);
  return { ...placed, params: { ...placed.params, heightsM } };
}
