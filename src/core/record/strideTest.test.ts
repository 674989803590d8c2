import { defaultStride } from '../horse/defaultStrides';
import type { HorseProfile } from '../horse/strideProfile';
import { seededNormal, seededRandom } from '../statistics/seededRandom';
import { M_PER_FT } from '../units/lengthUnits';
import { countChances, sumChances } from './laneCount';
import { strideOfLane, stridesInLane } from './strideInterval';
import { meanQuality, readStrideTest, type TestPass } from './strideTest';
import { profileFromTest, suggestEntries } from './testToProfile';

const SIXTY_FEET_M = 60 * M_PER_FT;
const pass = (pace: TestPass['pace'], count: number, changes: Partial<TestPass> = {}): TestPass => ({
  ...{ pace, count, behind: null, part: null, voided: false },
  ...changes,
});
const whole = (...counts: number[]) => counts.map(count => ({ count, behind: null, part: null }));

// Common practice, no source: 60 ft in 10 walk strides is a stride of 6 ft, in 8 of trot or of a quiet lope 7.5 ft.
test.each([
  { count: 10, feet: 6 },
  { count: 8, feet: 7.5 },
])('60 ft in $count strides: $feet ft', ({ count, feet }) => {
  const { strideM } = strideOfLane(SIXTY_FEET_M, stridesInLane(whole(count)));
  expect(strideM / M_PER_FT).toBeCloseTo(feet, 9);
});

// Common practice, no source: 8, 11 and 7 trot strides; 6 after work: adjustability 4, and then 5.
test('adjustability: short count less long count, and long stride over short stride', () => {
  const lane = { kind: 'taped' as const, lengthM: SIXTY_FEET_M };
  const before = readStrideTest(lane, [pass('normal', 8), pass('short', 11), pass('long', 7)]);
  expect(before.adjustability).toEqual({ strides: 4, ratio: 11 / 7 });
  const after = readStrideTest(lane, [pass('normal', 8), pass('short', 11), pass('long', 6)]);
  expect(after.adjustability).toEqual({ strides: 5, ratio: 11 / 6 });
  expect(readStrideTest(lane, [pass('normal', 8)]).adjustability).toBeNull();
});

// Without variation one pass of 9 says 8 + 0.025 to 9.975 (Clopper and Pearson); a horse that varies by 4 % adds to it,
// on one pass less than a standard deviation and a half of its own (0.36 strides).
test('one pass says little more than that the strides are one off what was counted either way, and what they vary', () => {
  const { low, high } = stridesInLane(whole(9));
  expect(low).toBeLessThan(8.025);
  expect(low).toBeGreaterThan(8.025 - 0.54);
  expect(high).toBeGreaterThan(9.975);
  expect(high).toBeLessThan(9.975 + 0.54);
});

/** The chance of n strides counted of x in the lane, varying normally: by summing over the variation in small steps. */
function chanceByHand(n: number, x: number, spread: number): number {
  let [sum, all] = [0, 0];
  for (let z = -6; z <= 6; z += 0.001) {
    const weight = Math.exp((-z * z) / 2);
    all += weight;
    sum += weight * Math.max(0, 1 - Math.abs(x * (1 + spread * z) - n));
  }
  return sum / all;
}

