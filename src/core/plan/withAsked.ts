import type { Arena } from '../arena/arena';
import type { ExerciseParams } from '../exercises/exercise';
import { PLACE_KEYS, withEndsAhead } from '../exercises/figureLetters';
import { figuresHome } from './dragFigure';
import type { PlacedRecipe } from './plan';
import type { ResolvedExercise } from './resolvePlan';

/**
 * A placed exercise with what it asks changed. What stays as usual is not kept, so that it follows the horses still; a letter
 * that was chosen is where it lies, however it was moved before, and its end lies ahead of it.
 */
export function withAsked(
  { placed, params }: Pick<ResolvedExercise, 'placed' | 'params'>,
  asked: ExerciseParams,
  arena: Arena,
): PlacedRecipe {
  const next = withEndsAhead(placed.kind, asked, { arena, rein: placed.rein });
  const changed = Object.fromEntries(Object.entries(next).filter(([key, value]) => value !== params[key]));
  const isLettered = PLACE_KEYS.some(key => key in changed);
  return {
    ...placed,
    params: { ...placed.params, ...changed },
    ...(isLettered ? { place: figuresHome(arena, placed.rein) } : {}),
  };
}
