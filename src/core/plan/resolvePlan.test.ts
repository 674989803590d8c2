import { layOutPlaced } from './layOutPlaced';
import { exerciseLabel, groupOf, planResolver, type PlanGround } from './resolvePlan';
import { EMPTY_PLAN, type PlacedRecipe, type Plan, type PlanHorse } from './plan';
import { moveThings } from './things';

const horse = (id: string): PlanHorse => ({
  ...{ id, name: id, heightM: 1.6, type: 'all-round', level: 'novice', strides: {} },
});
const titled = (id: string, title: string, name: string | null = null) =>
  ({ placed: { id, name }, guidance: { title } }) as Parameters<typeof exerciseLabel>[0][number];

test('an exercise goes by its name; without one by its title, with a number where there are several without', () => {
  const all = [
    titled('a', 'Trot poles'),
    titled('b', 'A grid'),
    titled('c', 'Trot poles', 'The blue ones'),
    titled('d', 'Trot poles'),
    titled('e', 'A grid', 'The long one'),
  ];
  expect(all.map(({ placed }) => exerciseLabel(all, placed.id))).toEqual([
    'Trot poles 1',
    'A grid',
    'The blue ones',
    'Trot poles 2',
    'The long one',
  ]);
  expect(exerciseLabel(all, 'taken away')).toBe('exercise');
});

test('an exercise that is moved lies so far on, and its place with it', () => {
  const row: PlacedRecipe = {
    ...{ id: 'row', kind: 'pole-row', name: null, locked: false, horseIds: null, params: null },
    place: { at: { xM: 5, yM: 10 }, rein: 'left', headingRad: Math.PI / 2 },
  } as unknown as PlacedRecipe;
  const plan: Plan = { ...EMPTY_PLAN, exercises: [row] };
  const [moved] = moveThings(plan, ['row'], { xM: 2, yM: -3 }).exercises;
  expect(moved).toMatchObject({ id: 'row', place: { at: { xM: 7, yM: 7 }, rein: 'left', headingRad: Math.PI / 2 } });
  expect(moveThings(plan, ['another'], { xM: 2, yM: -3 }).exercises).toEqual([row]);
});

test('the group is ridden in its own order, by those that the yard still has', () => {
  const plan = { ...EMPTY_PLAN, groupIds: ['moss', 'sold', 'fen'] };
  expect(groupOf(plan, [horse('fen'), horse('moss'), horse('another')]).map(({ id }) => id)).toEqual(['moss', 'fen']);
});

test('the same plan for horses that were changed is for them as they are now', () => {
  const resolve = planResolver(layOutPlaced);
  const plan: Plan = { ...EMPTY_PLAN, groupIds: ['fen'] };
  const ground = (heightM: number): PlanGround => ({
    ...{ name: 'plan', arena: { widthM: 20, lengthM: 60, letters: '20x60' }, fall: null, kit: null },
    horses: [{ ...horse('fen'), heightM }],
  });
  const [before, after] = [resolve(plan, ground(1.3)), resolve(plan, ground(1.7))];
  expect([before, after].map(({ layout }) => layout.horses.map(one => one.heightM))).toEqual([[1.3], [1.7]]);
  // And another group of the same horses is another group.
  const both = { ...ground(1.7), horses: [...ground(1.7).horses, horse('moss')] };
  expect(resolve({ ...plan, groupIds: ['moss'] }, both).layout.horses.map(({ id }) => id)).toEqual(['moss']);
});
