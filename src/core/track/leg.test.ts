import fc from 'fast-check';
import type { Arena } from '../arena/arena';
import { chainOf, poseAt, smallestRadiusM, type Chain } from '../geometry/chain';
import type { Fence } from '../items/item';
import { DEFAULT_LEG } from '../layout/layout';
import { directLeg, legTrack, measureLeg, naturalLeg, wideLeg, type LegGround, type RiddenEnd } from './leg';

const FT = 0.3048;
const ARENA: Arena = { widthM: 40, lengthM: 70, letters: 'none' };
const GROUND: LegGround = { arena: ARENA, smallestRadiusM: 6, strideM: 3.66 };

const fence = (id: string, xM: number, yM: number, degrees: number, changes: Partial<Fence> = {}): RiddenEnd => ({
  reversed: false,
  item: {
    kind: 'fence',
    id,
    name: null,
    form: 'vertical',
    at: { xM, yM },
    headingRad: (degrees * Math.PI) / 180,
    widthM: 3,
    heightM: 0.9,
    spreadM: 0,
    ridden: 'both-ways',
    groundLineBeforeM: null,
    sideHeightM: null,
    corner: null,
    filler: false,
    ...changes,
  },
});
const poseOf = ({ item, reversed }: RiddenEnd) => ({
  at: item.at,
  headingRad: item.headingRad + (reversed ? Math.PI : 0),
});

function natural(from: RiddenEnd, to: RiddenEnd) {
  const leg = legTrack(from, to, DEFAULT_LEG, GROUND);
  if (!leg.ok) throw new Error(leg.reason);
  return { chain: leg.chain, measures: measureLeg(from.item, to.item, leg.chain) };
}

test('in line: measured from the back of the first to the front of the next', () => {
  const { measures } = natural(fence('a', 20, 15, 90), fence('b', 20, 33.5, 90, { form: 'oxer', spreadM: 0.8 }));
  expect(measures).toMatchObject({
    trackM: expect.closeTo(18.5, 9),
    groundM: expect.closeTo(18.1, 9),
    straightOutM: expect.closeTo(18.1, 9),
    straightInM: expect.closeTo(18.1, 9),
    smallestRadiusM: null,
  });
});

// On a 20 m circle (common practice, no source): fences 18 to 20 ft apart along the track are 31.4° to 34.9° apart seen
// from the centre; the chord is 1.2 to 1.5 % less; at fences 3 m wide 18 ft is 15.3 ft inside and 20.7 ft outside.
test.each([
  { feet: 18, degrees: 31.4, chordLess: 0.0124, inside: 15.3, outside: 20.7 },
  { feet: 20, degrees: 34.9, chordLess: 0.0154, inside: 17.0, outside: 23.0 },
])(
  'two fences $degrees° apart on a 20 m circle are $feet ft apart on the track',
  ({ feet, chordLess, inside, outside }) => {
    const arcRad = (feet * FT) / 10;
    const first = fence('a', 30, 30, 90);
    const second = fence('b', 20 + 10 * Math.cos(arcRad), 30 + 10 * Math.sin(arcRad), 90 + (arcRad * 180) / Math.PI);
    const { measures } = natural(first, second);
    expect(measures.trackM / FT).toBeCloseTo(feet, 6);
    expect(measures.smallestRadiusM).toBeCloseTo(10, 6);
    expect(measures.insideM / FT).toBeCloseTo(inside, 1);
    expect(measures.outsideM / FT).toBeCloseTo(outside, 1);
    const chordM = Math.hypot(second.item.at.xM - 30, second.item.at.yM - 30);
    expect(1 - chordM / measures.trackM).toBeCloseTo(chordLess, 3);
  },
);

test('four poles on a circle by the 10 yd rule: radius 6.47 m, quarter arc 10.16 m, two, three or four strides', () => {
  // Common practice, no source: 10 yd straight between neighbours at the quarter points.
  const radiusM = (10 * 0.9144) / Math.SQRT2;
  expect(radiusM).toBeCloseTo(6.47, 2);
  const { measures } = natural(fence('a', 20 + radiusM, 30, 90), fence('b', 20, 30 + radiusM, 180));
  expect(measures.trackM).toBeCloseTo(10.16, 2);
  // Whole strides that carry round the quarter: two at 3.39 m, three at 2.54 m, and four at 2.54 × ¾.
  expect(measures.trackM / 3).toBeCloseTo(3.39, 2);
  expect(measures.trackM / 4).toBeCloseTo(2.54, 2);
  expect(measures.trackM / 5).toBeCloseTo(2.03, 2);
});

test('wide keeps one stride straight after the first fence and two before the second', () => {
  const from = fence('a', 8, 12, 90);
  const to = fence('b', 32, 44, 0, { form: 'oxer', spreadM: 1 });
  const wide = wideLeg(from, to, GROUND);
  if (!wide.ok) throw new Error(wide.reason);
  const measures = measureLeg(from.item, to.item, wide.chain);
  expect(measures.straightOutM).toBeGreaterThanOrEqual(3.66 - 1e-9);
  expect(measures.straightInM).toBeGreaterThanOrEqual(2 * 3.66 - 1e-9);
  expect(wide.chain.lengthM).toBeGreaterThan(directLeg(poseOf(from), poseOf(to), GROUND).lengthM);
});

