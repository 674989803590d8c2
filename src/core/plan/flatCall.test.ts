import { flatCalls, placeWords } from './flatCall';
import { inSessionOrder } from './sessionOrder';
import { EMPTY_PLAN } from './plan';
import type { PlannedFigure } from '../figures/figure';

const LONG = { widthM: 20, lengthM: 60, letters: '20x60' } as const;
const FIELD = { widthM: 40, lengthM: 70, letters: 'none' } as const;

// FEI Dressage Rules, plan of the arena (from memory): K at 6 m, V at 18 m on the left, A in the middle of the short side.
test.each([
  [LONG, { xM: 0, yM: 6 }, 'At K'],
  [LONG, { xM: 10, yM: 0 }, 'At A'],
  [LONG, { xM: 0, yM: 12 }, 'Between K and V'],
  [LONG, { xM: 10, yM: 12 }, 'Between D and L'],
  [LONG, { xM: 15, yM: 32 }, 'On the quarter line near B'],
  [FIELD, { xM: 20, yM: 30 }, 'On the centre line'],
  [FIELD, { xM: 0.5, yM: 30 }, 'At the wall'],
  [FIELD, { xM: 7, yM: 30 }, 'Inside the arena'],
])('%j at %j is “%s”', (arena, at, words) => {
  expect(placeWords(arena, at)).toBe(words);
});

test('figures are called with their gait, rein and how often', () => {
  const figure: PlannedFigure = {
    ...{ id: 'f', name: null, gait: 'canter', parts: [] },
    figure: {
      ...{ kind: 'circle', start: { at: { xM: 10, yM: 0 }, headingRad: 0 }, rein: 'left' },
      ...{ diameterM: 20, rounds: 2 },
    },
  };
  expect(flatCalls(LONG, [figure, { ...figure, gait: null }], 'trot')).toEqual([
    { where: 'At A', what: '20 m circle, twice', gait: 'canter', rein: 'left', then: [] },
    { where: 'At A', what: '20 m circle, twice', gait: 'trot', rein: 'left', then: [] },
  ]);
});

test('what changes on the way of a figure is called at its place, once however often it is ridden', () => {
  const eight: PlannedFigure = {
    ...{ id: 'e', name: null, gait: 'trot', parts: [] },
    figure: {
      ...{ kind: 'eight', start: { at: { xM: 10, yM: 30 }, headingRad: 0 }, rein: 'left' },
      ...{ firstDiameterM: 20, secondDiameterM: 20, times: 3 },
    },
  };
  expect(flatCalls(LONG, [eight], 'walk')[0]!.then).toEqual(['at X: right rein', 'at X: left rein']);
  // Up the right-hand long side, shoulder-in from P at 18 m to R at 42 m.
  const shoulderIn: PlannedFigure = {
    ...{ id: 's', name: null, gait: null, parts: [{ fromM: 12, toM: 36, sideways: 'shoulder-in' }] },
    figure: { kind: 'straight', start: { at: { xM: 20, yM: 6 }, headingRad: Math.PI / 2 }, rein: 'left', lengthM: 48 },
  };
  expect(flatCalls(LONG, [shoulderIn], 'trot')[0]).toMatchObject({
    where: 'At F',
    then: ['at P: shoulder in', 'at R: on one track'],
  });
});

test('a session is put in order, and what is not of it stays where it is', () => {
  const exercises = ['a', 'x', 'b', 'c'].map(id => ({ id }) as never);
  const ids = (plan: typeof EMPTY_PLAN) => plan.exercises.map(({ id }) => id);
  expect(ids(inSessionOrder({ ...EMPTY_PLAN, exercises }, ['c', 'a', 'b']))).toEqual(['c', 'x', 'a', 'b']);
});
