import { chainOf } from '../geometry/chain';
import { layoutCautions } from '../cautions/layoutCautions';
import { fence, line, quarter } from '../cautions/testCases';
import type { Layout } from '../layout/layout';
import { CANNOT_CALL, reckonLayout } from '../layout/reckonLayout';
import type { ReckonedItemTrack } from '../layout/reckonedTrack';
import { alongCounted, fittingRadiusM, groundCost, leastTurnM, turnShare, USUAL_LEAN_RAD } from './turnCost';

const UP = { at: { xM: 0, yM: 0 }, headingRad: Math.PI / 2 };
const legOf = (layout: Layout) => (reckonLayout(layout)[0] as ReckonedItemTrack).legs[0]!;

// v² / (g·tan 20°), mechanics; speeds are common practice, no source.
test.each([
  { gait: 'course-canter', fitsM: 9.5 },
  { gait: 'canter', fitsM: 4.3 },
  { gait: 'trot', fitsM: 3.8 },
] as const)('a $gait fits turns of $fitsM m and more', ({ gait, fitsM }) => {
  expect(Math.abs(fittingRadiusM(gait, USUAL_LEAN_RAD) - fitsM)).toBeLessThan(0.05);
});

test('a roll-back of 6 m at course canter leaves 0.79 of the stride (common practice, no source)', () => {
  expect(turnShare(6, fittingRadiusM('course-canter', USUAL_LEAN_RAD))).toBeCloseTo(0.79, 2);
  expect(turnShare(9.6, fittingRadiusM('course-canter', USUAL_LEAN_RAD))).toBe(1);
});

test('the ground of straight, half circle and straight, worked by hand', () => {
  // 5 m, a half circle of 6 m (18.85 m) and 5 m; an oxer 1 m deep takes half a metre of the first straight.
  const chain = chainOf(UP, [
    { kind: 'straight', lengthM: 5 },
    { kind: 'turn', radiusM: 6, sweepRad: Math.PI },
    { kind: 'straight', lengthM: 5 },
  ]);
  const cost = groundCost(chain, 0.5, chain.lengthM - 0.5, 24);
  // √(6 / 24) = ½: the turn counts double.
  expect(cost.turnShare).toBeCloseTo(0.5, 12);
  expect(cost.countedM).toBeCloseTo(4.5 + 2 * 6 * Math.PI + 5, 9);
  expect(alongCounted(cost, 4.5 + 6 * Math.PI)).toBeCloseTo(4.5 + 3 * Math.PI, 9);
  expect(alongCounted(cost, cost.countedM)).toBeCloseTo(chain.lengthM - 0.5, 9);
  expect(groundCost(chain, 0.5, chain.lengthM - 0.5, null)).toMatchObject({
    countedM: chain.lengthM - 0.5,
    turnShare: 1,
  });
});

test('the tightest turn of a horse: of its level, or where its stride gets too short', () => {
  expect(leastTurnM('course-canter', { level: 'advanced', shortShare: 0.75 }, 9.5)).toBeCloseTo(9.5 * 0.5625, 9);
  expect(leastTurnM('course-canter', { level: 'green', shortShare: 0.75 }, 9.5)).toBe(8);
  expect(leastTurnM('trot', { level: 'novice', shortShare: 0.75 }, null)).toBe(4);
  expect(leastTurnM('walk', { level: 'green', shortShare: 0.75 }, 0.8)).toBeCloseTo(0.45, 9);
  expect(() => fittingRadiusM('trot', 0)).toThrow(RangeError);
});

describe('a reading', () => {
  test('takes the ground as it counts; the tape stays what it is', () => {
    const layout = quarter(6);
    const leg = legOf(layout);
    const share = Math.sqrt(6 / fittingRadiusM('course-canter', USUAL_LEAN_RAD));
    expect(leg.groundM).toBeCloseTo(3 * Math.PI, 9);
    expect(leg.cost.countedM).toBeCloseTo((3 * Math.PI) / share, 9);
    // One stride of 3.66 m wants two in the whole-stride school.
    const [reading] = leg.readings;
    const one = reading!.options.find(({ strides }) => strides === 2)!;
    expect(one.q).toBeCloseTo((3 * Math.PI) / share / 3.66 / 3, 9);
  });

  test('a yard that takes turns to cost nothing reads the tape', () => {
    const leg = legOf({ ...quarter(6), leanRad: null });
    expect(leg.cost.countedM).toBe(leg.groundM);
    // With a lean of 30° a turn of 6 m fits the speed: 5.833² / (9.81 · 0.577) = 6.01.
    expect(legOf({ ...quarter(6.1), leanRad: Math.PI / 6 }).cost.turnShare).toBe(1);
  });

  test('a turn that nobody can ride has no count, and says the tightest and a line that works', () => {
    // Two fences side by side, ridden up and down: a half circle of 1.5 m.
    const layout = line([fence('alder', 18, 30), fence('birch', 21, 30, { headingRad: -Math.PI / 2 })], {
      leg: { track: 'direct' },
    });
    const tight: Layout = {
      ...layout,
      arena: { widthM: 22.5, lengthM: 70, letters: 'none' },
      items: [fence('alder', 18, 66), fence('birch', 21, 66, { headingRad: -Math.PI / 2 })],
      tracks: layout.tracks,
    };
    const leg = legOf(tight);
    expect(leg.smallestRadiusM!).toBeLessThan(3);
    const [reading] = leg.readings;
    expect(reading).toMatchObject({ call: CANNOT_CALL, options: [], asked: null });
    expect(reading!.cannot).toMatchObject({ radiusM: leg.smallestRadiusM });
    expect(reading!.cannot!.leastM).toBeCloseTo(9.534 * 0.5625, 2);
    const caution = layoutCautions(tight, reckonLayout(tight)).find(({ code }) => code === 'cannot-be-ridden')!;
    expect(caution.level).toBe('stop');
    expect(caution.text).toMatch(
      /cannot be ridden at this gait by Juniper: it turns at \d\.\d m, and 5\.4 m is the tightest/,
    );
    expect(caution.mend.length).toBeGreaterThan(20);
  });
});
