import { fitLayout } from '../fit/fitLayout';
import { piecesOf } from '../fit/pieces';
import { testFence, testHorse } from '../layout/testLayout';
import { DEFAULT_LEG } from '../layout/layout';
import { fittedPlan } from './fittedPlan';
import { layOutPlaced } from './layOutPlaced';
import { EMPTY_PLAN, type Plan } from './plan';
import { placeExercise } from './placeExercise';
import { planResolver } from './resolvePlan';
import { SHELF } from '../exercises/shelf';

const GROUND = {
  ...{ name: 'test', arena: { widthM: 30, lengthM: 70, letters: 'none' as const }, fall: null, kit: null },
  horses: [testHorse('H', 3.6)],
};

it('moves what was laid by hand, and an exercise as one: what the plan comes to then is what the fit showed', () => {
  const row = SHELF.find(({ kind }) => kind === 'trot-poles')!;
  const wanted = { id: 'row', recipe: row, rein: 'left' as const, horseIds: null, session: null };
  const begun: Plan = { ...EMPTY_PLAN, groupIds: ['H'] };
  const { plan } = placeExercise(begun, GROUND, wanted);
  const byHand: Plan = {
    ...plan,
    items: [testFence('a', 24, 12, 0), testFence('b', 24, 31.5, 0)],
    tracks: [
      {
        ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1 },
        through: ['a', 'b'].map(item => ({ item, reversed: false })),
        legs: [{ ...DEFAULT_LEG, asked: 4 }],
      },
    ],
  };
  const resolve = planResolver(layOutPlaced);
  const { layout, ownerOf } = resolve(byHand, GROUND);
  const fit = fitLayout(layout, { pieces: piecesOf(layout, ownerOf, []), horseIds: ['H'] });
  expect(fit.moved.length).toBeGreaterThan(0);
  const after = resolve(fittedPlan(byHand, fit), GROUND).layout;
  const places = (items: typeof after.items) => items.map(({ at }) => [at.xM, at.yM].map(m => expect.closeTo(m, 6)));
  expect(after.items.map(({ at }) => [at.xM, at.yM])).toEqual(places(fit.layout.items));
  // An exercise that is moved keeps what it asks.
  const turned = fittedPlan(byHand, {
    layout,
    moved: [
      {
        piece: { id: 'row', itemIds: [], pose: { at: { xM: 0, yM: 0 }, headingRad: 0 }, locked: false },
        move: { alongM: 1, leftM: 0, turnRad: 0 },
        to: { at: { xM: 1, yM: 0 }, headingRad: 0 },
      },
    ],
  });
  expect(turned.exercises[0]!.place.at.xM).toBeCloseTo(byHand.exercises[0]!.place.at.xM + 1, 9);
  expect(turned.exercises[0]!.params).toEqual(byHand.exercises[0]!.params);
});
