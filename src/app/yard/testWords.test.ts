import { readStrideTest, type HorseProfile, type TestLane, type TestPass } from '@/core';
import { comparableTest, testSentences, type WordedTest } from './testWords';

const HORSE: HorseProfile = { heightM: 1.6, type: 'all-round', strides: {} };
const TAPED: TestLane = { kind: 'taped', lengthM: 18 };
const passes = (normal: number[], short: number[] = [], long: number[] = []): TestPass[] =>
  (
    [
      ['normal', normal],
      ['short', short],
      ['long', long],
    ] as const
  ).flatMap(([pace, counts]) => counts.map(count => ({ pace, count, behind: null, part: null, voided: false })));
const worded = (day: string, ridden: TestPass[], lane: TestLane = TAPED): WordedTest => ({
  ...{ entry: 'trot', stepperId: null, lane, day },
  reading: readStrideTest(lane, ridden),
});
const metres = (lengthM: number) => `${lengthM.toFixed(2)} m`;
const change = (lengthM: number) => `${lengthM < 0 ? '−' : '+'}${Math.round(Math.abs(lengthM) * 100)} cm`;
const say = (test: WordedTest, before: WordedTest | null) => testSentences(test, before, HORSE, metres, change);

test('a first test: the stride and its interval, what practice expects, adjustability', () => {
  // 18 m in 8 is 2.25 m; practice expects 2.74 m of a horse of 160 cm: 18 % less.
  const said = say(worded('3 May', passes([8, 8], [11], [7])), null);
  expect(said[0]).toMatch(/^Normal: 2\.25 m, between 2\.\d\d m and 2\.\d\d m, from 2 passes\.$/);
  expect(said[1]).toBe('Practice expects 2.74 m of its height and type: this is 18 % shorter.');
  expect(said[2]).toBe('Adjustability: 4 strides between short and long; the long stride is 1.57 times the short one.');
});

test('a difference that the counts leave room for is not told as a change', () => {
  const before = worded('3 May', passes([8], [11], [7]));
  expect(say(worded('9 May', passes([7], [11], [6])), before)[1]).toContain('cannot tell from chance');
  const many = (normal: number) => passes(Array.from({ length: 12 }, () => normal));
  // 18 m in 8 and in 6, twelve times each: 2.25 and 3 m.
  expect(say(worded('9 May', many(6)), worded('3 May', many(8)))[1]).toBe(
    'That is +75 cm against 3 May: more than the counts leave to chance.',
  );
});

test('adjustability against the last time', () => {
  const before = worded('3 May', passes([8], [11], [7]));
  expect(say(worded('9 May', passes([8], [11], [6])), before).at(-1)).toContain(
    '5 strides between short and long, 1 more than on 3 May',
  );
});

test('an untaped lane compares only with itself', () => {
  const steps: TestLane = { kind: 'steps', steps: 20 };
  const now = worded('9 May', passes([9]), steps);
  expect(say(now, worded('3 May', passes([8]), steps))).toEqual([
    'Normal: 9 strides in the lane, from 1 pass.',
    '1 stride more than on 3 May.',
  ]);
  const [taped, twenty, thirty] = [TAPED, steps, { kind: 'steps' as const, steps: 30 }].map(lane =>
    worded('3 May', passes([8]), lane),
  );
  expect(comparableTest([twenty!, taped!, thirty!], now)).toBe(twenty);
  expect(comparableTest([taped!, thirty!], now)).toBeNull();
  expect(comparableTest([{ ...twenty!, stepperId: 'somebody' }], now)).toBeNull();
  expect(comparableTest([twenty!, taped!], worded('9 May', passes([8])))).toBe(taped);
});

test('counts and quality are weighed together: as long, rounder and more even than then', () => {
  const judged = (day: string, rhythm: number | null, roundness: number | null) => ({
    ...worded(day, passes([8, 8, 8])),
    quality: { rhythm, roundness, balance: null },
  });
  expect(say(judged('today', 4, 3), judged('3 May', 3, 2))[1]).toBe(
    'As long as on 3 May, rounder and more even than then.',
  );
  expect(say(judged('today', 2, 3), judged('3 May', 3, 3))[1]).toBe('As long as on 3 May, less even than then.');
  // What nobody said then is no change.
  expect(say(judged('today', 4, null), judged('3 May', null, 2))[1]).toBe('As long as on 3 May.');
});

test('short and long alone are told', () => {
  const said = say(worded('today', passes([], [11], [7])), null);
  expect(said[0]).toMatch(/^Short: 1\.64 m/);
  expect(said[1]).toMatch(/^Long: 2\.57 m/);
});
