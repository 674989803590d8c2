import fc from 'fast-check';
import { clippedAhead, NEAREST_M, seenFrom, shareOf, type Camera } from './camera';

const DEG = Math.PI / 180;
/** An eye over the corner of the sand that looks towards C, level, 60° wide, three by two. */
const EYE: Camera = {
  eye: { xM: 0, yM: 0, zM: 2.45 },
  headingRad: 90 * DEG,
  downRad: 0,
  wideRad: 60 * DEG,
  aspect: 1.5,
};
const share = (camera: Camera, xM: number, yM: number, zM: number) => shareOf(camera, seenFrom(camera, { xM, yM, zM }));

// Worked by hand: half the picture is tan 30° = 0.57735 of the distance wide, and that over 1.5 high.
it.each([
  ['straight on at eye height is the middle', 0, 10, 2.45, 0.5, 0.5],
  ['30° to the right is the right edge', 5.7735, 10, 2.45, 1, 0.5],
  ['30° to the left is the left edge', -5.7735, 10, 2.45, 0, 0.5],
  ['the sand 10 m on: 2.45 of 3.849 m under the middle', 0, 10, 0, 0.5, 0.8183],
  ['the sand 20 m on lies half as far under the middle', 0, 20, 0, 0.5, 0.65913],
  ['a stand of 1.6 m 10 m on', 0, 10, 1.6, 0.5, 0.61042],
])('%s', (_, xM, yM, zM, x, y) => {
  const seen = share(EYE, xM, yM, zM);
  expect(seen.x).toBeCloseTo(x, 4);
  expect(seen.y).toBeCloseTo(y, 4);
});

it('turned to the right along x, what lay to the right lies ahead, and what lay ahead to the left', () => {
  const turned = { ...EYE, headingRad: 0 };
  expect(seenFrom(turned, { xM: 10, yM: 0, zM: 2.45 })).toMatchObject({ aheadM: 10, upM: 0 });
  expect(seenFrom(turned, { xM: 10, yM: 3, zM: 2.45 }).rightM).toBeCloseTo(-3, 12);
});

it('tilted down by the angle at which the sand lies 10 m on, that place is the middle', () => {
  const down = { ...EYE, downRad: Math.atan2(2.45, 10) };
  expect(share(down, 0, 10, 0).y).toBeCloseTo(0.5, 12);
  // What is level has moved up.
  expect(share(down, 0, 10, 2.45).y).toBeLessThan(0.3);
});

it('refuses what is not ahead', () => {
  expect(() => share(EYE, 0, -1, 0)).toThrow(RangeError);
  expect(() => share(EYE, 1, 0, 0)).toThrow(RangeError);
});

it('cuts a face where the nearest that can be drawn is', () => {
  const strip = [
    { aheadM: -1.7, rightM: 0, upM: -2 },
    { aheadM: 2.3, rightM: 0, upM: -2 },
    { aheadM: 2.3, rightM: 4, upM: -2 },
    { aheadM: -1.7, rightM: 4, upM: -2 },
  ];
  const cut = clippedAhead(strip);
  expect(cut).toHaveLength(4);
  expect(cut.map(({ aheadM }) => aheadM).sort((a, b) => a - b)).toEqual([NEAREST_M, NEAREST_M, 2.3, 2.3]);
  expect(clippedAhead(strip.map(one => ({ ...one, aheadM: one.aheadM - 5 })))).toEqual([]);
});

it('keeps straight lines straight: three places on a line in space lie on a line in the picture', () => {
  const metre = fc.double({ min: -20, max: 20, noNaN: true });
  fc.assert(
    fc.property(
      metre,
      metre,
      metre,
      metre,
      fc.double({ min: -0.5, max: 0.5, noNaN: true }),
      (x1, z1, x2, z2, downRad) => {
        const camera = { ...EYE, downRad };
        const [a, b] = [
          { xM: x1, yM: 30, zM: z1 },
          { xM: x2, yM: 50, zM: z2 },
        ];
        const middle = { xM: (x1 + x2) / 2, yM: 40, zM: (z1 + z2) / 2 };
        const [p, q, m] = [a, b, middle].map(at => share(camera, at.xM, at.yM, at.zM)) as [
          { x: number; y: number },
          { x: number; y: number },
          { x: number; y: number },
        ];
        expect((q.x - p.x) * (m.y - p.y) - (q.y - p.y) * (m.x - p.x)).toBeCloseTo(0, 9);
      },
    ),
  );
});
