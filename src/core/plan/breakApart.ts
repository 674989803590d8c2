import { applyEdits, type LayoutEdit } from '../layout/layoutEdit';
import type { Plan } from './plan';
import type { ResolvedPlan } from './resolvePlan';

/**
 * Makes exercises into items and tracks by hand, each where it lies and under the name it has. Exercises ridden in one
 * session come apart together, for they are one track.
 */
export function breakApart(plan: Plan, resolved: ResolvedPlan, ids: readonly string[]): Plan {
  const sessions = new Set(plan.exercises.flatMap(({ id, session }) => (ids.includes(id) ? (session ?? []) : [])));
  const apart = plan.exercises.filter(
    ({ id, session }) => ids.includes(id) || (session !== null && sessions.has(session)),
  );
  if (apart.length === 0) return plan;
  const isApart = (id: string) => apart.some(one => one.id === id);
  const owned = (id: string) => isApart(resolved.ownerOf.get(id) ?? '');
  const { items, tracks } = resolved.layout;
  return {
    ...plan,
    items: [...plan.items, ...items.filter(({ id }) => owned(id))],
    tracks: [...plan.tracks, ...tracks.filter(({ id }) => owned(id) || sessions.has(id))],
    exercises: plan.exercises.filter(({ id }) => !isApart(id)),
    lockedIds: plan.lockedIds.flatMap(id =>
      isApart(id) ? items.filter(item => resolved.ownerOf.get(item.id) === id).map(item => item.id) : [id],
    ),
  };
}

/** The exercises that have to come apart before these edits can be made: what they touch is parametric. */
export function brokenBy(plan: Plan, resolved: ResolvedPlan, edits: readonly LayoutEdit[]): string[] {
  const touched = edits.flatMap(edit => ('item' in edit ? [edit.item] : [edit.track]));
  const owners = touched.flatMap(id => resolved.ownerOf.get(id) ?? []);
  const inSessions = plan.exercises.filter(({ session }) => session !== null && touched.includes(session));
  return [...new Set([...owners, ...inSessions.map(({ id }) => id)])];
}

/** The plan with edits of its layout made: mends, moved fences, changed legs. What they touch comes apart first. */
export function editPlan(plan: Plan, resolved: ResolvedPlan, edits: readonly LayoutEdit[]): Plan {
  const broken = breakApart(plan, resolved, brokenBy(plan, resolved, edits));
  // An item of an exercise may be ridden in a track by hand: edits see the whole layout, and the plan takes its own part.
  const layout = { ...resolved.layout, items: broken.items, tracks: broken.tracks };
  const { items, tracks } = applyEdits(layout, edits);
  return { ...broken, items, tracks };
}
