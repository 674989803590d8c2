import { evenSeasonsCalled } from './testEvenSeasons';
import { testPasses, testStep } from './testPairs';
import { levelOfLook, unevenIn, unevenWords } from './uneven';
import type { RiddenStep } from './step';

const steps = (left: [number, number], right: [number, number], changes: Partial<RiddenStep> = {}) => [
  testStep('trot-poles', 0, 1, testPasses(left, right), changes),
];

test('a rein that is surely worse is found, with its numbers; a little worse is not', () => {
  const [found] = unevenIn(steps([24, 6], [24, 22]), 10);
  expect(found).toMatchObject({ of: 'rein', rein: 'left', own: { of: 24, hits: 6 }, rest: { of: 24, hits: 22 } });
  expect(unevenWords(found!)).toBe('the left rein was clean in 6 of 24 passes of eight weeks, the right in 22 of 24');
  expect(unevenIn(steps([24, 16], [24, 20]), 10)).toEqual([]);
});

test('each stage is compared with itself: a hard one ridden mostly on one rein makes that rein no worse', () => {
  const hard = testStep('grid', 3, 1, testPasses([30, 6], [4, 1]));
  const easy = testStep('trot-poles', 0, 1, testPasses([4, 4], [30, 29]));
  expect(unevenIn([hard, easy], 10).filter(one => one.of === 'rein')).toEqual([]);
});

test('nothing is said of a side that was ridden seven times', () => {
  expect(unevenIn(steps([7, 0], [24, 24]), 10)).toEqual([]);
  expect(unevenIn(steps([8, 0], [24, 24]), 10)).toHaveLength(1);
});

test('what lies eight weeks back and more may have been mended since', () => {
  expect(unevenIn(steps([24, 6], [24, 22]), 56)).toHaveLength(1);
  expect(unevenIn(steps([24, 6], [24, 22]), 57)).toEqual([]);
});

test('a gait and a purpose that go worse than all the rest', () => {
  const good = testPasses([16, 15], [16, 15]);
  const bad = testPasses([16, 4], [16, 4]);
  const found = unevenIn(
    [
      testStep('trot-poles', 0, 1, good),
      testStep('narrow-fence', 0, 2, bad, { gait: 'course-canter', kind: 'fences' }),
    ],
    10,
  );
  expect(found).toContainEqual(expect.objectContaining({ of: 'gait', gait: 'canter' }));
  expect(found).toContainEqual(expect.objectContaining({ of: 'purpose', purpose: 'straightness' }));
  expect(found.map(one => unevenWords(one))).toContain(
    'canter was clean in 8 of 32 passes of eight weeks, the rest in 30 of 32',
  );
});

// 1/2 + 1/6 + 1/12 + … = 1: all looks together have the whole level.
test('each doubling of the record, and each pair that is looked at, has its share of the level', () => {
  expect(levelOfLook(10)).toBeCloseTo(0.025, 12);
  expect(levelOfLook(31)).toBeCloseTo(0.025, 12);
  expect(levelOfLook(32)).toBeCloseTo(0.05 / 6, 12);
  expect(levelOfLook(32, 4)).toBeCloseTo(0.05 / 24, 12);
  const all = Array.from({ length: 40 }, (_, look) => levelOfLook(16 * 2 ** look));
  expect(all.reduce((sum, one) => sum + one, 0)).toBeLessThan(0.05);
});

test('looked at week after week, a pair that is even is called uneven in fewer than 5 seasons of 100', () =>
  expect(evenSeasonsCalled(100, 28)).toBeLessThan(5));
