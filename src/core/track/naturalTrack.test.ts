import fc from 'fast-check';
import type { Arena } from '../arena/arena';
import { chainEnd, poseAt, smallestRadiusM } from '../geometry/chain';
import { isChainInside } from '../geometry/insideArena';
import { reversed, type Pose } from '../geometry/pose';
import { dubinsShortest } from './dubins';
import { naturalTrack } from './naturalTrack';

const ARENA: Arena = { widthM: 40, lengthM: 70, letters: 'none' };
const COURSE_M = 6;

const pose = (xM: number, yM: number, headingRad: number): Pose => ({ at: { xM, yM }, headingRad });
const degrees = (deg: number) => (deg * Math.PI) / 180;

function natural(from: Pose, to: Pose, arena = ARENA) {
  const track = naturalTrack(from, to, arena, COURSE_M);
  if (!track.ok) throw new Error(track.reason);
  return track;
}

test('fences in line are ridden straight', () => {
  const track = natural(pose(20, 10, degrees(90)), pose(20, 28.5, degrees(90)));
  expect(track.radiusM).toBeNull();
  expect(track.chain.lengthM).toBeCloseTo(18.5, 12);
});

test('fences on one circle are ridden on exactly that arc', () => {
  // A quarter of a circle of 10 m about (20, 30): 5π.
  const track = natural(pose(30, 30, degrees(90)), pose(20, 40, degrees(180)));
  expect(track.chain.segments).toHaveLength(1);
  expect(track.radiusM).toBeCloseTo(10, 9);
  expect(track.chain.lengthM).toBeCloseTo(5 * Math.PI, 9);
});

test('side by side and facing the same way: two equal arcs', () => {
  // An S from (20, 10) to (24, 30): the arcs meet halfway, R = (20² + 4²) / (4·4) = 26.
  const track = natural(pose(20, 10, degrees(90)), pose(24, 30, degrees(90)));
  expect(track.chain.segments.map(({ kind }) => kind)).toEqual(['arc', 'arc']);
  expect(track.radiusM).toBeCloseTo(26, 9);
  const [first, second] = track.chain.segments;
  if (first?.kind !== 'arc' || second?.kind !== 'arc') throw new Error('two arcs');
  expect(first.sweepRad).toBeCloseTo(-second.sweepRad, 9);
});

test('most bending lines: one arc and one straight', () => {
  // Turning a quarter to the right with one leg longer: R is the shorter leg.
  const track = natural(pose(10, 10, degrees(90)), pose(30, 22, degrees(0)));
  expect(track.chain.segments.map(({ kind }) => kind)).toEqual(['arc', 'line']);
  expect(track.radiusM).toBeCloseTo(12, 9);
  expect(track.chain.lengthM).toBeCloseTo(6 * Math.PI + 8, 9);
});

test('a fence behind, facing the same way, that would want more than 270° has no natural track', () => {
  expect(naturalTrack(pose(20, 30, degrees(90)), pose(20, 20, degrees(90)), ARENA, COURSE_M)).toEqual({
    ok: false,
    reason: 'no-natural-track',
  });
});

test('coincident and opposite poses are answered, not thrown', () => {
  const here = pose(20, 30, degrees(90));
  for (const there of [here, reversed(here), pose(20, 30 + 1e-9, degrees(90)), pose(20, 35, degrees(270))])
    expect(() => naturalTrack(here, there, ARENA, COURSE_M)).not.toThrow();
});

/** Drawn well inside the arena, any way round; pairs of fences stand at least half a metre apart. */
const millis = (min: number, max: number) => fc.integer({ min: min * 1000, max: max * 1000 }).map(mm => mm / 1000);
const anyPose = fc.record({ at: fc.record({ xM: millis(4, 36), yM: millis(4, 66) }), headingRad: millis(0, 6.283) });

const apart = (from: Pose, to: Pose) => Math.hypot(to.at.xM - from.at.xM, to.at.yM - from.at.yM) > 0.5;

/** Runs a check over many pairs of poses; a failure is told as it is, without minutes of shrinking. */
function forPairs(numRuns: number, check: (from: Pose, to: Pose) => void): void {
  fc.assert(
    fc.property(anyPose, anyPose, (from, to) => {
      fc.pre(apart(from, to));
      check(from, to);
    }),
    { numRuns, endOnFailure: true, seed: 20261124 },
  );
}

/**
 * An independent way to the largest radius: build the four tracks from the tangents of two circles by vectors, try a
 * fine ladder of radii, and sample each track every 40 cm to see whether it stays on the sand.
 */
const WIDEST_SEARCHED_M = 120;

