import type { RiddenLeg } from './ground';
import { nextSetting } from './nextSetting';

/** A straight leg that a count of strides and no fixed part fills: as many strides as it is long in strides. */
const leg = (groundM: number, asked: number | null = null): RiddenLeg =>
  ({ groundM, countedM: groundM, asked, rule: { fixed: 1, perStride: 1 } }) as unknown as RiddenLeg;
const STRIDE_M = 3.6;
/** Four strides and one for take-off and landing: what suits this horse. */
const SUITS_M = 18;
const clean = (hits: number, of: number) => ({ hits, of });

test('too few passes say nothing: it is ridden as it is', () => {
  const next = nextSetting(leg(SUITS_M * 1.1, 4), STRIDE_M, clean(0, 7));
  expect(next).toMatchObject({ kind: 'keep', groundM: SUITS_M * 1.1, count: 4 });
  expect(next.reason).toContain('too few');
  expect(nextSetting(leg(SUITS_M * 1.1, 4), STRIDE_M, clean(0, 8)).kind).toBe('change');
});

test('what lies long and is not ridden clean comes nearer, what lies short goes farther, never by more than ten centimetres', () => {
  const long = nextSetting(leg(19, 4), STRIDE_M, clean(2, 20));
  expect(long).toMatchObject({ kind: 'change', count: 4, suitsM: expect.closeTo(SUITS_M, 9) });
  expect(long.groundM).toBeCloseTo(18.9, 9);
  expect(long.reason).toMatch(/^It lies long for 4/);
  const short = nextSetting(leg(17, 4), STRIDE_M, clean(2, 20));
  expect(short.groundM).toBeCloseTo(17.1, 9);
  expect(short.reason).toMatch(/^It lies short for 4/);
});

test('what is not easy and surely clean is left: the pair has learnt it, and is not asked for more', () => {
  // 200 of 200 is surely over 0.8: Wilson's lower end is 0.98 (Wilson 1927, from memory).
  const next = nextSetting(leg(19, 4), STRIDE_M, clean(200, 200));
  expect(next).toMatchObject({ kind: 'keep', groundM: 19 });
  expect(next.reason).toContain('give it time');
});

test('what is easy and surely clean more often than three times in five is made harder by the count, not by the tape', () => {
  // Wilson's lower end for 20 of 20 is 0.84, for 10 of 16 it is 0.39 (reckoned by hand with z = 1.96).
  expect(nextSetting(leg(SUITS_M, 4), STRIDE_M, clean(20, 20))).toMatchObject({ kind: 'harder', groundM: SUITS_M });
  expect(nextSetting(leg(SUITS_M, 4), STRIDE_M, clean(10, 16)).kind).toBe('keep');
});

test('easy and seldom clean, it is not the distance', () => {
  // Wilson's upper end for 2 of 20 is 0.30.
  expect(nextSetting(leg(SUITS_M, 4), STRIDE_M, clean(2, 20)).reason).toContain('look at the line');
});

test('where no count was asked it is the nearest one; less than none is none', () => {
  expect(nextSetting(leg(17.2), STRIDE_M, clean(0, 0)).count).toBe(4);
  expect(nextSetting(leg(1), STRIDE_M, clean(0, 0)).count).toBe(0);
});

test('a stride that is no length is refused', () => {
  expect(() => nextSetting(leg(18), 0, clean(1, 2))).toThrow(RangeError);
  expect(() => nextSetting(leg(18), Infinity, clean(1, 2))).toThrow(RangeError);
});
