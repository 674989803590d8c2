import type { Rein } from '../track/rein';
import { sidewaysEnd } from '../figures/rideSideways';
import { distanceM, type PointM } from '../geometry/pointM';
import { dragFigure, sidewaysLine, type FigureGrip } from './dragFigure';
import { placeExercise } from './placeExercise';
import { EMPTY_PLAN, type Plan } from './plan';
import { resolvePlan } from './layOutPlaced';
import { findRecipe } from '../exercises/shelf';

const ARENA = { widthM: 20, lengthM: 60, letters: '20x60' } as const;
const GROUND = { ...{ name: '', arena: ARENA, fall: null, kit: null }, horses: [] };
const REACH_M = 1.5;

function planOf(kind: string, rein: Rein = 'left', params = {}): Plan {
  const wanted = { id: 'one', recipe: findRecipe(kind)!, rein, horseIds: null, session: null };
  const { plan } = placeExercise(EMPTY_PLAN, GROUND, wanted);
  return { ...plan, exercises: plan.exercises.map(one => ({ ...one, params: { ...one.params, ...params } })) };
}

const laidOf = (plan: Plan) => resolvePlan(plan, GROUND).exercises[0]!;
const lineOf = (plan: Plan) => sidewaysLine(laidOf(plan).laid)!;
const startOf = (plan: Plan) => {
  const [track] = laidOf(plan).laid.tracks;
  return track?.kind === 'figures' ? track.figures[0]!.figure.start : null;
};
const dragged = (plan: Plan, grip: FigureGrip, by: PointM, reachM = REACH_M) =>
  dragFigure(plan, resolvePlan(plan, GROUND), { id: 'one', grip, by, reachM })!;

// FEI Dressage Rules, plan of the arena (from memory): A in the middle of the near short side, B and E at 30 m, P and V at 18 m.
test.each([
  ['left', { xM: 9.2, yM: 29.3 }, 'begins at B', { xM: 20, yM: 30 }, Math.PI / 2],
  ['right', { xM: -9.2, yM: 29.3 }, 'begins at E', { xM: 0, yM: 30 }, Math.PI / 2],
  ['left', { xM: -9.5, yM: 18.9 }, 'begins at V', { xM: 0, yM: 18 }, -Math.PI / 2],
] as const)(
  'a circle on the %s rein that comes near a letter begins there, riding along the wall',
  (rein, by, words, at, headingRad) => {
    const made = dragged(planOf('circle', rein), 'whole', by);
    expect(made.words).toBe(words);
    const start = startOf(made.plan)!;
    expect(distanceM(start.at, at)).toBeLessThan(1e-6);
    expect(Math.sin(start.headingRad)).toBeCloseTo(Math.sin(headingRad), 9);
  },
);

test('far from every letter, or held free, a figure lies where the hand left it', () => {
  const plan = planOf('circle');
  const made = dragged(plan, 'whole', { xM: 0.4, yM: 0 }, 0);
  expect(made.words).toBeNull();
  expect(startOf(made.plan)!.at).toEqual({ xM: expect.closeTo(10.4, 9), yM: expect.closeTo(0, 9) });
  expect(startOf(dragged(plan, 'whole', { xM: 0, yM: 9 }).plan)!.at.yM).toBeCloseTo(9, 9);
});

describe.each(['left', 'right'] as const)('a leg-yield on the %s rein', rein => {
  const side = rein === 'left' ? 1 : -1;
  const plan = planOf('leg-yield', rein);

  test('its beginning is dragged, its end stays at its letter, and the slope is told', () => {
    // From the quarter line 5 m in, 8 m before B or E; drawn out 2 m towards the middle and 2 m back: 7 m aside on 10 m.
    const made = dragged(plan, 'begin', { xM: -2 * side, yM: -2 });
    const line = lineOf(made.plan);
    expect([line.asideM, line.aheadM]).toEqual([expect.closeTo(7, 9), expect.closeTo(10, 9)]);
    expect(sidewaysEnd(line)).toEqual({ xM: expect.closeTo(rein === 'left' ? 20 : 0, 9), yM: expect.closeTo(30, 9) });
    // atan(7 / 10) is 34.99°.
    expect(made.words).toBe(`to ${rein === 'left' ? 'B' : 'E'} · 35° aside`);
  });

  test('its beginning is drawn to a letter, and it runs from letter to letter', () => {
    const from = lineOf(plan).start.at;
    const made = dragged(plan, 'begin', { xM: 10.3 - from.xM, yM: 17.5 - from.yM });
    const line = lineOf(made.plan);
    expect(distanceM(line.start.at, { xM: 10, yM: 18 })).toBeLessThan(1e-9);
    expect(made.words).toBe(`from L · to ${rein === 'left' ? 'B' : 'E'} · 40° aside`);
  });

  test('its end goes to the next letter, and its beginning stays', () => {
    const before = lineOf(plan);
    const made = dragged(plan, 'end', { xM: 0.4 * side, yM: 11.2 });
    const line = lineOf(made.plan);
    expect(distanceM(sidewaysEnd(line), { xM: rein === 'left' ? 20 : 0, yM: 42 })).toBeLessThan(1e-9);
    expect(distanceM(line.start.at, before.start.at)).toBeLessThan(1e-9);
  });

  test('away from every letter both ends are where they were put', () => {
    const before = lineOf(plan);
    const made = dragged(plan, 'end', { xM: -1 * side, yM: 3 });
    const line = lineOf(made.plan);
    expect(distanceM(line.start.at, before.start.at)).toBeLessThan(1e-6);
    expect([line.asideM, line.aheadM]).toEqual([expect.closeTo(4, 9), expect.closeTo(11, 9)]);
  });
});

test('a half-pass is dragged from its rail to X', () => {
  const plan = planOf('half-pass', 'left', { from: 'F' });
  const end = sidewaysEnd(lineOf(plan));
  const made = dragged(plan, 'end', { xM: 10.2 - end.xM, yM: 29.4 - end.yM });
  const line = lineOf(made.plan);
  expect(distanceM(line.start.at, { xM: 20, yM: 6 })).toBeLessThan(1e-9);
  expect(distanceM(sidewaysEnd(line), { xM: 10, yM: 30 })).toBeLessThan(1e-9);
  expect(made.words).toContain('from F · to X');
});

test('what is locked, or gone, is not dragged', () => {
  const plan = planOf('circle');
  const locked = { ...plan, lockedIds: ['one'] };
  const hand = { ...{ id: 'one', grip: 'whole' as const }, by: { xM: 1, yM: 1 }, reachM: 0 };
  expect(dragFigure(locked, resolvePlan(locked, GROUND), hand)).toBeNull();
  expect(dragFigure(plan, resolvePlan(plan, GROUND), { ...hand, id: 'gone' })).toBeNull();
});
