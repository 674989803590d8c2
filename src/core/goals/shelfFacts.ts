import { USUAL_HORSE } from '../plan/resolvePlan';
import { catalogueOf } from '../suggest/catalogue';
import type { ExerciseFacts } from '../suggest/step';

let known: readonly ExerciseFacts[] | null = null;

/**
 * The exercises of the shelf with their stages as they are for a middling horse on 20 by 60 m: what a goal is named by before
 * anybody knows on which sand it is ridden.
 */
export function shelfFacts(): readonly ExerciseFacts[] {
  const arena = { widthM: 20, lengthM: 60, letters: '20x60' as const };
  known ??= catalogueOf({ name: '', arena, fall: null, kit: null, horses: [USUAL_HORSE] }, [USUAL_HORSE.id]);
  return known;
}
