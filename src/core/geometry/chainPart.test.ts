import fc from 'fast-check';
import { chainEnd, chainOf, poseAt, type Move } from './chain';
import { chainPart } from './chainPart';

const START = { at: { xM: 3, yM: 4 }, headingRad: 0.4 };
const moves: Move[] = [
  { kind: 'straight', lengthM: 5 },
  { kind: 'turn', radiusM: 6, sweepRad: 1.2 },
  { kind: 'straight', lengthM: 2 },
  { kind: 'turn', radiusM: 4, sweepRad: -2 },
];
const CHAIN = chainOf(START, moves);

test('a part begins and ends where the chain is there, and is as long as it says', () => {
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  fc.assert(
    fc.property(share, share, (p, q) => {
      const [fromM, toM] = [Math.min(p, q) * CHAIN.lengthM, Math.max(p, q) * CHAIN.lengthM];
      const part = chainPart(CHAIN, fromM, toM);
      expect(part.lengthM).toBeCloseTo(toM - fromM, 6);
      const [start, end] = [poseAt(CHAIN, fromM), poseAt(CHAIN, toM)];
      const reached = chainEnd(part);
      for (const [a, b] of [
        [part.start, start],
        [reached, end],
      ] as const) {
        expect(Math.hypot(a.at.xM - b.at.xM, a.at.yM - b.at.yM)).toBeLessThan(1e-6);
        expect(Math.cos(a.headingRad - b.headingRad)).toBeCloseTo(1, 9);
      }
    }),
  );
});

test('cut in two, the parts make the whole', () => {
  const halves = [chainPart(CHAIN, 0, 7), chainPart(CHAIN, 7, CHAIN.lengthM)];
  expect(halves.reduce((sum, { lengthM }) => sum + lengthM, 0)).toBeCloseTo(CHAIN.lengthM, 9);
});

test('bounds that are off the chain, or the wrong way round, are refused', () => {
  for (const [fromM, toM] of [
    [-1, 3],
    [0, CHAIN.lengthM + 1],
    [5, 4],
    [Number.NaN, 4],
  ] as const)
    expect(() => chainPart(CHAIN, fromM, toM)).toThrow(RangeError);
});
