import {
  DEFAULT_LEG,
  EMPTY_PLAN,
  layoutReckoner,
  moveThings,
  newItem,
  planResolver,
  type Item,
  type Plan,
} from '@/core';
import { liveStore } from './liveShown';
import { movedNames, partsNamed, partsOf } from './movedParts';
import type { Shown } from './usePlanEditor';

const vertical = (id: string, yM: number): Item => newItem('vertical', id, { xM: 10, yM }, Math.PI / 2);
const through = ['ash', 'birch', 'elm'].map(item => ({ item, reversed: false }));
const PLAN: Plan = {
  ...EMPTY_PLAN,
  items: [
    vertical('ash', 5),
    vertical('birch', 23),
    vertical('elm', 41),
    newItem('pole', 'pole 1', { xM: 3, yM: 3 }, 0),
  ],
  tracks: [
    { kind: 'items', id: 'line', gait: 'canter', course: null, passes: 1, through, legs: [DEFAULT_LEG, DEFAULT_LEG] },
  ],
};

/** Shows plans one after the other, as the editor does. */
function shows(): (plan: Plan) => Shown {
  const [resolve, reckon] = [planResolver(() => null), layoutReckoner()];
  const ground = {
    name: 'A line',
    arena: { widthM: 20, lengthM: 60, letters: 'none' as const },
    horses: [],
    school: 'whole-stride' as const,
    fall: null,
    kit: null,
  };
  return plan => {
    const resolved = resolve(plan, ground);
    return { plan, resolved, tracks: reckon(resolved.layout) };
  };
}

test('what a drag moves is the fence and its own legs; the rest lies as it lay', () => {
  const show = shows();
  const standing = partsOf(show(PLAN));
  expect(movedNames(standing, null)).toBe('');
  const moved = show(moveThings(PLAN, ['ash'], { xM: 0, yM: 0.5 }));
  expect(movedNames(standing, moved).split('\n')).toEqual(['item ash', 'leg 0 of line']);
  const middle = show(moveThings(PLAN, ['birch'], { xM: 0, yM: 0.5 }));
  expect(movedNames(standing, middle).split('\n')).toEqual(['item birch', 'leg 0 of line', 'leg 1 of line']);
});

test('parts are found again by their names', () => {
  const shown = shows()(PLAN);
  const standing = partsOf(shown);
  expect(partsNamed(standing, '').size).toBe(0);
  expect(partsNamed(standing, 'item elm\nleg 1 of line')).toEqual(
    new Set([shown.resolved.layout.items[2], shown.tracks[0]!.kind === 'items' ? shown.tracks[0]!.legs[1] : null]),
  );
});

test('those who listen hear of every change, and of nothing once they stopped', () => {
  const store = liveStore();
  const heard: unknown[] = [];
  const stop = store.subscribe(() => heard.push(store.get()));
  const live = { shown: shows()(PLAN), drag: null };
  store.set(live);
  store.set(live);
  store.set(null);
  stop();
  store.set(live);
  expect(heard).toEqual([live, null]);
});
