import { layoutReckoner, planResolver, type LayOut, type Plan, type PlanGround } from '@/core';
import type { Shown } from './shown';

/** Lays plans out and reckons them: what was not touched since the last time stays the same object. */
export function planShower(layOut: LayOut, reckon = layoutReckoner()): (plan: Plan, ground: PlanGround) => Shown {
  const resolve = planResolver(layOut);
  return (plan, ground) => {
    const resolved = resolve(plan, ground);
    return { plan, resolved, tracks: reckon(resolved.layout) };
  };
}
