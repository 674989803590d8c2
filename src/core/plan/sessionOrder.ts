import type { Plan } from './plan';

/**
 * The exercises of a session in another order; everything else stays where it is.
 * @param ids - all exercises of the session, in the order wanted
 */
export function inSessionOrder(plan: Plan, ids: readonly string[]): Plan {
  const wanted = ids.flatMap(id => plan.exercises.find(exercise => exercise.id === id) ?? []);
  let next = 0;
  const exercises = plan.exercises.map(exercise => (ids.includes(exercise.id) ? wanted[next++]! : exercise));
  return { ...plan, exercises };
}
