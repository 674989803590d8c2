import type { Item } from '../items/item';
import { DEFAULT_LEG } from '../layout/layout';
import type { LaidExercise } from './exercise';
import { exerciseAt, mirrorExercise } from './mirrorExercise';

const EXERCISE: LaidExercise = {
  items: [
    {
      ...{ kind: 'pole', id: 'p', name: null, at: { xM: 2, yM: 1 }, headingRad: 0.3, lengthM: 3 },
      raised: { leftM: 0.2, rightM: 0 },
    },
    {
      ...{
        kind: 'fence',
        id: 'c',
        name: null,
        form: 'corner',
        at: { xM: 9, yM: -2 },
        headingRad: 0,
        widthM: 3,
        heightM: 0.8,
      },
      ...{ spreadM: 1, ridden: 'one-way', filler: false, groundLineBeforeM: null, sideHeightM: null },
      corner: { narrowEnd: 'left', aimFromFlagM: 0.9 },
    },
    { kind: 'cone', id: 'k', name: null, at: { xM: 4, yM: 2 } },
  ],
  tracks: [
    {
      ...{ kind: 'items', id: 't', name: null, gait: 'canter', course: null, passes: 1 },
      through: ['p', 'c', 'c'].map(item => ({ item, reversed: false })),
      legs: [
        { ...DEFAULT_LEG, track: { via: { xM: 5, yM: 3 } } },
        { ...DEFAULT_LEG, circle: { rein: 'left', radiusM: 8 } },
      ],
    },
    {
      ...{ kind: 'figures', id: 'f', name: null, gait: 'walk', passes: 1 },
      figures: [
        {
          ...{ id: 'f1', name: null },
          figure: {
            ...{ kind: 'sideways', start: { at: { xM: 1, yM: 2 }, headingRad: 0 }, rein: 'left' },
            ...{ movement: 'leg-yield', towards: 'right', aheadM: 6, asideM: 3 },
          },
          gait: null,
          parts: [],
        },
        {
          ...{ id: 'f2', name: null },
          figure: {
            ...{ kind: 'station', start: { at: { xM: 7, yM: -1 }, headingRad: 0 }, rein: 'left' },
            deed: { kind: 'turn-on-haunches', turnRad: 1.5 },
          },
          gait: null,
          parts: [],
        },
      ],
    },
  ],
  stages: [],
  stand: { xM: 3, yM: 6 },
  facts: [],
};

const find = (items: readonly Item[], id: string) => items.find(item => item.id === id)!;

test('left and right change places: raised ends, the flag of a corner, reins, and the way of a turn', () => {
  const mirrored = mirrorExercise(EXERCISE);
  expect(find(mirrored.items, 'p')).toMatchObject({
    ...{ at: { xM: 2, yM: -1 }, headingRad: -0.3 },
    raised: { leftM: 0, rightM: 0.2 },
  });
  expect(find(mirrored.items, 'c')).toMatchObject({ corner: { narrowEnd: 'right', aimFromFlagM: 0.9 } });
  expect(mirrored.stand).toEqual({ xM: 3, yM: -6 });
  const [items, figures] = mirrored.tracks;
  expect(items).toMatchObject({
    legs: [{ track: { via: { xM: 5, yM: -3 } } }, { circle: { rein: 'right', radiusM: 8 } }],
  });
  expect(figures).toMatchObject({
    figures: [
      { figure: { rein: 'right', towards: 'left', start: { at: { xM: 1, yM: -2 } } } },
      { figure: { rein: 'right', deed: { turnRad: -1.5 } } },
    ],
  });
});

test('put on the sand everything turns and moves together, and nothing changes sides', () => {
  // Facing up the arena from (10, 20): ahead is up, left is towards x = 0.
  const placed = exerciseAt(EXERCISE, { at: { xM: 10, yM: 20 }, headingRad: Math.PI / 2 });
  const close = (xM: number, yM: number) => ({ xM: expect.closeTo(xM, 9), yM: expect.closeTo(yM, 9) });
  expect(find(placed.items, 'k').at).toEqual(close(8, 24));
  expect(find(placed.items, 'p')).toMatchObject({ raised: { leftM: 0.2, rightM: 0 } });
  expect(placed.stand).toEqual(close(4, 23));
  const [items] = placed.tracks;
  expect(items).toMatchObject({ legs: [{ track: { via: close(7, 25) } }, { circle: { rein: 'left' } }] });
});