test.each([4.9, 8, 9.97, 14.93])('the chances of each count of %d strides in the lane', strides => {
  const { from, chances } = countChances(strides, 0.04);
  chances.forEach((chance, index) => expect(chance).toBeCloseTo(chanceByHand(from + index, strides, 0.04), 6));
  expect(chances.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
});

test('the chances of a sum: two dice', () => {
  const die = { from: 1, chances: Array.from({ length: 6 }, () => 1 / 6) };
  const { from, chances } = sumChances(die, 2);
  expect(from).toBe(2);
  expect(chances[5]).toBeCloseTo(6 / 36, 12);
  expect(chances[10]).toBeCloseTo(1 / 36, 12);
});

const intervals = new Map<string, ReturnType<typeof stridesInLane>>();

/** The interval of k passes of which j had one stride more than n; each worked once. */
function known(n: number, j: number, k: number) {
  const key = `${n} ${j} ${k}`;
  const found = intervals.get(key) ?? stridesInLane(whole(...Array.from({ length: k }, (_, i) => n + (i < j ? 1 : 0))));
  intervals.set(key, found);
  return found;
}

/** The chance that the interval holds x when every pass has the same stride and starts anywhere: summed exactly. */
function coverage(x: number, k: number): number {
  const n = Math.floor(x);
  const more = x - n;
  let held = 0;
  let ways = 1;
  for (let j = 0; j <= k; j += 1) {
    if (j > 0) ways *= (k - j + 1) / j;
    const chance = ways * more ** j * (1 - more) ** (k - j);
    const { low, high } = known(n, j, k);
    if (x >= low - 1e-12 && x <= high + 1e-12) held += chance;
  }
  return held;
}

test('it holds the true stride at least 93 times in 100, by exact enumeration without variation', () => {
  let least = 1;
  for (const k of [1, 2, 3, 4, 6]) for (let x = 5; x < 14; x += 0.013) least = Math.min(least, coverage(x, k));
  expect(least).toBeGreaterThanOrEqual(0.93);
});

test.each([1, 2, 3, 5])('and with 4 %% of variation between %i passes, by simulation', k => {
  const random = seededRandom(20261124 + k);
  const rounds = 4000;
  let held = 0;
  for (let round = 0; round < rounds; round += 1) {
    const strideM = 1.5 + 2 * random();
    const laneM = 18 + 2 * random();
    const counts = Array.from({ length: k }, () => {
      const today = strideM * (1 + 0.04 * seededNormal(random));
      // The first foot lands anywhere behind the line.
      return Math.floor((laneM - random() * today) / today) + 1;
    });
    const { lowM, highM } = strideOfLane(laneM, stridesInLane(whole(...counts)));
    if (strideM >= lowM && strideM <= highM) held += 1;
  }
  // 93 % less what 4,000 rounds leave to chance.
  expect(held / rounds).toBeGreaterThan(0.93 - 0.008);
});

test('more passes make it narrower, and parts noted at both ends narrower still', () => {
  const widthOf = (strides: ReturnType<typeof stridesInLane>) => strides.high - strides.low;
  expect(widthOf(stridesInLane(whole(9, 9, 9)))).toBeLessThan(widthOf(stridesInLane(whole(9))));
  // Nine strides from a quarter behind the start to a half before the finish: 9 − ¼ + ½ in the lane.
  const parts = [9, 9, 9].map(count => ({ count, behind: 0.25, part: 0.5 }));
  expect(stridesInLane(parts).mean).toBe(9.25);
  expect(widthOf(stridesInLane(parts))).toBeLessThan(widthOf(stridesInLane(whole(9, 10, 9))));
  // A part at the finish alone says next to nothing, and one pass of two says nothing of the other: both are left aside.
  const finish = [9, 9, 9].map(count => ({ count, behind: null, part: 0.5 }));
  expect(stridesInLane(finish)).toEqual(stridesInLane(whole(9, 9, 9)));
  expect(
    stridesInLane([
      { count: 9, behind: 0, part: 0.5 },
      { count: 9, behind: null, part: null },
    ]).mean,
  ).toBe(9);
});

test('void passes are kept apart, and an untaped lane has no stride', () => {
  const reading = readStrideTest({ kind: 'steps', steps: 20 }, [
    pass('normal', 8),
    pass('normal', 9),
    pass('normal', 5, { voided: true }),
    pass('short', 11, { voided: true }),
  ]);
  expect(reading.paces.normal).toMatchObject({ passes: 2, voided: 1, strides: { mean: 8.5 }, stride: null });
  expect(reading.paces.short).toBeUndefined();
});

const HORSE: HorseProfile = { heightM: 1.6, type: 'all-round', strides: {} };

test('a test makes its own entry, and leaves a pace that was not ridden in proportion', () => {
  const reading = readStrideTest({ kind: 'taped', lengthM: 20 }, [
    pass('normal', 8),
    pass('normal', 8),
    pass('short', 10),
  ]);
  const stride = profileFromTest(reading, HORSE, 'trot')!;
  expect(stride).toMatchObject({ shortM: 2, normalM: 2.5, source: 'tested' });
  expect(stride.longM).toBeCloseTo(2.5 * 1.12, 9);
  expect(stride.interval!.lowM).toBeLessThan(2.5);
  expect(profileFromTest(readStrideTest({ kind: 'steps', steps: 20 }, [pass('normal', 8)]), HORSE, 'trot')).toBeNull();
  // Asked shorter and longer, it did neither: its normal stride is its shortest and its longest.
  const wooden = readStrideTest({ kind: 'taped', lengthM: 20 }, [pass('normal', 8), pass('short', 7), pass('long', 9)]);
  expect(profileFromTest(wooden, HORSE, 'trot')).toMatchObject({ shortM: 2.5, normalM: 2.5, longM: 2.5 });
});

test('what one entry says about another is in proportion to its default, and never about what was typed or tested', () => {
  const usual = defaultStride('trot', 1.6, 'all-round')!.normalM;
  const [poles, ...others] = suggestEntries(HORSE, 'trot', usual * 1.1);
  expect(others).toEqual([]);
  expect(poles!.entry).toBe('trot-poles');
  expect(poles!.toM).toBeCloseTo(1.37 * 1.1, 9);
  const typed: HorseProfile = {
    ...HORSE,
    strides: { 'trot-poles': { shortM: 1, normalM: 1.4, longM: 1.5, source: 'typed' } },
  };
  expect(suggestEntries(typed, 'trot', usual * 1.1)).toEqual([]);
  expect(suggestEntries(HORSE, 'canter', 2).map(({ entry }) => entry)).toEqual(['canter-poles', 'course-canter']);
  expect(suggestEntries(HORSE, 'fox-trot', 2)).toEqual([]);
});

test('impossible counts and lanes are refused', () => {
  expect(() => stridesInLane([])).toThrow(RangeError);
  expect(() => stridesInLane(whole(0))).toThrow(RangeError);
  expect(() => stridesInLane(whole(8.5))).toThrow(RangeError);
  expect(() => strideOfLane(0, stridesInLane(whole(8)))).toThrow(RangeError);
});

test('short and long alone teach how short and long it goes, and leave the normal stride as it is known', () => {
  const lane = { kind: 'taped' as const, lengthM: 20 };
  const known: HorseProfile = {
    ...HORSE,
    strides: { trot: { shortM: 2.2, normalM: 2.6, longM: 2.9, source: 'learned' } },
  };
  // 20 m in 10 strides is 2 m, in 7 it is 2.86 m.
  const both = readStrideTest(lane, [pass('short', 10), pass('long', 7)]);
  const taught = profileFromTest(both, known, 'trot')!;
  expect(taught).toMatchObject({ shortM: 2, normalM: 2.6, source: 'tested' });
  expect(taught.longM).toBeCloseTo(20 / 7, 9);
  // Asked longer alone it went 2.5 m: no longer than what was thought normal.
  const longOnly = profileFromTest(readStrideTest(lane, [pass('long', 8)]), known, 'trot')!;
  expect(longOnly).toMatchObject({ normalM: 2.5, longM: 2.5, shortM: 2.2 });
  expect(profileFromTest(readStrideTest({ kind: 'steps', steps: 20 }, [pass('short', 10)]), known, 'trot')).toBeNull();
});

test('how the passes went is the mean of those that were judged, void ones left out', () => {
  const judged = [
    pass('normal', 8, { rhythm: 3, roundness: 2 }),
    pass('normal', 8, { rhythm: 4 }),
    pass('normal', 8, { rhythm: 1, voided: true }),
    pass('short', 10),
  ];
  expect(meanQuality(judged)).toEqual({ rhythm: 3.5, roundness: 2, balance: null });
});
