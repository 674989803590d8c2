import { composeCourses } from '../compose/composeCourse';
import { testFence, testHorse } from '../layout/testLayout';
import { composedPlan } from './composedPlan';
import { EMPTY_PLAN } from './plan';

const [proposal] = composeCourses({
  ...{ arena: { widthM: 35, lengthM: 65, letters: 'none' }, horses: [testHorse('H', 3.6)], school: 'whole-stride' },
  ...{ fall: null, fences: 5, heightM: 0.7, kit: null, standing: [], seed: 2 },
});

it('takes the place of what lay there; a fence that stands is one of the course and keeps its name', () => {
  const stands = {
    ...testFence('old', proposal!.layout.items[2]!.at.xM + 1, proposal!.layout.items[2]!.at.yM, 0),
    name: 'willow',
  };
  let made = 0;
  const plan = composedPlan(
    { ...EMPTY_PLAN, items: [stands], lockedIds: ['old'] },
    proposal!,
    () => `new${(made += 1)}`,
  );
  expect(plan.items).toHaveLength(5);
  expect(plan.items.filter(({ id }) => id === 'old')).toEqual([expect.objectContaining({ name: 'willow' })]);
  expect(new Set(plan.items.map(({ id }) => id)).size).toBe(5);
  const [track] = plan.tracks;
  expect(track!.kind === 'items' && track!.through.every(({ item }) => plan.items.some(({ id }) => id === item))).toBe(
    true,
  );
  expect([plan.exercises, plan.lockedIds]).toEqual([[], []]);
});
