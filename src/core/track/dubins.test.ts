import fc from 'fast-check';
import { chainEnd } from '../geometry/chain';
import type { Pose } from '../geometry/pose';
import { DUBINS_WORDS, dubinsShortest, dubinsWord } from './dubins';

const pose = (xM: number, yM: number, headingRad: number): Pose => ({ at: { xM, yM }, headingRad });
const millis = (min: number, max: number) => fc.integer({ min: min * 1000, max: max * 1000 }).map(mm => mm / 1000);
const anyPose = fc.record({
  at: fc.record({ xM: millis(-20, 20), yM: millis(-20, 20) }),
  headingRad: millis(0, 6.283),
});

// Worked by hand, from the geometry of the words (Dubins 1957): radius 1, starting at the origin along +x.
test.each([
  { word: 'LSL', to: pose(0, 2, Math.PI), lengthM: Math.PI, why: 'half a left circle' },
  { word: 'RSR', to: pose(0, -2, Math.PI), lengthM: Math.PI, why: 'half a right circle' },
  { word: 'LSL', to: pose(5, 2, Math.PI), lengthM: 5 + Math.PI, why: 'straight on, then half a circle' },
  { word: 'LSR', to: pose(2, 4, 0), lengthM: Math.PI + 2, why: 'a quarter each way about a straight of two' },
  { word: 'RSL', to: pose(2, -4, 0), lengthM: Math.PI + 2, why: 'the same to the right' },
  // Back to where one stands, the other way round: three circles that touch, 60° + 300° + 60°.
  { word: 'LRL', to: pose(0, 0, Math.PI), lengthM: (7 / 3) * Math.PI, why: 'about face, to the left' },
  { word: 'RLR', to: pose(0, 0, Math.PI), lengthM: (7 / 3) * Math.PI, why: 'about face, to the right' },
] as const)('$word: $why', ({ word, to, lengthM }) => {
  expect(dubinsWord(pose(0, 0, 0), to, 1, word)?.lengthM).toBeCloseTo(lengthM, 9);
  expect(dubinsShortest(pose(0, 0, 0), to, 1).lengthM).toBeCloseTo(lengthM, 9);
});

test('straight on is straight', () => {
  expect(dubinsShortest(pose(0, 0, 0), pose(7, 0, 0), 3).lengthM).toBeCloseTo(7, 9);
});

test('the same pose again costs nothing', () => {
  expect(dubinsShortest(pose(3, 4, 1), pose(3, 4, 1), 3).lengthM).toBeCloseTo(0, 9);
});

test('circles of an S that overlap, and three arcs too far apart, have no track: a value, not an exception', () => {
  expect(dubinsWord(pose(0, 0, 0), pose(0, 2, 0), 3, 'LSR')).toBeNull();
  expect(dubinsWord(pose(0, 0, 0), pose(100, 0, 0), 3, 'LRL')).toBeNull();
});

test('every word that exists arrives, and the shortest is none longer than any', () => {
  fc.assert(
    fc.property(anyPose, anyPose, millis(1, 8), (from, to, radiusM) => {
      const shortest = dubinsShortest(from, to, radiusM);
      for (const word of DUBINS_WORDS) {
        const track = dubinsWord(from, to, radiusM, word);
        if (!track) continue;
        const end = chainEnd(track.chain);
        expect(Math.hypot(end.at.xM - to.at.xM, end.at.yM - to.at.yM)).toBeLessThan(1e-6);
        expect(Math.cos(end.headingRad - to.headingRad)).toBeGreaterThan(1 - 1e-9);
        expect(track.chain.lengthM).toBeCloseTo(track.lengthM, 6);
        expect(shortest.lengthM).toBeLessThanOrEqual(track.lengthM + 1e-9);
      }
      expect(shortest.lengthM).toBeGreaterThanOrEqual(Math.hypot(to.at.xM - from.at.xM, to.at.yM - from.at.yM) - 1e-9);
    }),
  );
});

test('ridden the other way the shortest is as short', () => {
  fc.assert(
    fc.property(anyPose, anyPose, millis(1, 8), (from, to, radiusM) => {
      const turn = (p: Pose): Pose => ({ at: p.at, headingRad: p.headingRad + Math.PI });
      expect(dubinsShortest(turn(to), turn(from), radiusM).lengthM).toBeCloseTo(
        dubinsShortest(from, to, radiusM).lengthM,
        6,
      );
    }),
  );
});

test('refuses a radius that is none', () => {
  expect(() => dubinsShortest(pose(0, 0, 0), pose(1, 0, 0), 0)).toThrow(RangeError);
});
