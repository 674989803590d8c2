import { EMPTY_PLAN, findRecipe, newItem, SHELF, type Arena, type Plan } from '@/core';
import { readPlan, upgradedPlan } from './planDocument';
import { writePlan } from './planPaper';

const ARENA: Arena = { widthM: 20, lengthM: 40, letters: '20x40' };
const HORSE = { id: 'any', name: 'any', heightM: 1.6, type: 'all-round', level: 'novice', strides: {} } as const;

const written = (plan: Plan) => JSON.parse(JSON.stringify(writePlan(plan))) as Record<string, unknown>;
const read = (json: unknown) => readPlan(json, ARENA);

test('every exercise of the shelf, with fences and a track by hand, reads back as it was written', () => {
  const plan: Plan = {
    ...EMPTY_PLAN,
    groupIds: ['a', 'b'],
    lockedIds: ['heron'],
    items: [newItem('vertical', 'heron', { xM: 5, yM: 10 }, 1.2345), newItem('cone', 'cone 1', { xM: 2, yM: 3 }, 0)],
    tracks: [
      {
        ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 2 },
        through: [{ item: 'heron', reversed: true }],
        legs: [],
      },
    ],
    exercises: SHELF.map((recipe, index) => ({
      ...{
        id: `set ${index}`,
        name: index % 3 ? null : 'warm-up',
        kind: recipe.kind,
        rein: 'right',
        session: null,
        horseIds: index % 2 ? ['a'] : null,
      },
      params: recipe.wishes({ arena: ARENA, school: 'whole-stride', horses: [HORSE] })[0]!,
      place: { at: { xM: 1, yM: 2 }, headingRad: 1 },
    })),
  };
  const back = read(written(plan));
  if (!back.ok) throw new Error(back.reason);
  // Degrees on paper and radians in the core differ by rounding alone.
  const rounded = (of: Plan) =>
    JSON.parse(JSON.stringify(of), (_, value: unknown) =>
      typeof value === 'number' ? Math.round(value * 1e9) / 1e9 : value,
    ) as Plan;
  expect(rounded(back.plan)).toEqual(rounded(plan));
});

const EXERCISE = {
  ...{ id: 'alder', kind: 'trot-poles', rein: 'left', params: { poles: 4 } },
  ...{ at: { xM: 1, yM: 1 }, facingDeg: 0, horses: null, session: null },
};

test.each([
  [{ version: 4 }, 'version'],
  [{ group: 'everybody' }, 'group'],
  [{ items: [{ kind: 'cone', id: 'c', at: { xM: 0 } }] }, 'items.0.at.yM'],
  [{ exercises: [{ ...EXERCISE, kind: 'somersault' }] }, 'no exercise “somersault”'],
  [{ exercises: [{ ...EXERCISE, params: { poles: 400 } }] }, 'params.poles: Poles is a whole number from 1 to 12'],
  [{ exercises: [{ ...EXERCISE, params: { glue: 1 } }] }, 'no such parameter'],
  [{ exercises: [{ ...EXERCISE, params: { gait: 'canter' } }] }, 'is made of trot'],
  [{ exercises: [EXERCISE, EXERCISE] }, 'exercises.1.id: “alder” is there twice'],
  [{ tracks: [{ id: 't', gait: 'trot' }] }, 'tracks.0'],
  [{ surprise: true }, 'surprise'],
])('a plan with %j is refused, and the fault is named', (changes, words) => {
  const back = read({ ...written(EMPTY_PLAN), ...changes });
  expect(back).toEqual({ ok: false, reason: expect.stringContaining(words) });
});

test('a layout of one row, as Roan stored it first, becomes the same row as an exercise', () => {
  const old = {
    ...{ format: 'roan-plan', version: 1 },
    rows: [
      {
        ...{ kind: 'pole-row', id: 'row', gait: 'trot', at: { xM: 5, yM: 20 }, facingDeg: 0, poleLengthM: 3 },
        raised: [
          { leftM: 0, rightM: 0.15 },
          { leftM: 0, rightM: 0 },
          { leftM: 0.15, rightM: 0.15 },
        ],
        spacing: { by: 'hand', spacingM: 1.3 },
        horseId: 'quill',
      },
    ],
  };
  const back = read(upgradedPlan(old, () => 1.3));
  if (!back.ok) throw new Error(back.reason);
  const [row] = back.plan.exercises;
  expect(back.plan.groupIds).toEqual(['quill']);
  // Three poles 1.3 m apart about 20 m: the first at 18.7 m.
  expect(row!.place.at).toEqual({ xM: expect.closeTo(5, 9), yM: expect.closeTo(18.7, 9) });
  expect(row!.params).toMatchObject({ poles: 3, spacingM: 1.3, raised: ['right', 'ground', 'both'], blockM: 0.15 });
  expect(findRecipe(row!.kind)?.guidance.title).toBe('A row of trot poles');
});

test('a plan from when ids were names keeps every id, and what was shown as a name is the name', () => {
  const { items, exercises } = {
    items: [{ kind: 'cone', id: 'cone 1', at: { xM: 2, yM: 3 } }],
    exercises: [EXERCISE],
  };
  const track = { id: 'line', gait: 'trot', passes: 1, through: [{ item: 'alder p1' }] };
  const back = read(upgradedPlan({ ...written(EMPTY_PLAN), version: 2, items, exercises, tracks: [track] }, () => 1));
  if (!back.ok) throw new Error(back.reason);
  const called = (things: readonly { id: string; name: string | null }[]) => things.map(({ id, name }) => [id, name]);
  expect(called(back.plan.items)).toEqual([['cone 1', 'cone 1']]);
  expect(called(back.plan.exercises)).toEqual([['alder', 'alder']]);
  expect(called(back.plan.tracks)).toEqual([['line', 'line']]);
});

test('a plan of today is not touched by the upgrade', () => {
  const today = written(EMPTY_PLAN);
  expect(upgradedPlan(today, () => 1)).toBe(today);
});
