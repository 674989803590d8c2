import { linearRegression } from 'simple-statistics';
import { seededNormal, seededRandom } from '../statistics/seededRandom';
import type { DistanceRule } from '../stride/distanceRule';
import { driftOf } from './drift';
import { learnStep } from './learnStep';
import { learnStride, type RiddenCount, type RiddenPass } from './learnStride';

/** Whole strides: n want n + 1 (common practice, no source). */
const RULE: DistanceRule = { fixed: 1, perStride: 1, zeroStrides: 1, zeroIs: 'bounce', keepsFixed: false };
const GROUNDS = [14.2, 18.1, 19.4, 21.9, 24];

type Season = { days: number; passesADay: number; legsAPass: number };
/** How much of its variation belongs to the pass, quick or quiet in all of its legs; the whole is 4 % either way. */
type Alike = 'each leg by itself' | 'half of it by the pass' | 'all of it by the pass';
const PASS_SHARE: Record<Alike, number> = {
  'each leg by itself': 0,
  'half of it by the pass': 0.5,
  'all of it by the pass': 1,
};

/** A horse rides distances: its stride on the day, in the pass and in the leg; a count is what the ground comes to. */
function ride(strideM: number, season: Season, alike: Alike, random: () => number): RiddenPass[] {
  const [passSpread, legSpread] = [Math.sqrt(PASS_SHARE[alike]) * 0.04, Math.sqrt(1 - PASS_SHARE[alike]) * 0.04];
  return Array.from({ length: season.days }).flatMap(() => {
    const onTheDayM = strideM * (1 + 0.01 * seededNormal(random));
    return Array.from({ length: season.passesADay }, () => {
      const inThePassM = onTheDayM * (1 + passSpread * seededNormal(random));
      const counts = Array.from({ length: season.legsAPass }, () => {
        const groundM = GROUNDS[Math.floor(random() * GROUNDS.length)]!;
        const nowM = inThePassM * (1 + legSpread * seededNormal(random));
        return { groundM, count: Math.max(0, Math.round(groundM / nowM - 1)), rule: RULE };
      });
      return { counts, times: 1 };
    });
  });
}

const ROUNDS = 400;
describe.each<Season>([
  { days: 2, passesADay: 2, legsAPass: 4 },
  { days: 5, passesADay: 1, legsAPass: 8 },
  { days: 4, passesADay: 3, legsAPass: 5 },
  { days: 8, passesADay: 4, legsAPass: 6 },
])('a season of $days days, $passesADay passes of $legsAPass legs', season => {
  test.each<Alike>(['each leg by itself', 'half of it by the pass', 'all of it by the pass'])(
    'holds a known stride 93 times in 100 where it varies %s',
    alike => {
      const random = seededRandom(7 + season.days);
      let [covered, learnt, width] = [0, 0, 0];
      for (let round = 0; round < ROUNDS; round += 1) {
        const strideM = 2.9 + random();
        const learned = learnStride(ride(strideM, season, alike, random), 3.4, season.days);
        if (!learned) continue;
        learnt += 1;
        width += (learned.highM - learned.lowM) / strideM;
        if (learned.lowM <= strideM && strideM <= learned.highM) covered += 1;
      }
      expect(learnt).toBeGreaterThan(0.9 * ROUNDS);
      // 93 % less what 400 rounds leave to chance (a standard deviation is 1.3 %).
      expect(covered / learnt).toBeGreaterThanOrEqual(0.93 - 0.015);
      // And it says something.
      expect(width / learnt).toBeLessThan(0.15);
    },
  );
});

/** Passes of one leg each. */
const single = (ridden: (RiddenCount & { times: number })[]): RiddenPass[] =>
  ridden.map(({ times, ...count }) => ({ counts: [count], times }));

test('the same count over grounds far apart closes in on it; a single one does not', () => {
  // Five in 21.9 m and four in 18.1 m: 3.65 and 3.62 m a stride (n + 1 strides of ground).
  const learned = learnStride(
    single([
      { groundM: 21.9, count: 5, rule: RULE, times: 6 },
      { groundM: 18.1, count: 4, rule: RULE, times: 6 },
    ]),
    3.5,
    4,
  )!;
  expect(learned.strideM).toBeGreaterThan(3.5);
  expect(learned.strideM).toBeLessThan(3.78);
  expect(learned).toMatchObject({ legs: 12, days: 4 });
  expect(learnStride([], 3.5, 1)).toBeNull();
  // None in a distance says only that the stride is long: it is open to one side.
  expect(learnStride(single([{ groundM: 3, count: 0, rule: RULE, times: 9 }]), 3.5, 3)).toBeNull();
});

test('more of it makes it surer, and a miscount does not throw it', () => {
  const some = (times: number): RiddenPass[] =>
    single([
      { groundM: 20, count: 4, rule: RULE, times: times * 3 },
      { groundM: 20, count: 5, rule: RULE, times: times * 2 },
    ]);
  const widthOf = (ridden: RiddenPass[]) => {
    const { lowM, highM } = learnStride(ridden, 3.6, 20)!;
    return highM - lowM;
  };
  expect(widthOf(some(8))).toBeLessThan(widthOf(some(2)));
  const wild = learnStride([...some(4), ...single([{ groundM: 20, count: 11, rule: RULE, times: 1 }])], 3.6, 20)!;
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
