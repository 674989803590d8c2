import { isRidden, type RiddenItem } from '../items/item';
import { ridingDepthM } from '../items/footprint';
import { distanceM } from '../geometry/pointM';
import { reckonLayout } from '../layout/reckonLayout';
import type { ReckonedItemTrack } from '../layout/reckonedTrack';
import { DEFAULT_LEG } from '../layout/layout';
import type { ExerciseParams } from '../exercises/exercise';
import { newItem } from './newItem';
import { placeExercise } from './placeExercise';
import { findRecipe } from '../exercises/shelf';
import { EMPTY_PLAN, type Plan, type PlanHorse } from './plan';
import { resolvePlan } from './layOutPlaced';
import type { PlanGround } from './resolvePlan';
import { typeDistance } from './typedDistance';
import { oneMore } from './oneMore';
import { typeHeight } from './typedHeight';

const FT = 0.3048;
const YD = 0.9144;
const HORSE: PlanHorse = {
  ...{ id: 'h', name: 'Juniper', heightM: 1.6, type: 'all-round', level: 'novice' },
  strides: { 'course-canter': { shortM: 3.1, normalM: 12 * FT, longM: 4.1 } },
};
const GROUND: PlanGround = {
  ...{ name: '', arena: { widthM: 35, lengthM: 60, letters: 'none' }, fall: null, kit: null, horses: [HORSE] },
};

function withExercise(kind: string, params?: ExerciseParams): Plan {
  const recipe = findRecipe(kind)!;
  const wish = { id: 'e', recipe, rein: 'left' as const, horseIds: null, session: null };
  const { plan } = placeExercise({ ...EMPTY_PLAN, groupIds: ['h'] }, GROUND, wish);
  if (!params) return plan;
  return { ...plan, exercises: plan.exercises.map(one => ({ ...one, params: { ...one.params, ...params } })) };
}

function typed(plan: Plan, leg: number, groundM: number, track = 'e'): Plan {
  const made = typeDistance(plan, resolvePlan(plan, GROUND), track, leg, groundM);
  if (!made.ok) throw new Error(made.reason);
  expect(made.apart).toEqual([]);
  return made.plan;
}

/** From the back of each to the front of the next, straight. */
function gapsM(plan: Plan): number[] {
  const items = resolvePlan(plan, GROUND).layout.items.filter(isRidden) as RiddenItem[];
  return items
    .slice(1)
    .map((item, at) => distanceM(item.at, items[at]!.at) - (ridingDepthM(item) + ridingDepthM(items[at]!)) / 2);
}

const legM = (plan: Plan, leg: number, track = 'e') => {
  const { layout } = resolvePlan(plan, GROUND);
  return (reckonLayout(layout).find(({ id }) => id === track) as ReckonedItemTrack).legs[leg]!.groundM;
};

// The full grid of common practice: pole, 3 yd, cross-rail, 3 yd 1 ft, cross-rail, 3 yd 1 ft, cross-rail, 6 yd, vertical, and 6 yd with
// a pole halfway to each of the next two.
test('a grid is typed to 3 yd, 3 yd 1 ft and 6 yd, and stays an exercise', () => {
  const bounce = 3 * YD + FT;
  let plan = withExercise('grid');
  expect(plan.exercises[0]!.params.elements).toHaveLength(9);
  for (const [leg, groundM] of [3 * YD, bounce, bounce, 6 * YD].entries()) plan = typed(plan, leg, groundM);
  // Half of the gap is typed: the pole lies in its middle.
  plan = typed(plan, 4, 3 * YD);
  plan = typed(plan, 7, 3 * YD);
  const wanted = [3 * YD, bounce, bounce, 6 * YD, 3 * YD, 3 * YD, 3 * YD, 3 * YD];
  gapsM(plan).forEach((gapM, index) => expect(gapM).toBeCloseTo(wanted[index]!, 9));
  expect(plan.exercises).toHaveLength(1);
});

// Common practice: 18 ft is 6 yd along the track, and the chord is a little less.
test('a bend is typed to 18 ft along its track, every gap of it', () => {
  const plan = typed(withExercise('fences-on-bend'), 1, 18 * FT);
  for (const leg of [0, 1, 2]) expect(legM(plan, leg)).toBeCloseTo(18 * FT, 9);
  expect(gapsM(plan)[0]).toBeCloseTo(2 * 10 * Math.sin((18 * FT) / 20), 9);
  // The way round follows from the circle.
  const round = typeDistance(plan, resolvePlan(plan, GROUND), 'e', 3, 30);
  expect(round).toEqual({ ok: false, reason: expect.stringContaining('follows from the others') });
});

test.each([
  ['trot-poles', 1, 1.3],
  ['related-line', 0, 20],
  ['canter-poles-line', 0, 19.5],
  ['bending-line', 0, 25],
  ['combination', 1, 10.7],
  ['poles-on-circle', 2, 9],
  ['two-fences-on-circle', 0, 28],
  ['canter-pole-three-strides', 0, 50],
  ['single-fence', 0, 2.6],
  ['single-fence', 1, 3.2],
  ['fan', 1, 1.25],
])('%s keeps the distance of leg %i that was typed', (kind, leg, groundM) => {
  expect(legM(typed(withExercise(kind), leg, groundM), leg)).toBeCloseTo(groundM, 3);
});

