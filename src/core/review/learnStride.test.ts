import { linearRegression } from 'simple-statistics';
import { seededNormal, seededRandom } from '../statistics/seededRandom';
import type { DistanceRule } from '../stride/distanceRule';
import { driftOf } from './drift';
import { learnStep } from './learnStep';
import { learnStride, type RiddenCount } from './learnStride';

/** Whole strides: n want n + 1 (common practice, no source). */
const RULE: DistanceRule = { fixed: 1, perStride: 1, zeroStrides: 1, zeroIs: 'bounce' };
const GROUNDS = [14.2, 18.1, 19.4, 21.9, 24];

/** A horse rides distances: its stride on the day, and of each leg about it; a count is what the ground then comes to. */
function ride(strideM: number, days: number, legsADay: number, random: () => number): RiddenCount[] {
  const ridden: RiddenCount[] = [];
  for (let day = 0; day < days; day += 1) {
    const onTheDayM = strideM * (1 + 0.01 * seededNormal(random));
    for (let leg = 0; leg < legsADay; leg += 1) {
      const groundM = GROUNDS[Math.floor(random() * GROUNDS.length)]!;
      const nowM = onTheDayM * (1 + 0.04 * seededNormal(random));
      ridden.push({ groundM, count: Math.max(0, Math.round(groundM / nowM - 1)), rule: RULE, times: 1 });
    }
  }
  return ridden;
}

test('a stride that is known lies within the learned interval 93 times in 100 or more', () => {
  const random = seededRandom(7);
  let [covered, learnt, width] = [0, 0, 0];
  for (let round = 0; round < 300; round += 1) {
    const strideM = 2.9 + random();
    const days = 3 + Math.floor(random() * 6);
    const learned = learnStride(ride(strideM, days, 8, random), 3.4, days);
    if (!learned) continue;
    learnt += 1;
    width += (learned.highM - learned.lowM) / strideM;
    if (learned.lowM <= strideM && strideM <= learned.highM) covered += 1;
  }
  expect(learnt).toBeGreaterThan(290);
  expect(covered / learnt).toBeGreaterThanOrEqual(0.93);
  // And it says something: within about a twelfth of the stride, all in all.
  expect(width / learnt).toBeLessThan(0.08);
});

test('the same count over grounds far apart closes in on it; a single one does not', () => {
  // Five in 21.9 m and four in 18.1 m: 3.65 and 3.62 m a stride (n + 1 strides of ground).
  const learned = learnStride(
    [
      { groundM: 21.9, count: 5, rule: RULE, times: 6 },
      { groundM: 18.1, count: 4, rule: RULE, times: 6 },
    ],
    3.5,
    4,
  )!;
  expect(learned.strideM).toBeGreaterThan(3.5);
  expect(learned.strideM).toBeLessThan(3.78);
  expect(learned).toMatchObject({ legs: 12, days: 4 });
  expect(learnStride([], 3.5, 1)).toBeNull();
  // None in a distance says only that the stride is long: it is open to one side.
  expect(learnStride([{ groundM: 3, count: 0, rule: RULE, times: 9 }], 3.5, 3)).toBeNull();
});

test('more of it makes it surer, and a miscount does not throw it', () => {
  const some = (times: number): RiddenCount[] => [
    { groundM: 20, count: 4, rule: RULE, times: times * 3 },
    { groundM: 20, count: 5, rule: RULE, times: times * 2 },
  ];
  const widthOf = (ridden: RiddenCount[]) => {
    const { lowM, highM } = learnStride(ridden, 3.6, 20)!;
    return highM - lowM;
  };
  expect(widthOf(some(8))).toBeLessThan(widthOf(some(2)));
  const wild = learnStride([...some(4), { groundM: 20, count: 11, rule: RULE, times: 1 }], 3.6, 20)!;
  expect(Math.abs(wild.strideM - learnStride(some(4), 3.6, 20)!.strideM)).toBeLessThan(0.02);
});

test('steps over poles: the mean with Student’s interval', () => {
  const passes = [1.3, 1.34, 1.32, 1.36].map((stepM, index) => ({ stepM, day: `day ${index}` }));
  const learned = learnStep(passes)!;
  expect(learned.strideM).toBeCloseTo(1.33, 10);
  // t of 3 degrees is 3.182 (any table), the deviation 0.02582, over the root of four.
  expect(learned.highM - learned.strideM).toBeCloseTo((3.182 * 0.02582) / 2, 4);
  expect(learnStep(passes.slice(1))).toBeNull();
});

describe('drift', () => {
  const points = [0, 1, 2, 3, 4].map(month => ({ atMs: month * 1e9, value: [3.4, 3.47, 3.5, 3.52, 3.6][month]! }));

  test('with the same certainty everywhere it is the line of least squares, against a general-purpose library', () => {
    const drift = driftOf(points.map(point => ({ ...point, low: point.value - 0.05, high: point.value + 0.05 })))!;
    const { m } = linearRegression(points.map(({ atMs, value }) => [atMs, value]));
    expect(drift.change).toBeCloseTo(m * 4e9, 9);
    expect(drift.p).toBeLessThan(0.001);
  });

  test('an uncertain point pulls little, and nothing is seen where nothing is', () => {
    const flat = points.map(({ atMs }) => ({ atMs, value: 3.5, low: 3.4, high: 3.6 }));
    expect(driftOf(flat)).toMatchObject({ change: expect.closeTo(0, 9), p: expect.closeTo(1, 6) });
    const pulled = flat.map((one, i) => (i === 4 ? { ...one, value: 4, low: 1, high: 7 } : one));
    expect(driftOf(pulled)!.change).toBeLessThan(0.02);
    expect(driftOf(flat.slice(0, 2))).toBeNull();
  });

  test('false alarms about as often as they should be', () => {
    const random = seededRandom(5);
    let alarms = 0;
    for (let round = 0; round < 500; round += 1) {
      const noisy = points.map(({ atMs }) => {
        const value = 3.5 + 0.05 * seededNormal(random);
        return { atMs, value, low: value - 1.96 * 0.05, high: value + 1.96 * 0.05 };
      });
      if (driftOf(noisy)!.p < 0.05) alarms += 1;
    }
    expect(alarms / 500).toBeLessThan(0.08);
  });
});
