import { seededNormal, seededRandom } from '../statistics/seededRandom';
import { tempoOfTaps, tempoWords, type TempoChange } from './tempo';

/**
 * Strides of a canter as a thumb taps them: `strides` of them, those of the second half `gain` quicker than those of the first,
 * each tap off by a normal deviate. Made here, by no formula of the tempo.
 */
function taps(random: () => number, strides: number, gain: number, thumbS: number, rate = 1.65): number[] {
  let atS = 0;
  return Array.from({ length: strides }, (_, i) => {
    if (i > 0) atS += 1 / (i <= (strides - 1) / 2 ? rate : rate * (1 + gain));
    return (atS + thumbS * seededNormal(random)) * 1000;
  });
}

function shareOf(change: TempoChange, strides: number, gain: number, thumbS = 0.04): number {
  const random = seededRandom(strides * 100 + gain * 10);
  const rides = 2000;
  let said = 0;
  for (let ride = 0; ride < rides; ride += 1)
    if (tempoOfTaps(taps(random, strides, gain, thumbS))?.change === change) said += 1;
  return said / rides;
}

test.each([5, 6, 8, 10, 14, 20])('of even rides of %i strides fewer than 5 in 100 are said to quicken', strides => {
  expect(shareOf('quickened', strides, 0)).toBeLessThan(0.05);
  expect(shareOf('slowed', strides, 0)).toBeLessThan(0.05);
  // A thumb that is worse than was thought is seen by how its taps scatter.
  expect(shareOf('quickened', strides, 0, 0.05)).toBeLessThan(0.05);
});

test.each([12, 16, 20])('of rides of %i strides that gain a tenth, 9 in 10 are said to quicken', strides => {
  expect(shareOf('quickened', strides, 0.1)).toBeGreaterThan(0.9);
  expect(shareOf('slowed', strides, -0.1)).toBeGreaterThan(0.9);
});

test('of shorter legs fewer are told, and hardly any the wrong way', () => {
  expect(shareOf('quickened', 9, 0.1)).toBeGreaterThan(0.6);
  expect(shareOf('slowed', 9, 0.1)).toBeLessThan(0.005);
});

test('a short leg is not called even where a tenth more could not be told from it', () => {
  expect(shareOf('even', 5, 0)).toBeLessThan(0.02);
  expect(shareOf('even', 14, 0)).toBeGreaterThan(0.85);
});

test('the rate is that of the taps, and how far it may be off covers it', () => {
  const even = [0, 600, 1200, 1800, 2400, 3000];
  expect(tempoOfTaps(even)!.perSecond).toBeCloseTo(1 / 0.6, 9);
  expect(tempoOfTaps(even)!.changeShare).toBeCloseTo(0, 9);
  const random = seededRandom(7);
  let covered = 0;
  for (let ride = 0; ride < 1000; ride += 1) {
    const tempo = tempoOfTaps(taps(random, 8, 0, 0.04))!;
    if (Math.abs(tempo.perSecond - 1.65) <= tempo.offBy) covered += 1;
  }
  expect(covered / 1000).toBeGreaterThan(0.93);
});

test('too few taps, and taps that do not go on, say nothing', () => {
  expect(tempoOfTaps([0, 600, 1200])).toBeNull();
  expect(tempoOfTaps([0, 0, 0, 0])).toBeNull();
  expect(() => tempoOfTaps([0, 1, 2, 3], 0)).toThrow(RangeError);
});

test('words say no more than can be told', () => {
  const base = { strides: 12, perSecond: 1.664, offBy: 0.05, changeShare: 0.117, changeOffBy: 0.04 };
  expect(tempoWords({ ...base, change: 'quickened' })).toBe('1.7 strides a second, quickened by 12 %');
  expect(tempoWords({ ...base, change: 'too few to tell' })).toBe('1.7 strides a second');
  expect(tempoWords({ ...base, perSecond: 0.91, change: 'even' })).toBe('0.91 strides a second, even');
});
