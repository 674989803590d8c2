import type { Figure } from '../figures/figure';
import type { Item } from '../items/item';
import { DEFAULT_LEG, type FigureTrack, type ItemTrack } from '../layout/layout';
import { testFence } from '../layout/testLayout';
import { newItem } from '../plan/newItem';
import { carryItem, carryTrack, type Carry } from './carry';

/** Two metres to the right. */
const MOVED: Carry = {
  point: ({ xM, yM }) => ({ xM: xM + 2, yM }),
  pose: ({ at, headingRad }) => ({ at: { xM: at.xM + 2, yM: at.yM }, headingRad }),
  swaps: false,
};
/** In the mirror of a line 10 m from the left wall. */
const MIRRORED: Carry = {
  point: ({ xM, yM }) => ({ xM: 20 - xM, yM }),
  pose: ({ at, headingRad }) => ({ at: { xM: 20 - at.xM, yM: at.yM }, headingRad: Math.PI - headingRad }),
  swaps: true,
};
const START = { at: { xM: 5, yM: 10 }, headingRad: 0.3 };

describe('an item', () => {
  const pole = { ...newItem('pole', 'p', { xM: 5, yM: 10 }, 0.3), raised: { leftM: 0.2, rightM: 0 } } as Item;
  const corner = testFence('c', 5, 10, 0, { form: 'corner', corner: { narrowEnd: 'left', aimFromFlagM: 0.9 } });

  test('that is moved keeps its sides, one that is mirrored changes them', () => {
    expect(carryItem(pole, MOVED)).toMatchObject({
      at: { xM: 7, yM: 10 },
      headingRad: 0.3,
      raised: { leftM: 0.2, rightM: 0 },
    });
    expect(carryItem(pole, MIRRORED)).toMatchObject({
      ...{ at: { xM: 15, yM: 10 }, headingRad: Math.PI - 0.3, raised: { leftM: 0, rightM: 0.2 } },
    });
    expect(carryItem(corner, MOVED)).toMatchObject({ corner: { narrowEnd: 'left', aimFromFlagM: 0.9 } });
    expect(carryItem(corner, MIRRORED)).toMatchObject({ corner: { narrowEnd: 'right', aimFromFlagM: 0.9 } });
    expect(carryItem(testFence('v', 5, 10, 0), MIRRORED)).toMatchObject({ corner: null });
  });

  test('that has no heading gets none', () =>
    expect(carryItem({ kind: 'cone', id: 'k', name: null, at: { xM: 5, yM: 10 } }, MIRRORED)).toEqual({
      ...{ kind: 'cone', id: 'k', name: null, at: { xM: 15, yM: 10 } },
    }));
});

test('a track over items takes its points and circles along', () => {
  const track: ItemTrack = {
    ...{ kind: 'items', id: 't', name: null, gait: 'trot', course: null, passes: 1 },
    through: ['a', 'b', 'b'].map(item => ({ item, reversed: false })),
    legs: [
      { ...DEFAULT_LEG, track: { via: { xM: 5, yM: 20 } } },
      { ...DEFAULT_LEG, circle: { rein: 'left', radiusM: 5 } },
    ],
  };
  const legs = (carry: Carry) => (carryTrack(track, carry) as ItemTrack).legs;
  expect(legs(MOVED)[0]!.track).toEqual({ via: { xM: 7, yM: 20 } });
  expect(legs(MIRRORED)[0]!.track).toEqual({ via: { xM: 15, yM: 20 } });
  expect([legs(MOVED)[1]!.circle, legs(MIRRORED)[1]!.circle]).toEqual([
    { rein: 'left', radiusM: 5 },
    { rein: 'right', radiusM: 5 },
  ]);
  expect(legs(MIRRORED)[1]!.track).toBe(DEFAULT_LEG.track);
  expect(legs(MIRRORED)[0]!.circle).toBeNull();
});

test('figures begin elsewhere, and in the mirror on the other rein, with all that has a side', () => {
  const carried = (figure: Figure, carry: Carry) => {
    const track: FigureTrack = {
      ...{ kind: 'figures', id: 't', name: null, gait: 'trot', passes: 1 },
      figures: [{ id: 'f', name: null, gait: null, parts: [], figure }],
    };
    return (carryTrack(track, carry) as FigureTrack).figures[0]!.figure;
  };
  const circle: Figure = { kind: 'circle', start: START, rein: 'left', diameterM: 10, rounds: 1 };
  expect(carried(circle, MOVED)).toEqual({ ...circle, start: { at: { xM: 7, yM: 10 }, headingRad: 0.3 } });
  expect(carried(circle, MIRRORED)).toMatchObject({ rein: 'right', start: { at: { xM: 15, yM: 10 } } });
  const change = {
    kind: 'change-rein',
    start: START,
    end: { at: { xM: 15, yM: 50 }, headingRad: 1 },
    rein: 'left',
  } as Figure;
  expect(carried(change, MIRRORED)).toMatchObject({ end: { at: { xM: 5, yM: 50 }, headingRad: Math.PI - 1 } });
  const sideways = {
    kind: 'sideways',
    start: START,
    rein: 'left',
    towards: 'left',
    movement: 'leg-yield',
    aheadM: 8,
    asideM: 5,
  } as Figure;
  expect([carried(sideways, MOVED), carried(sideways, MIRRORED)]).toMatchObject([
    { towards: 'left' },
    { towards: 'right' },
  ]);
  const deed = (one: unknown, carry: Carry) =>
    (carried({ kind: 'station', start: START, rein: 'left', deed: one } as Figure, carry) as { deed: unknown }).deed;
  expect(deed({ kind: 'halt', seconds: 4 }, MIRRORED)).toEqual({ kind: 'halt', seconds: 4 });
  expect(deed({ kind: 'turn-on-forehand', turnRad: 1 }, MIRRORED)).toEqual({ kind: 'turn-on-forehand', turnRad: -1 });
  expect(deed({ kind: 'turn-on-haunches', turnRad: 1 }, MOVED)).toEqual({ kind: 'turn-on-haunches', turnRad: 1 });
  expect(deed({ kind: 'side-pass', steps: 2, towards: 'left' }, MIRRORED)).toMatchObject({ towards: 'right' });
});