test('what cannot be laid out is refused, and says why', () => {
  const plan = withExercise('trot-poles');
  const made = typeDistance(plan, resolvePlan(plan, GROUND), 'e', 0, 9);
  expect(made).toEqual({ ok: false, reason: expect.stringContaining('Spacing, pole to pole') });
  expect(() => typeDistance(plan, resolvePlan(plan, GROUND), 'e', 0, NaN)).toThrow(RangeError);
  expect(() => typeDistance(plan, resolvePlan(plan, GROUND), 'e', 9, 5)).toThrow(RangeError);
});

const byHand = (places: readonly number[]): Plan => ({
  ...{ ...EMPTY_PLAN, groupIds: ['h'] },
  items: places.map((yM, index) => newItem('vertical', `f${index}`, { xM: 10, yM }, Math.PI / 2)),
  tracks: [
    {
      ...{ kind: 'items', id: 't', name: null, gait: 'course-canter', course: null, passes: 1 },
      through: places.map((_, index) => ({ item: `f${index}`, reversed: false })),
      legs: places.slice(1).map(() => DEFAULT_LEG),
    },
  ],
});

test('by hand the second fence moves, and what is ridden after it goes along while there is room', () => {
  const line = typed(byHand([5, 20, 35]), 0, 18, 't');
  expect(line.items.map(({ at }) => at.yM)).toEqual([5, expect.closeTo(23, 6), expect.closeTo(38, 6)]);
  // No room for both: the second alone.
  const near = typed(byHand([5, 20, 58]), 0, 18, 't');
  expect(near.items.map(({ at }) => at.yM)).toEqual([5, expect.closeTo(23, 6), 58]);
  const full = typeDistance(byHand([5, 20]), resolvePlan(byHand([5, 20]), GROUND), 't', 0, 90);
  expect(full).toEqual({ ok: false, reason: expect.stringContaining('no room') });
});

test('what is locked stays, and says that there is no room', () => {
  const plan = { ...byHand([5, 20]), lockedIds: ['f1'] };
  expect(typeDistance(plan, resolvePlan(plan, GROUND), 't', 0, 18).ok).toBe(false);
});

test('heights are typed for one or for many, by hand and in an exercise', () => {
  const heights = (plan: Plan) =>
    resolvePlan(plan, GROUND).layout.items.flatMap(item => (item.kind === 'fence' ? [item.heightM] : []));
  const hand = byHand([5, 20, 35]);
  expect(heights(typeHeight(hand, resolvePlan(hand, GROUND), ['f0', 'f2'], 0.8))).toEqual([0.8, 0.6, 0.8]);
  const bend = withExercise('fences-on-bend');
  const resolved = resolvePlan(bend, GROUND);
  const ids = resolved.layout.items.map(({ id }) => id);
  const one = typeHeight(bend, resolved, [ids[1]!], 0.9);
  expect(heights(one)).toEqual([0.6, 0.9, 0.6, 0.6]);
  expect(heights(typeHeight(one, resolvePlan(one, GROUND), ids, 0.7))).toEqual([0.7, 0.7, 0.7, 0.7]);
  // The cross-rails of a grid go up with it at their share; each by itself gets what is typed.
  const grid = withExercise('grid');
  const fences = resolvePlan(grid, GROUND).layout.items.filter(({ kind }) => kind === 'fence');
  const all = typeHeight(
    grid,
    resolvePlan(grid, GROUND),
    fences.map(({ id }) => id),
    0.8,
  );
  expect(heights(all)).toEqual(fences.map(() => 0.8));
  const sides = resolvePlan(all, GROUND).layout.items.flatMap(item =>
    item.kind === 'fence' && item.form === 'cross-rail' ? [item.sideHeightM] : [],
  );
  expect(sides).toEqual([1.6, 1.6, 1.6]);
  expect(() => typeHeight(hand, resolved, [], NaN)).toThrow(RangeError);
});

test('one more piece at the end, as long as there may be more', () => {
  const grown = (kind: string, times: number) => {
    let plan = withExercise(kind);
    const before = resolvePlan(plan, GROUND).layout.items.filter(isRidden).length;
    for (let time = 0; time < times; time += 1) {
      const made = oneMore(plan, resolvePlan(plan, GROUND), 'e');
      if (!made.ok) return made.reason;
      plan = made.plan;
    }
    return resolvePlan(plan, GROUND).layout.items.filter(isRidden).length - before;
  };
  for (const kind of ['trot-poles', 'grid', 'fences-on-bend', 'fan']) expect(grown(kind, 1)).toBe(1);
  expect(grown('trot-poles', 20)).toMatch(/No more: poles: Poles is a whole number from 1 to 12/);
  expect(grown('related-line', 1)).toMatch(/as many/);
  expect(grown('combination', 3)).toMatch(/as many as it can/);
});
