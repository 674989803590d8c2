import { pointAlong, type PointM } from '@/core';
import type { Selection } from './selection';
import type { Shown } from './shown';
import { itemsOf } from './thingsShown';

const AHEAD_M = 3;
/** Nearer than this two things lie on each other, metres. */
const ON_EACH_OTHER_M = 0.5;
const TRIES = 20;

/** Where a new item lies: a good stride ahead of what is selected, or in the middle of the sand, and beside what is there. */
export function nextPlace(
  { resolved, plan }: Shown,
  selection: Selection,
  { widthM, lengthM }: { widthM: number; lengthM: number },
): PointM {
  const last = itemsOf(resolved, selection.ids).at(-1);
  const from = last ?? { at: { xM: widthM / 2, yM: lengthM / 2 }, headingRad: Math.PI / 2 };
  const headingRad = 'headingRad' in from ? from.headingRad : Math.PI / 2;
  let at = last ? pointAlong(from.at, headingRad, AHEAD_M) : from.at;
  const isTaken = () => plan.items.some(item => Math.hypot(item.at.xM - at.xM, item.at.yM - at.yM) < ON_EACH_OTHER_M);
  for (let tries = 0; isTaken() && tries < TRIES; tries += 1) at = pointAlong(at, headingRad, AHEAD_M);
  return { xM: Math.min(widthM, Math.max(0, at.xM)), yM: Math.min(lengthM, Math.max(0, at.yM)) };
}
