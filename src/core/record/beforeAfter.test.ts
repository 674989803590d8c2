import { beforeAfterOf, type DayTest } from './beforeAfter';

const test1 = (moment: DayTest['moment'], day: string, more: Partial<DayTest> = {}): DayTest => ({
  ...{ entry: 'trot', lane: { kind: 'taped', lengthM: 20 }, stepperId: null, moment, day },
  ...more,
});

test('before and after of one day and one gait belong together, the latest day first', () => {
  const tests = [
    test1('before', '1 May'),
    test1('after', '1 May', { entry: 'walk' }),
    test1('after', '1 May'),
    test1('before', '2 May'),
    test1('apart', '2 May'),
    // Taped lanes of two lengths give strides that compare.
    test1('after', '2 May', { lane: { kind: 'taped', lengthM: 18.29 } }),
    test1('after', '3 May'),
  ];
  expect(beforeAfterOf(tests)).toEqual([
    { before: tests[3], after: tests[5] },
    { before: tests[0], after: tests[2] },
  ]);
});

test('a lane of own steps compares with the same one of the same person only', () => {
  const steps = (count: number, stepperId: string) => ({ lane: { kind: 'steps' as const, steps: count }, stepperId });
  expect(beforeAfterOf([test1('before', 'a', steps(20, 'p')), test1('after', 'a', steps(20, 'p'))])).toHaveLength(1);
  expect(beforeAfterOf([test1('before', 'a', steps(20, 'p')), test1('after', 'a', steps(20, 'q'))])).toEqual([]);
  expect(beforeAfterOf([test1('before', 'a', steps(20, 'p')), test1('after', 'a')])).toEqual([]);
});
