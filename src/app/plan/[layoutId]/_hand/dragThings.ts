import {
  isOnGuide,
  layoutLabels,
  moveThings,
  snapPlace,
  snapToCount,
  type Arena,
  type Item,
  type LayoutHorse,
  type Plan,
  type PointM,
  type SnapGuide,
} from '@/core';
import { thingOf } from '../_state/thingsShown';
import type { Shown } from '../_state/shown';

/** `at`: where its words belong, where no item was taken hold of. */
export type Dragged = { plan: Plan; guides: SnapGuide[]; words: string | null; at?: PointM };

export type DragSetting = {
  arena: Arena;
  /** The horse whose whole strides draw a fence to them. */
  horse: LayoutHorse | null;
  /** How near something draws what is dragged, metres. */
  reachM: number;
  /** Nothing draws it: it goes where the hand goes. */
  free: boolean;
};

/**
 * Where things are while they are dragged: drawn to lines, letters, circles and other items, and one fence by itself to the
 * places at which a leg beside it rides in a whole count.
 * @param grabbed - the item under the hand, as it lay before
 * @param by - how far the hand went
 */
export function dragThings(
  base: Shown,
  ids: readonly string[],
  grabbed: Item,
  by: PointM,
  setting: DragSetting,
): Dragged {
  const { arena, horse, reachM, free } = setting;
  const { resolved, plan } = base;
  // What is locked stays where it is: nothing draws it, and nothing is said of where it could go.
  if (ids.every(id => plan.lockedIds.includes(id))) return { plan, guides: [], words: null };
  const hand = { xM: grabbed.at.xM + by.xM, yM: grabbed.at.yM + by.yM };
  const others = resolved.layout.items.filter(({ id }) => !ids.includes(thingOf(resolved, id)));
  const { at, guides } = free
    ? { at: hand, guides: [] }
    : snapPlace(hand, { arena, others, labelOf: layoutLabels(base.resolved.layout).inWords, reachM });
  const moved = moveThings(plan, ids, { xM: at.xM - grabbed.at.xM, yM: at.yM - grabbed.at.yM });
  const alone = !free && horse !== null && ids.length === 1 && ids[0] === grabbed.id;
  const count = alone ? snapToCount(layoutWith(base, grabbed, at), grabbed.id, horse, reachM) : null;
  if (!count) return { plan: moved, guides, words: null };
  const to = count.edits.find(edit => edit.kind === 'move-item')?.to ?? at;
  const drawn = moveThings(plan, ids, { xM: to.xM - grabbed.at.xM, yM: to.yM - grabbed.at.yM });
  // A count may draw it off a line that it was drawn to.
  return { plan: drawn, guides: guides.filter(guide => isOnGuide(guide, to)), words: count.words };
}

function layoutWith({ resolved }: Shown, grabbed: Item, at: PointM) {
  const items = resolved.layout.items.map(item => (item.id === grabbed.id ? { ...item, at } : item));
  return { ...resolved.layout, items };
}

const QUARTER_RAD = Math.PI / 2;
const SNAP_RAD = (4 * Math.PI) / 180;
const DEGREE_RAD = Math.PI / 180;

/** Onto a quarter turn when close to it; else to the whole degree. */
export function snapHeading(headingRad: number, free: boolean): number {
  if (free) return headingRad;
  const quarter = Math.round(headingRad / QUARTER_RAD) * QUARTER_RAD;
  if (Math.abs(headingRad - quarter) < SNAP_RAD) return quarter;
  return Math.round(headingRad / DEGREE_RAD) * DEGREE_RAD;
}
