import { editPlan, soundPlan, turnThings, type Arena, type Plan, type dragFigure, type typeDistance } from '@/core';
import { itemsOf } from '../_state/thingsShown';
import type { Shown } from '../_state/shown';
import { dragThings, snapHeading, type Dragged } from './dragThings';
import type { Made } from './liveShown';
import type { Hand } from './handState';

/** What the shelf lays anew while it is dragged, once that is there: distances of exercises, and figures by their letters. */
export type DragShelf = { typeDistance: typeof typeDistance; dragFigure: typeof dragFigure };

const LEAST_GAP_M = 0.3;

/** The plan that a hand makes of what stands; null where what it held is gone. */
export function madeByHand(hand: Hand, base: Shown, arena: Arena, shelf: DragShelf | null): Dragged | null {
  if (hand.kind === 'gap') {
    const groundM = Math.max(LEAST_GAP_M, hand.groundM);
    const made = shelf?.typeDistance(base.plan, base.resolved, hand.track, hand.leg, groundM);
    return made?.ok ? { plan: soundPlan(made.plan), guides: [], words: null } : null;
  }
  if (hand.kind === 'figure') {
    const made = shelf?.dragFigure(base.plan, base.resolved, hand);
    return made ? { plan: soundPlan(made.plan), guides: [], words: made.words, at: made.at } : null;
  }
  if (hand.kind === 'edits')
    return { plan: soundPlan(editPlan(base.plan, base.resolved, hand.edits)), guides: [], words: null };
  if (hand.kind === 'turn') {
    const { about, towards, ids, free } = hand;
    const before = headingOfFirst(base, ids);
    if (before === null) return null;
    const wantedRad = Math.atan2(towards.yM - about.yM, towards.xM - about.xM);
    return { plan: turnThings(base.plan, ids, snapHeading(wantedRad, free) - before, about), guides: [], words: null };
  }
  const { layout } = base.resolved;
  const grabbed = layout.items.find(({ id }) => id === hand.item);
  if (!grabbed) return null;
  const horse = layout.horses.find(({ id }) => id === hand.horse) ?? null;
  return dragThings(base, hand.ids, grabbed, hand.by, { arena, horse, reachM: hand.reachM, free: hand.free });
}

/** The same, shown: `show` lays a plan out and reckons it. */
export function shownByHand(
  hand: Hand,
  base: Shown,
  arena: Arena,
  show: (plan: Plan) => Shown,
  shelf: DragShelf | null,
): Made | null {
  const made = madeByHand(hand, base, arena, shelf);
  if (!made) return null;
  const { plan, guides, words, at } = made;
  const isTold = hand.kind === 'things' || hand.kind === 'figure';
  const item = hand.kind === 'things' ? hand.item : null;
  return { shown: show(plan), drag: isTold ? { guides, words, item, ...(at ? { at } : {}) } : null };
}

/** The heading that the knob stands for: that of the first thing that has one. */
function headingOfFirst({ resolved, plan }: Shown, ids: readonly string[]): number | null {
  const exercise = plan.exercises.find(({ id }) => id === ids[0]);
  if (exercise) return exercise.place.headingRad;
  const item = itemsOf(resolved, ids).find(one => 'headingRad' in one);
  return item && 'headingRad' in item ? item.headingRad : null;
}
