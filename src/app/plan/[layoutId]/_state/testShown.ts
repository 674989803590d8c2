import { DEFAULT_LEG, EMPTY_PLAN, newItem, type Item, type Plan, type PlanHorse } from '@/core';
import { planShower } from './planShower';
import type { EditorGround, Shown } from './shown';

/** A test's horse: 3.6 m a stride on a course. */
export const MAYFLY: PlanHorse = {
  ...{ id: 'mayfly', name: 'Mayfly', heightM: 1.6, type: 'all-round', level: 'novice' },
  strides: { 'course-canter': { shortM: 3.1, normalM: 3.6, longM: 4.05 } },
};

export const ARENA = { widthM: 20, lengthM: 60, letters: 'none' as const };

const vertical = (id: string, yM: number): Item => ({
  ...newItem('vertical', id, { xM: 10, yM }, Math.PI / 2),
  name: id,
});
const through = ['ash', 'birch', 'elm'].map(item => ({ item, reversed: false }));

/** Three verticals up the centre line at 5, 23 and 41 m, ridden in their order, and a pole in a corner. */
export const LINE: Plan = {
  ...EMPTY_PLAN,
  groupIds: [MAYFLY.id],
  items: [
    vertical('ash', 5),
    vertical('birch', 23),
    vertical('elm', 41),
    newItem('pole', 'pole 1', { xM: 3, yM: 3 }, 0),
  ],
  tracks: [
    {
      ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1, through },
      legs: [DEFAULT_LEG, DEFAULT_LEG],
    },
  ],
};

/** Shows plans one after the other, as the editor does: what was not touched is the same object. */
export function shows(): (plan: Plan) => Shown {
  const show = planShower(() => null);
  const ground: EditorGround = { arena: ARENA, horses: [MAYFLY], fall: null, kit: null };
  return plan => show(plan, { ...ground, name: 'A line' });
}
