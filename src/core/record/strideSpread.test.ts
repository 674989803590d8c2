import { seededNormal, seededRandom } from '../statistics/seededRandom';
import { strideSpread } from './strideSpread';

/** Counts of a foot in a lane as they come about: the stride of the pass varies, the first foot lands anywhere. */
function countsOf(passes: number, strideM: number, spread: number, seed: number) {
  const random = seededRandom(seed);
  return Array.from({ length: passes }, () => {
    const ownM = strideM * (1 + spread * seededNormal(random));
    const firstM = random() * ownM;
    return { count: 1 + Math.floor((18.288 - firstM) / ownM) };
  });
}

test('one pass says nothing of a spread, and counts alike say little: common practice has 4 %', () => {
  expect(strideSpread([])).toBe(0.04);
  expect(strideSpread([{ count: 8 }])).toBe(0.04);
  // Two alike against ten passes of 4 %: √(10/11) of it.
  expect(strideSpread([{ count: 8 }, { count: 8 }])).toBeCloseTo(0.04 * Math.sqrt(10 / 11), 12);
});

test.each([
  [0.02, 0.015],
  [0.04, 0.01],
  [0.07, 0.01],
])('of many passes of a horse that varies by %p, it finds that within %p', (spread, withinM) => {
  const found = [1, 2, 3, 4, 5].map(seed => strideSpread(countsOf(400, 2.29, spread, seed)));
  for (const one of found) expect(Math.abs(one - spread)).toBeLessThan(withinM);
});

test('a horse that varies more is found to vary more', () => {
  const mean = (spread: number) =>
    [1, 2, 3, 4, 5, 6, 7, 8].reduce((sum, seed) => sum + strideSpread(countsOf(12, 2.29, spread, seed)), 0) / 8;
  expect(mean(0.09)).toBeGreaterThan(mean(0.02) + 0.01);
});

test('counts of nothing are refused', () =>
  expect(() => strideSpread([{ count: 0 }, { count: 3 }])).toThrow(RangeError));
