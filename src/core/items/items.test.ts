import { FENCE_FORMS, isRidden, type Fence, type Item } from './item';
import { footprintCorners, mayRideFromBehind, ridingDepthM, ridingHeightM, ridingPose } from './footprint';
import { kitOf, kitOfAll } from './kit';

const at = { xM: 10, yM: 20 };
const fence = (changes: Partial<Fence> = {}): Fence => ({
  kind: 'fence',
  id: 'f',
  name: null,
  form: 'vertical',
  at,
  headingRad: Math.PI / 2,
  widthM: 3,
  heightM: 0.8,
  spreadM: 0,
  ridden: 'both-ways',
  groundLineBeforeM: null,
  sideHeightM: null,
  corner: null,
  filler: false,
  ...changes,
});
const pole: Item = {
  kind: 'pole',
  id: 'p',
  name: null,
  at,
  headingRad: Math.PI / 2,
  lengthM: 3,
  raised: { leftM: 0.2, rightM: 0 },
};
const OTHERS: Item[] = [
  { kind: 'guide', id: 'g', name: null, at, headingRad: 0, lengthM: 3 },
  { kind: 'cone', id: 'c', name: null, at },
  { kind: 'block', id: 'b', name: null, at, heightM: 0.15 },
  { kind: 'marker', id: 'm', name: null, at },
];

test('a pole ridden up the arena lies across it, 3 m wide and 10 cm thick', () => {
  expect(footprintCorners(pole).map(({ xM, yM }) => [xM, yM])).toEqual(
    [
      [8.5, 20.05],
      [8.5, 19.95],
      [11.5, 19.95],
      [11.5, 20.05],
    ].map(([x, y]) => [expect.closeTo(x!, 9), expect.closeTo(y!, 9)]),
  );
});

test('distances count from rail to rail of an oxer, and from centre to centre of poles and thin cross-rails', () => {
  expect(ridingDepthM(fence({ form: 'oxer', spreadM: 0.9 }))).toBe(0.9);
  expect(ridingDepthM(fence({ form: 'cross-rail', spreadM: 0.2 }))).toBe(0);
  expect(ridingDepthM(fence({ form: 'cross-rail', spreadM: 0.3 }))).toBe(0.3);
  expect(isRidden(pole) && ridingDepthM(pole)).toBe(0);
  expect(isRidden(pole) && ridingHeightM(pole)).toBeCloseTo(0.1, 12);
});

test('a corner is a wedge, ridden over its aim: 0.9 m from the flag of a 3 m corner the spread is 0.9 ÷ 1.5 of the middle', () => {
  const corner = fence({ form: 'corner', spreadM: 1, corner: { narrowEnd: 'left', aimFromFlagM: 0.9 } });
  expect(ridingDepthM(corner)).toBeCloseTo(0.6, 12);
  // Ridden up the arena the flag is on the left: the aim is 0.6 m to the left of the middle.
  expect(ridingPose(corner, false).at).toEqual({ xM: expect.closeTo(9.4, 12), yM: expect.closeTo(20, 12) });
  expect(ridingPose(corner, true).at).toEqual({ xM: expect.closeTo(9.4, 12), yM: expect.closeTo(20, 12) });
  const [frontLeft, backLeft, backRight, frontRight] = footprintCorners(corner);
  expect(frontLeft!.yM - backLeft!.yM).toBeCloseTo(0.5, 12);
  expect(frontRight!.yM - backRight!.yM).toBeCloseTo(2, 12);
  const plain = fence({ form: 'corner', spreadM: 1, corner: { narrowEnd: 'right', aimFromFlagM: null } });
  expect(ridingDepthM(plain)).toBeCloseTo(1, 12);
  expect(ridingPose(plain, false).at).toEqual({ xM: expect.closeTo(10, 12), yM: expect.closeTo(20, 12) });
});

test('ridden from behind one faces the other way, where it is allowed', () => {
  expect(Math.cos(ridingPose(fence(), true).headingRad - (3 * Math.PI) / 2)).toBeCloseTo(1, 12);
  expect(mayRideFromBehind(fence())).toBe(true);
  expect(mayRideFromBehind(fence({ ridden: 'one-way' }))).toBe(false);
  expect(isRidden(pole) && mayRideFromBehind(pole)).toBe(true);
});

test('only poles and fences are ridden over', () => expect(OTHERS.filter(isRidden)).toEqual([]));

test('kit: a grid of cross-rail, vertical and oxer with a placing pole (counted by hand)', () => {
  const kit = kitOfAll([
    { ...pole, raised: { leftM: 0, rightM: 0 } },
    fence({ form: 'cross-rail', heightM: 0.5 }),
    fence({ heightM: 0.8, groundLineBeforeM: 0.3 }),
    fence({ form: 'oxer', heightM: 0.8, spreadM: 0.8, filler: true }),
  ]);
  // 1 + 2 + (2 rails and a ground line) + (2 in front and 1 behind); stands 2 + 2 + 4; two cups a rail.
  expect(kit).toMatchObject({ poles: 9, stands: 8, cups: 14, fillers: 1, blocks: 0 });
});

test('every form of fence and every other item takes something', () => {
  const taken = (item: Item) => Object.values(kitOf(item)).reduce((sum, count) => sum + count, 0);
  for (const form of FENCE_FORMS) expect(taken(fence({ form, spreadM: 1 }))).toBeGreaterThan(1);
  for (const item of [...OTHERS, pole]) expect(taken(item)).toBeGreaterThan(0);
  expect(kitOf(pole).blocks).toBe(1);
});
