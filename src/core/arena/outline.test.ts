import fc from 'fast-check';
import { isInsideArena, toThingM, toWallM, type Arena } from './arena';
import { isWithin, keptOutline, outlineAreaM2, outlineFault, toOutlineM, walkedOutline } from './outline';
import { roomAhead } from './roomAhead';

/** An L: 20 by 40 with a corner of 8 by 10 cut away at the far right. */
const L = [
  { xM: 0, yM: 0 },
  { xM: 20, yM: 0 },
  { xM: 20, yM: 30 },
  { xM: 12, yM: 30 },
  { xM: 12, yM: 40 },
  { xM: 0, yM: 40 },
];
const ARENA: Arena = { widthM: 20, lengthM: 40, letters: 'none', outline: L };

it('measures an outline as by hand: 20 by 40 less 8 by 10 is 720 square metres', () => {
  expect(outlineAreaM2(L)).toBe(720);
  expect(outlineAreaM2([...L].reverse())).toBe(-720);
  expect(toOutlineM(L, { xM: 10, yM: 10 })).toBe(10);
  expect(toOutlineM(L, { xM: 15, yM: 28 })).toBe(2);
  // In the corner that is cut away.
  expect(toOutlineM(L, { xM: 16, yM: 35 })).toBe(-4);
  expect(isWithin(L, { xM: 11, yM: 39 })).toBe(true);
  expect(isWithin(L, { xM: 13, yM: 39 })).toBe(false);
});

it('a rectangle told corner by corner is the rectangle', () => {
  const box = [L[0]!, { xM: 20, yM: 0 }, { xM: 20, yM: 40 }, { xM: 0, yM: 40 }];
  const plain: Arena = { widthM: 20, lengthM: 40, letters: 'none' };
  const metre = fc.double({ min: 0.001, max: 19.999, noNaN: true });
  fc.assert(
    fc.property(metre, metre, (xM, yM) => {
      const at = { xM, yM: 2 * yM };
      expect(toWallM({ ...plain, outline: box }, at)).toBeCloseTo(toWallM(plain, at), 9);
    }),
  );
});

it('a pillar takes its ground, and no more', () => {
  const pillared: Arena = {
    ...ARENA,
    standing: [{ kind: 'pillar', name: null, at: { xM: 10, yM: 20 }, radiusM: 0.4 }],
  };
  expect(toThingM(pillared, { xM: 13, yM: 24 })).toBeCloseTo(4.6, 9);
  expect(isInsideArena(pillared, { xM: 10.3, yM: 20 })).toBe(false);
  expect(isInsideArena(pillared, { xM: 10.5, yM: 20 })).toBe(true);
  expect(toThingM(ARENA, { xM: 0, yM: 0 })).toBe(Infinity);
  // Straight on there is room to the pillar, or to the wall that is really there.
  expect(roomAhead(pillared, { xM: 10, yM: 5 }, Math.PI / 2)).toBeCloseTo(14.6, 9);
  expect(roomAhead(ARENA, { xM: 16, yM: 5 }, Math.PI / 2)).toBeCloseTo(25, 9);
  expect(roomAhead(ARENA, { xM: 6, yM: 5 }, Math.PI / 2)).toBeCloseTo(35, 9);
});

it.each([
  [[L[0]!, L[1]!], 'An outline has three corners at least.'],
  [[L[0]!, { xM: 0.2, yM: 0 }, L[3]!], 'Corner 1 and the next lie less than 0.5 m apart.'],
  [
    [L[0]!, { xM: 20, yM: 30 }, { xM: 20, yM: 0 }, { xM: 0, yM: 30 }],
    'The side from corner 1 crosses the one from corner 3.',
  ],
  [[L[0]!, { xM: 4, yM: 0 }, { xM: 4, yM: 4 }], 'There is less than 25 m² of sand within it.'],
  [L, null],
])('says what is wrong with corners', (corners, fault) => expect(outlineFault(corners)).toBe(fault));

it('keeps corners anticlockwise from nought', () => {
  const moved = [...L].reverse().map(({ xM, yM }) => ({ xM: xM - 3, yM: yM + 7 }));
  const kept = keptOutline(moved);
  expect([kept.widthM, kept.lengthM]).toEqual([20, 40]);
  expect(outlineAreaM2(kept.outline)).toBe(720);
});

it('is walked wall by wall with the sand on the left; where the walk does not close, it says by how much', () => {
  const walk = [
    [20, 90],
    [30, 90],
    [8, -90],
    [10, 90],
    [12, 90],
    [40, 90],
  ].map(([lengthM, turnLeftDeg]) => ({ lengthM: lengthM!, turnLeftDeg: turnLeftDeg! }));
  const { corners, gapM } = walkedOutline(walk);
  expect(corners).toEqual(L);
  expect(gapM).toBeCloseTo(0, 9);
  expect(walkedOutline(walk.slice(0, -1)).gapM).toBeCloseTo(40, 9);
});
