import {
  Circle as FlattenCircle,
  Line as FlattenLine,
  Point,
  Segment as FlattenSegment,
  Arc as FlattenArc,
} from '@flatten-js/core';
import fc from 'fast-check';
import { svgPathProperties } from 'svg-path-properties';
import { chainEnd, chainOf, nearestOnChain, poseAt, reversedChain, type Chain, type Move } from './chain';
import { isChainInside, wallClearanceM } from './insideArena';
import { chainCrossings } from './intersections';
import type { Pose } from './pose';
import { arcCentre } from './segment';
import { sideOffset } from './sideOffset';

const pose = (xM: number, yM: number, headingRad: number): Pose => ({ at: { xM, yM }, headingRad });
const millis = (min: number, max: number) => fc.integer({ min: min * 1000, max: max * 1000 }).map(mm => mm / 1000);
const anyMove: fc.Arbitrary<Move> = fc.oneof(
  millis(0.1, 20).map(lengthM => ({ kind: 'straight' as const, lengthM })),
  fc
    .record({ radiusM: millis(0.5, 20), sweepRad: millis(-3, 3).filter(sweep => Math.abs(sweep) > 0.01) })
    .map(turn => ({ kind: 'turn' as const, ...turn })),
);
const anyPose = fc.record({
  at: fc.record({ xM: millis(-20, 20), yM: millis(-20, 20) }),
  headingRad: millis(0, 6.283),
});
const anyChain = fc
  .tuple(anyPose, fc.array(anyMove, { minLength: 1, maxLength: 6 }))
  .map(([start, moves]) => chainOf(start, moves));

/** The chain as an SVG path, for a general-purpose library to measure. */
function svgPath(chain: Chain): string {
  const parts = [`M ${chain.start.at.xM} ${chain.start.at.yM}`];
  for (const [index, segment] of chain.segments.entries()) {
    const end = chainEnd({ ...chain, segments: chain.segments.slice(0, index + 1) }).at;
    if (segment.kind === 'line') parts.push(`L ${end.xM} ${end.yM}`);
    else {
      const { radiusM, sweepRad } = segment;
      parts.push(
        `A ${radiusM} ${radiusM} 0 ${Math.abs(sweepRad) > Math.PI ? 1 : 0} ${sweepRad > 0 ? 1 : 0} ${end.xM} ${end.yM}`,
      );
    }
  }
  return parts.join(' ');
}

test('lengths in closed form: a quarter circle of 10 m is 5π', () => {
  const chain = chainOf(pose(0, 0, 0), [{ kind: 'turn', radiusM: 10, sweepRad: Math.PI / 2 }]);
  expect(chain.lengthM).toBeCloseTo(5 * Math.PI, 12);
  const end = chainEnd(chain);
  expect(end.at.xM).toBeCloseTo(10, 12);
  expect(end.at.yM).toBeCloseTo(10, 12);
});

test('lengths and points agree with a general SVG path library (svg-path-properties), to a millimetre', () => {
  fc.assert(
    fc.property(anyChain, millis(0, 1), (chain, share) => {
      const path = new svgPathProperties(svgPath(chain));
      expect(Math.abs(path.getTotalLength() - chain.lengthM)).toBeLessThan(1e-3 * Math.max(1, chain.lengthM / 10));
      const theirs = path.getPointAtLength(share * path.getTotalLength());
      const ours = poseAt(chain, share * chain.lengthM).at;
      expect(Math.hypot(theirs.x - ours.xM, theirs.y - ours.yM)).toBeLessThan(0.01);
    }),
    { numRuns: 25, seed: 20261124, endOnFailure: true },
  );
});

test('crossings agree with a general geometry library (flatten-js)', () => {
  fc.assert(
    fc.property(anyChain, anyChain, (a, b) => {
      const shapes = (chain: Chain) =>
        chain.segments.map((segment, index) => {
          const end = chainEnd({ ...chain, segments: chain.segments.slice(0, index + 1) }).at;
          const [from, to] = [new Point(segment.start.at.xM, segment.start.at.yM), new Point(end.xM, end.yM)];
          if (segment.kind === 'line') return new FlattenSegment(from, to);
          const centre = arcCentre(segment);
          const angle = (p: Point) => Math.atan2(p.y - centre.yM, p.x - centre.xM);
          return new FlattenArc(
            new Point(centre.xM, centre.yM),
            segment.radiusM,
            angle(from),
            angle(to),
            segment.sweepRad > 0,
          );
        });
      const theirs = shapes(a).flatMap(one => shapes(b).flatMap(other => one.intersect(other as FlattenSegment)));
      const ours = chainCrossings(a, b);
      for (const { at, alongAM, alongBM } of ours) {
        // A crossing lies where both chains say it does, and the other library has it too.
        expect(Math.hypot(poseAt(a, alongAM).at.xM - at.xM, poseAt(a, alongAM).at.yM - at.yM)).toBeLessThan(1e-6);
        expect(Math.hypot(poseAt(b, alongBM).at.xM - at.xM, poseAt(b, alongBM).at.yM - at.yM)).toBeLessThan(1e-6);
        expect(theirs.some(p => Math.hypot(p.x - at.xM, p.y - at.yM) < 1e-4)).toBe(true);
      }
      for (const point of theirs)
        expect(ours.some(({ at }) => Math.hypot(point.x - at.xM, point.y - at.yM) < 1e-4)).toBe(true);
    }),
    { numRuns: 80, seed: 20261124, endOnFailure: true },
  );
});