test('a wide line that does not fit says so, and the natural one stands in', () => {
  const from = fence('a', 20, 68, 90);
  const to = fence('b', 30, 60, 0);
  expect(wideLeg(from, to, GROUND)).toEqual({ ok: false, reason: 'no-wide-track' });
  const leg = legTrack(from, to, { ...DEFAULT_LEG, track: 'wide' }, GROUND);
  expect(leg).toMatchObject({ ok: true, instead: 'no-wide-track' });
});

test('through a point: the track passes it', () => {
  const via = { xM: 28, yM: 30 };
  const leg = legTrack(fence('a', 20, 10, 90), fence('b', 20, 50, 90), { ...DEFAULT_LEG, track: { via } }, GROUND);
  if (!leg.ok) throw new Error(leg.reason);
  // Symmetric about the point, so it lies halfway, ridden straight up.
  const middle = poseAt(leg.chain, leg.chain.lengthM / 2);
  expect(middle.at.xM).toBeCloseTo(28, 6);
  expect(middle.at.yM).toBeCloseTo(30, 6);
  expect(Math.cos(middle.headingRad - Math.PI / 2)).toBeCloseTo(1, 9);
});

test('the same fence again is a circle back to it, on the rein that is named', () => {
  const oxer = fence('a', 20, 30, 90, { form: 'oxer', spreadM: 1 });
  expect(legTrack(oxer, oxer, DEFAULT_LEG, GROUND)).toEqual({ ok: false, reason: 'no-rein' });
  const leg = legTrack(oxer, oxer, { ...DEFAULT_LEG, circle: { rein: 'left', radiusM: 10 } }, GROUND);
  if (!leg.ok) throw new Error(leg.reason);
  // A circle of 20 m is 20π round; the oxer itself is a metre of it.
  expect(measureLeg(oxer.item, oxer.item, leg.chain)).toMatchObject({
    trackM: expect.closeTo(20 * Math.PI, 9),
    groundM: expect.closeTo(20 * Math.PI - 1, 9),
  });
  expect(poseAt(leg.chain, 5 * Math.PI).at.xM).toBeCloseTo(10, 6);
});

test('where there is no natural track the shortest possible stands in, and says so', () => {
  expect(naturalLeg(poseOf(fence('a', 20, 30, 90)), poseOf(fence('b', 20, 20, 90)), GROUND)).toMatchObject({
    instead: 'no-natural-track',
  });
});

const millis = (min: number, max: number) => fc.integer({ min: min * 1000, max: max * 1000 }).map(mm => mm / 1000);
const place = fc.record({ xM: millis(4, 36), yM: millis(4, 66), degrees: millis(0, 360) });

test('a fence dragged by 5 cm moves the natural track by no more than 0.6 m where the gait can carry the line', () => {
  fc.assert(
    fc.property(place, place, millis(0, 360), (a, b, towards) => {
      fc.pre(Math.hypot(b.xM - a.xM, b.yM - a.yM) > 6);
      const from = fence('a', a.xM, a.yM, a.degrees);
      const [dx, dy] = [0.05 * Math.cos(towards), 0.05 * Math.sin(towards)];
      const before = naturalLeg(poseOf(from), poseOf(fence('b', b.xM, b.yM, b.degrees)), GROUND);
      const after = naturalLeg(poseOf(from), poseOf(fence('b', b.xM + dx, b.yM + dy, b.degrees)), GROUND);
      // Lines tighter than the gait carries, or 60 m and longer, are no related distance.
      const fair = [before, after].every(
        ({ chain, instead }) => instead === null && (smallestRadiusM(chain) ?? Infinity) >= 6 && chain.lengthM < 60,
      );
      if (fair) expect(Math.abs(after.chain.lengthM - before.chain.lengthM)).toBeLessThan(0.6);
    }),
    { numRuns: 500, seed: 20261124, endOnFailure: true },
  );
});

test('how far one goes straight is told by itself for the way out of the first and the way into the next', () => {
  // A quarter of a circle of 10 m between 6 m straight and 15 m straight.
  const corner: Chain = chainOf({ at: { xM: 10, yM: 10 }, headingRad: Math.PI / 2 }, [
    { kind: 'straight', lengthM: 6 },
    { kind: 'turn', radiusM: 10, sweepRad: -Math.PI / 2 },
    { kind: 'straight', lengthM: 15 },
  ]);
  const first = fence('a', 10, 10, 90);
  const next = fence('b', 35, 26, 0);
  expect(measureLeg(first.item, next.item, corner)).toMatchObject({
    trackM: expect.closeTo(6 + 5 * Math.PI + 15, 9),
    straightOutM: expect.closeTo(6, 9),
    straightInM: expect.closeTo(15, 9),
  });
});
