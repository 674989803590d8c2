import { courseTime } from './course/courseTime';
import { layOutPoleRow } from './exercises/layOutPoleRow';
import { filmReading } from './film/filmReading';
import { chainOf } from './geometry/chain';
import { chainPart } from './geometry/chainPart';
import { metresInDegree } from './geometry/earthPlace';
import type { Pose } from './geometry/pose';
import { arcSegment, lineSegment } from './geometry/segment';
import { groupsOf } from './lesson/groupsOf';
import { countsThatCanBe } from './pad/strideTaps';
import { newItem } from './plan/newItem';
import { ownStep } from './record/ownStep';
import { strideOfLane } from './record/strideInterval';
import { suggestSpacing } from './record/suggestSpacing';
import { tempoOfTaps } from './record/tempo';
import { betaCdf } from './statistics/betaDistribution';
import { logGamma } from './statistics/logGamma';
import { poissonAtLeast } from './statistics/proportions';
import { studentTwoSided } from './statistics/studentQuantile';
import { countChance } from './stride/countChance';
import { distanceRule, type DistanceCase } from './stride/distanceRule';
import { jumpAllowanceM } from './stride/jumpAllowance';
import { groundAtShareM, groundForCountM, readDistance } from './stride/readDistance';
import { strideWord } from './stride/strideWord';
import { cscTrack } from './track/csc';
import { naturalTrack } from './track/naturalTrack';
import { railLoop } from './track/railLoop';
import { fittingRadiusM } from './track/turnCost';
import { formatLength } from './units/formatLength';
import { formatWay } from './units/formatWay';
import { parseLength } from './units/parseLength';
import { stepsAndRemainder } from './units/stepsAndRemainder';

/** What the core refuses: arguments that no caller could mean. Their bounds stand beside each function. */

const ARENA = { widthM: 20, lengthM: 60, letters: '20x60' } as const;
const up = (yM: number): Pose => ({ at: { xM: 10, yM }, headingRad: Math.PI / 2 });
const [from, to] = [up(5), up(40)];
const LANE = chainOf(from, [{ kind: 'straight', lengthM: 12 }]);
const STRIDE = { shortM: 3, normalM: 3.5, longM: 4 };
const POLE = newItem('pole', 'p', { xM: 5, yM: 5 }, 0) as DistanceCase['from'];
const POLES: DistanceCase = { school: 'whole-stride', setting: 'poles', approach: 'canter', from: POLE, to: POLE };
const ROW = { centre: from, raised: [0, 0], lengthM: 3 } as unknown as Parameters<typeof layOutPoleRow>[0];

/** What must be more than none and end somewhere. */
const POSITIVE: Record<string, (x: number) => unknown> = {
  'the spacing of a row': x => layOutPoleRow(ROW, x),
  'the length of a film': x => filmReading([], x),
  'the radius of an arc': x => arcSegment(from, x, 1),
  'the radius of turns': x => cscTrack(from, to, [1, 1], x),
  'the least radius of a way': x => naturalTrack(from, to, ARENA, x),
  'a stride that groups are made by': x => groupsOf([{ id: 'a', strideM: x }], 1),
  'the metres of a walk': x => ownStep([{ lengthM: x, steps: 24 }]),
  'the steps of a walk': x => ownStep([{ lengthM: 20, steps: x }]),
  'the length of a lane': x => strideOfLane(x, { mean: 5, low: 4.8, high: 5.2 }),
  'a spacing that was ridden': x => suggestSpacing(x, []),
  'how well a thumb taps': x => tempoOfTaps([0, 500, 1000], x),
  'the first parameter of a beta distribution': x => betaCdf(0.5, x, 2),
  'the second parameter of a beta distribution': x => betaCdf(0.5, 2, x),
  'what a gamma function is asked at': logGamma,
  'degrees of freedom': x => studentTwoSided(0.95, x),
  'how much strides vary': x => countChance(4, 3, distanceRule(POLES), x),
  'the stride that lands and takes off': x => jumpAllowanceM(1, x),
  'the normal stride over a distance': x => readDistance(10, POLES, { ...STRIDE, normalM: x }),
  'the speed of a course': x => courseTime(400, x),
  'the step that a length is walked in': x => stepsAndRemainder(10, x),
  'the step that a length is told in': x => formatLength(10, 'steps', { stepLengthM: x }),
  'the step that a length is read in': x => parseLength('3 m', { stepLengthM: x }),
};

/** What may be none. */
const NOT_NEGATIVE: Record<string, (x: number) => unknown> = {
  'a straight': x => lineSegment(from, x),
  'counts that are likely': x => countsThatCanBe(x, null),
  'what is expected': x => poissonAtLeast(2, x),
  'the height of a fence': x => jumpAllowanceM(x, 3.5),
  'the ground of a distance': x => readDistance(x, POLES, STRIDE),
  'a share of a stride': x => groundAtShareM(3, POLES, 3.5, x),
  'a share that is told': x => strideWord(x, STRIDE),
  'the length of a course': x => courseTime(x, 350),
  'a length in words': x => formatLength(x, 'm'),
  'a way in words': x => formatWay(x, 'm'),
  'a length in steps': x => stepsAndRemainder(x, 0.9),
};

const cases = (table: Record<string, (x: number) => unknown>) => Object.entries(table);

test.each(cases(POSITIVE))('%s has to be positive and finite', (_, asked) => {
  for (const impossible of [NaN, -1, 0, Infinity]) expect(() => asked(impossible)).toThrow(RangeError);
  expect(() => asked(1)).not.toThrow();
});

test.each(cases(NOT_NEGATIVE))('%s may be none, and no less', (_, asked) => {
  for (const impossible of [NaN, -1, Infinity]) expect(() => asked(impossible)).toThrow(RangeError);
  expect(() => asked(0)).not.toThrow();
});

test('what has other bounds is asked within them', () => {
  for (const chance of [NaN, 0, 1, -0.1]) expect(() => studentTwoSided(chance, 5)).toThrow(RangeError);
  for (const x of [NaN, -0.1, 1.1]) expect(() => betaCdf(x, 2, 2)).toThrow(RangeError);
  for (const lean of [NaN, 0, Math.PI / 2]) expect(() => fittingRadiusM('canter', lean)).toThrow(RangeError);
  for (const pole of [NaN, 90, -90]) expect(() => metresInDegree(pole)).toThrow(RangeError);
  for (const count of [NaN, -1, 1.5]) {
    expect(() => groundForCountM(count, POLES, 3.5)).toThrow(RangeError);
    expect(() => poissonAtLeast(count, 2)).toThrow(RangeError);
    expect(() => groupsOf([], count)).toThrow(RangeError);
  }
  // Corners of 10 m are as large as a sand of 20 m has room for.
  expect(railLoop(ARENA, 'left', 10).lengthM).toBeCloseTo(2 * Math.PI * 10 + 2 * 40, 9);
  for (const corner of [NaN, 0, 10.1]) expect(() => railLoop(ARENA, 'left', corner)).toThrow(RangeError);
  expect(() => railLoop(ARENA, 'left', 5, -0.1)).toThrow(RangeError);
  const parts = [
    [-1, 4],
    [5, 4],
    [4, 13],
    [NaN, 4],
    [4, NaN],
  ] as const;
  for (const [fromM, toM] of parts) expect(() => chainPart(LANE, fromM, toM)).toThrow(RangeError);
  expect(chainPart(LANE, 4, 12).lengthM).toBe(8);
});