test('a line through a circle crosses it twice, a tangent touches it once', () => {
  const circle = chainOf(pose(10, 0, Math.PI / 2), [{ kind: 'turn', radiusM: 10, sweepRad: 2 * Math.PI }]);
  const through = chainOf(pose(-20, 6, 0), [{ kind: 'straight', lengthM: 40 }]);
  // 6-8-10: the line at 6 m from the centre crosses at ±8.
  expect(chainCrossings(through, circle).map(({ at }) => at.xM)).toEqual([expect.closeTo(-8, 9), expect.closeTo(8, 9)]);
  const tangent = chainOf(pose(-20, 10, 0), [{ kind: 'straight', lengthM: 40 }]);
  expect(chainCrossings(tangent, circle)).toHaveLength(1);
  const theirs = new FlattenCircle(new Point(0, 0), 10).intersect(new FlattenLine(new Point(-20, 6), new Point(20, 6)));
  expect(theirs).toHaveLength(2);
});

test('the nearest point is nearer than any other on the chain', () => {
  const place = fc.record({ xM: millis(-30, 30), yM: millis(-30, 30) });
  fc.assert(
    fc.property(anyChain, place, fc.array(millis(0, 1), { minLength: 20, maxLength: 20 }), (chain, point, shares) => {
      const near = nearestOnChain(chain, point);
      expect(Math.hypot(near.pose.at.xM - point.xM, near.pose.at.yM - point.yM)).toBeCloseTo(near.awayM, 6);
      for (const share of shares) {
        const { at } = poseAt(chain, share * chain.lengthM);
        expect(Math.hypot(at.xM - point.xM, at.yM - point.yM)).toBeGreaterThanOrEqual(near.awayM - 1e-6);
      }
    }),
  );
});

test('ridden back, a chain passes the same places', () => {
  fc.assert(
    fc.property(anyChain, millis(0, 1), (chain, share) => {
      const there = poseAt(chain, share * chain.lengthM);
      const back = poseAt(reversedChain(chain), (1 - share) * chain.lengthM);
      expect(back.at.xM).toBeCloseTo(there.at.xM, 6);
      expect(back.at.yM).toBeCloseTo(there.at.yM, 6);
      expect(Math.cos(back.headingRad - there.headingRad)).toBeCloseTo(-1, 6);
    }),
  );
});

test('beside a turn: the inside is shorter by offset × turn, the outside longer (parallel curves)', () => {
  const chain = chainOf(pose(0, 0, 0), [
    { kind: 'straight', lengthM: 5 },
    { kind: 'turn', radiusM: 10, sweepRad: Math.PI / 2 },
    { kind: 'straight', lengthM: 5 },
  ]);
  const inside = sideOffset(chain, 1.5);
  const outside = sideOffset(chain, -1.5);
  expect(inside.ok && inside.lengthM).toBeCloseTo(chain.lengthM - 1.5 * (Math.PI / 2), 9);
  expect(outside.ok && outside.lengthM).toBeCloseTo(chain.lengthM + 1.5 * (Math.PI / 2), 9);
});

test('inside a turn tighter than the offset the fold is left out and the sides meet at a corner', () => {
  // A quarter turn of 1 m radius, offset 3 m inside: the straights, moved in, meet 2 m before their ends.
  const chain = chainOf(pose(0, 0, 0), [
    { kind: 'straight', lengthM: 10 },
    { kind: 'turn', radiusM: 1, sweepRad: Math.PI / 2 },
    { kind: 'straight', lengthM: 10 },
  ]);
  const inside = sideOffset(chain, 3);
  if (!inside.ok) throw new Error(inside.reason);
  expect(inside.lengthM).toBeCloseTo(16, 9);
  expect(inside.corners).toEqual([{ xM: expect.closeTo(8, 9), yM: expect.closeTo(3, 9) }]);
});

test('an offset that swallows the whole turn is answered', () => {
  const ring = chainOf(pose(0, 0, 0), [{ kind: 'turn', radiusM: 2, sweepRad: 6 }]);
  expect(sideOffset(ring, 3)).toEqual({ ok: false, reason: 'turn-too-tight' });
});

test('clearance to the wall is taken where an arc comes nearest to it, not at its ends', () => {
  const arena = { widthM: 20, lengthM: 40, letters: 'none' as const };
  // Half a circle of 8 m that bulges to x = 18.
  const bulge = chainOf(pose(10, 12, 0), [{ kind: 'turn', radiusM: 8, sweepRad: Math.PI }]);
  expect(wallClearanceM(arena, bulge)).toBeCloseTo(2, 9);
  expect(isChainInside(arena, bulge, 2)).toBe(true);
  expect(isChainInside(arena, bulge, 2.001)).toBe(false);
});

test('impossible pieces are refused', () => {
  expect(() => chainOf(pose(0, 0, 0), [{ kind: 'turn', radiusM: 0, sweepRad: 1 }])).toThrow(RangeError);
  expect(() => chainOf(pose(0, 0, 0), [{ kind: 'straight', lengthM: -1 }])).toThrow(RangeError);
  expect(() => poseAt(chainOf(pose(0, 0, 0), []), 1)).toThrow(RangeError);
  expect(() => poseAt(chainOf(pose(0, 0, 0), []), Number.NaN)).toThrow(RangeError);
});