function largestRadiusBySearch(from: Pose, to: Pose, kinds: ('LL' | 'RR' | 'LR' | 'RL')[]): number {
  let best = 0;
  for (let radiusM = 0.05; radiusM < WIDEST_SEARCHED_M; radiusM *= 1.015)
    if (kinds.some(kind => fitsBySampling(from, to, kind, radiusM))) best = radiusM;
  return best;
}

function fitsBySampling(
  from: Pose,
  to: Pose,
  kind: string,
  radiusM: number,
  isFree: (at: readonly [number, number]) => boolean = inside,
  stepM = 0.4,
): boolean {
  const [a, b] = [kind[0] === 'L' ? 1 : -1, kind[1] === 'L' ? 1 : -1];
  const u = (h: number) => [Math.cos(h), Math.sin(h)] as const;
  const centre = (p: Pose, side: number) => {
    const [c, s] = u(p.headingRad);
    return [p.at.xM - side * radiusM * s, p.at.yM + side * radiusM * c] as const;
  };
  const [c0, c1] = [centre(from, a), centre(to, b)];
  const [dx, dy] = [c1[0] - c0[0], c1[1] - c0[1]];
  const apart = Math.hypot(dx, dy);
  if (a !== b && apart < 2 * radiusM) return false;
  // The tangent leaves the line of centres by the angle whose sine is (difference of radii) ÷ distance.
  const lean = a === b ? 0 : a * Math.asin((2 * radiusM) / apart);
  const heading = Math.atan2(dy, dx) + lean;
  const mod = (angle: number) => ((angle % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
  const first = mod(a * (heading - from.headingRad));
  const second = mod(b * (to.headingRad - heading));
  if (first + second > 1.5 * Math.PI) return false;
  const onCircle = (c: readonly [number, number], h: number, side: number) =>
    [c[0] + side * radiusM * Math.sin(h), c[1] - side * radiusM * Math.cos(h)] as const;
  for (let turned = 0; turned <= first; turned += stepM / radiusM)
    if (!isFree(onCircle(c0, from.headingRad + a * turned, a))) return false;
  for (let turned = 0; turned <= second; turned += stepM / radiusM)
    if (!isFree(onCircle(c1, to.headingRad - b * turned, b))) return false;
  const [[x0, y0], [x1, y1]] = [onCircle(c0, heading, a), onCircle(c1, heading, b)];
  const steps = Math.ceil(Math.hypot(x1 - x0, y1 - y0) / stepM);
  for (let step = 1; step < steps; step += 1)
    if (!isFree([x0 + ((x1 - x0) * step) / steps, y0 + ((y1 - y0) * step) / steps])) return false;
  return true;
}

const inside = ([x, y]: readonly [number, number]) => x >= -0.02 && y >= -0.02 && x <= 40.02 && y <= 70.02;

test('the radius is the largest there is: against a search by sampling (twenty-five pairs)', () => {
  forPairs(25, (from, to) => {
    const sameWayM = largestRadiusBySearch(from, to, ['LL', 'RR']);
    const anyM = Math.max(sameWayM, largestRadiusBySearch(from, to, ['LR', 'RL']));
    const track = naturalTrack(from, to, ARENA, COURSE_M);
    if (!track.ok) return void expect(anyM).toBeLessThan(0.5);
    // What the rule makes of the two radii found by search; the ladder's rungs are 1.5 % apart.
    const betweenM = anyM - ((anyM - COURSE_M) * sameWayM) / COURSE_M;
    const expectedM = sameWayM >= COURSE_M ? sameWayM : anyM <= COURSE_M ? anyM : betweenM;
    if (sameWayM > COURSE_M * 0.98 && sameWayM < COURSE_M * 1.02) return;
    if ((track.radiusM ?? Infinity) > WIDEST_SEARCHED_M)
      return void expect(expectedM).toBeGreaterThan(WIDEST_SEARCHED_M * 0.97);
    expect(track.radiusM ?? Infinity).toBeGreaterThan(expectedM * 0.97 - 0.05);
    if (track.radiusM !== null) expect(track.radiusM).toBeLessThan(expectedM * 1.04 + 0.05);
  });
});

test('it begins and ends at its poses, is tangent-continuous, stays on the sand, and turns at most 270°', () => {
  forPairs(120, (from, to) => {
    const track = naturalTrack(from, to, ARENA, COURSE_M);
    if (!track.ok) return;
    const { chain } = track;
    const end = chainEnd(chain);
    expect(Math.hypot(end.at.xM - to.at.xM, end.at.yM - to.at.yM)).toBeLessThan(1e-6);
    expect(Math.cos(end.headingRad - to.headingRad)).toBeGreaterThan(1 - 1e-12);
    expect(isChainInside(ARENA, chain)).toBe(true);
    const turned = chain.segments.reduce((sum, s) => sum + (s.kind === 'arc' ? Math.abs(s.sweepRad) : 0), 0);
    expect(turned).toBeLessThanOrEqual(1.5 * Math.PI + 1e-6);
    // Across each joint: a micron further on, a micron further along, and no corner.
    let jointM = 0;
    for (const segment of chain.segments.slice(0, -1)) {
      jointM += segment.kind === 'line' ? segment.lengthM : segment.radiusM * Math.abs(segment.sweepRad);
      const before = poseAt(chain, Math.max(0, jointM - 1e-6));
      const behind = poseAt(chain, Math.min(chain.lengthM, jointM + 1e-6));
      expect(Math.hypot(behind.at.xM - before.at.xM, behind.at.yM - before.at.yM)).toBeLessThan(3e-6);
      expect(Math.cos(behind.headingRad - before.headingRad)).toBeGreaterThan(1 - 1e-6);
    }
  });
});

test('the shortest possible is never longer', () => {
  forPairs(120, (from, to) => {
    const track = naturalTrack(from, to, ARENA, COURSE_M);
    if (!track.ok) return;
    const radiusM = Math.min(COURSE_M, smallestRadiusM(track.chain) ?? Infinity);
    expect(dubinsShortest(from, to, radiusM).lengthM).toBeLessThanOrEqual(track.chain.lengthM + 1e-6);
  });
});

test('ridden the other way it has the same length', () => {
  forPairs(120, (from, to) => {
    const there = naturalTrack(from, to, ARENA, COURSE_M);
    const back = naturalTrack(reversed(to), reversed(from), ARENA, COURSE_M);
    expect(back.ok).toBe(there.ok);
    if (there.ok && back.ok) expect(back.chain.lengthM).toBeCloseTo(there.chain.lengthM, 6);
  });
});

test('arena and fences mirrored together keep the length', () => {
  const mirror = (p: Pose): Pose => pose(ARENA.widthM - p.at.xM, p.at.yM, Math.PI - p.headingRad);
  forPairs(120, (from, to) => {
    const one = naturalTrack(from, to, ARENA, COURSE_M);
    const other = naturalTrack(mirror(from), mirror(to), ARENA, COURSE_M);
    expect(other.ok).toBe(one.ok);
    if (one.ok && other.ok) expect(other.chain.lengthM).toBeCloseTo(one.chain.lengthM, 6);
  });
});

test('arena and fences turned together by a quarter keep the length', () => {
  const turnedArena: Arena = { widthM: ARENA.lengthM, lengthM: ARENA.widthM, letters: 'none' };
  const turn = (p: Pose): Pose => pose(ARENA.lengthM - p.at.yM, p.at.xM, p.headingRad + Math.PI / 2);
  forPairs(120, (from, to) => {
    const one = naturalTrack(from, to, ARENA, COURSE_M);
    const other = naturalTrack(turn(from), turn(to), turnedArena, COURSE_M);
    expect(other.ok).toBe(one.ok);
    if (one.ok && other.ok) expect(other.chain.lengthM).toBeCloseTo(one.chain.lengthM, 6);
  });
});

test('refuses a smallest radius that is none', () => {
  expect(() => naturalTrack(pose(1, 1, 0), pose(5, 5, 1), ARENA, 0)).toThrow(RangeError);
  expect(() => naturalTrack(pose(1, 1, 0), pose(5, 5, 1), ARENA, Number.NaN)).toThrow(RangeError);
});

test('where something stands on the sand the radius is closed in on: a little wider no longer fits', () => {
  let closedIn = 0;
  for (let yM = 34; yM <= 60; yM += 2) {
    const [from, to] = [pose(10, 16, degrees(90)), pose(32, yM, degrees(0))];
    const free = natural(from, to);
    // In the way of the line that would be ridden without it.
    const { at } = poseAt(free.chain, free.chain.lengthM * 0.45);
    const standing = [{ kind: 'pillar' as const, name: null, at, radiusM: 0.3 }];
    const track = naturalTrack(from, to, { ...ARENA, standing }, COURSE_M);
    if (!track.ok || track.radiusM === null || track.radiusM <= COURSE_M) continue;
    closedIn += 1;
    // A metre is kept to what stands on the sand.
    const clear = ([x, y]: readonly [number, number]) =>
      inside([x, y]) && Math.hypot(x - at.xM, y - at.yM) >= 1.3 - 1e-9;
    const fits = (share: number) =>
      (['RR', 'LL'] as const).some(kind => fitsBySampling(from, to, kind, track.radiusM! * share, clear, 0.004));
    expect([yM, fits(0.9999), fits(1.002)]).toEqual([yM, true, false]);
  }
  expect(closedIn).toBeGreaterThan(2);
});
