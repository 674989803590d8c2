import type { Fence } from '../items/item';
import { DEFAULT_LEG, type Layout } from '../layout/layout';
import { newItem } from '../plan/newItem';
import { hasReins, nearestWay, waysToRide } from './waysToRide';

const UP = Math.PI / 2;
type Place = [xM: number, yM: number, headingRad: number];

/** A track over fences at places, ridden from both sides or from one. */
function over(places: readonly Place[], ridden: Fence['ridden'] = 'both-ways'): Layout {
  const items = places.map(
    ([xM, yM, headingRad], at) => ({ ...newItem('vertical', `f${at}`, { xM, yM }, headingRad), ridden }) as Fence,
  );
  return {
    ...{ name: 'l', arena: { widthM: 40, lengthM: 80, letters: 'none' }, fall: null, school: 'whole-stride' },
    ...{ items, horses: [], kit: null },
    tracks: [
      {
        ...{ kind: 'items', id: 't', name: null, gait: 'course-canter', course: null, passes: 1 },
        through: items.map(({ id: item }) => ({ item, reversed: false })),
        legs: items.slice(1).map(() => DEFAULT_LEG),
      },
    ],
  };
}

const LINE: Place[] = [
  [10, 20, UP],
  [10, 41, UP],
];
/** Up one long side and down the other, to the right. */
const BEND_RIGHT: Place[] = [
  [10, 30, UP],
  [30, 30, -UP],
];
/** Up, round to the right, and back up from the other side: a serpentine. */
const CHANGES: Place[] = [
  [8, 30, UP],
  [20, 40, -UP],
  [32, 30, UP],
];

test('on a straight line rein and direction are two things: either off either rein', () => {
  expect(waysToRide(over(LINE))).toEqual([
    { rein: 'left', direction: 'as-drawn' },
    { rein: 'right', direction: 'as-drawn' },
    { rein: 'left', direction: 'other-way' },
    { rein: 'right', direction: 'other-way' },
  ]);
  expect(waysToRide(over(LINE, 'one-way'))).toEqual([
    { rein: 'left', direction: 'as-drawn' },
    { rein: 'right', direction: 'as-drawn' },
  ]);
});

test('on a track that turns they are one: the other rein is the other way round', () => {
  expect(waysToRide(over(BEND_RIGHT))).toEqual([
    { rein: 'right', direction: 'as-drawn' },
    { rein: 'left', direction: 'other-way' },
  ]);
});

test('where something is ridden one way only, the other rein is the mirror image', () => {
  expect(waysToRide(over(BEND_RIGHT, 'one-way'))).toEqual([
    { rein: 'right', direction: 'as-drawn' },
    { rein: 'left', direction: 'mirrored' },
  ]);
});

test('a course that changes the rein has none: both directions, never two clean on each rein', () => {
  const ways = waysToRide(over(CHANGES));
  expect(ways).toEqual([
    { rein: null, direction: 'as-drawn' },
    { rein: null, direction: 'other-way' },
  ]);
  expect(hasReins(ways)).toBe(false);
  expect(waysToRide(over(CHANGES, 'one-way'))).toEqual([{ rein: null, direction: 'as-drawn' }]);
});

test('a figure is on the rein it begins on, and its mirror image on the other', () => {
  const flat: Layout = {
    ...over([]),
    tracks: [
      {
        ...{ kind: 'figures', id: 'flat', name: null, gait: 'trot', passes: 1 },
        figures: [
          {
            ...{ id: 'c', gait: null },
            figure: {
              ...{ kind: 'circle', start: { at: { xM: 20, yM: 1 }, headingRad: 0 } },
              ...{ rein: 'right', diameterM: 20, rounds: 1 },
            },
          } as never,
        ],
      },
    ],
  };
  expect(waysToRide(flat)).toEqual([
    { rein: 'right', direction: 'as-drawn' },
    { rein: 'left', direction: 'mirrored' },
  ]);
  expect(waysToRide({ ...flat, tracks: [] })).toEqual([]);
});

test('a wish that cannot be ridden so becomes the nearest way: the rein is kept before the direction', () => {
  const bend = waysToRide(over(BEND_RIGHT));
  expect(nearestWay(bend, { rein: 'left', direction: 'as-drawn' })).toEqual({ rein: 'left', direction: 'other-way' });
  expect(nearestWay(waysToRide(over(CHANGES)), { rein: 'left', direction: 'other-way' })).toEqual({
    rein: null,
    direction: 'other-way',
  });
  expect(nearestWay([], { rein: 'left', direction: 'mirrored' })).toEqual({ rein: null, direction: 'as-drawn' });
});
