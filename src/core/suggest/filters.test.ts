import { SHELF } from '../exercises/shelf';
import { candidateOf } from './candidate';
import { outBecause } from './filters';
import { neededBefore } from './needs';
import { testExercise, testFences, testPair, testPasses, testStep, testWish } from './testPairs';

const poles = testExercise('trot-poles', 2);
const fences = testExercise('single-fence', 2, {}, testFences(4));
const clean = testPasses([2, 2], [2, 2]);
const out = (
  facts: typeof poles,
  pair: Parameters<typeof testPair>[0],
  changes: Parameters<typeof testWish>[1] = {},
) => {
  const wish = testWish([testPair(pair)], changes);
  return outBecause(candidateOf(facts, wish), wish);
};

test('what speaks against nothing stays in', () => {
  expect(out(poles, {})).toBeNull();
  expect(out(fences, {})).toBeNull();
});

test('an exercise for advanced horses is not for a novice one', () => {
  const hard = testExercise('trot-poles', 1, { level: 'advanced' });
  expect(out(hard, {})).toBe('it is made for advanced horses');
  expect(out(hard, { horse: { ...testPair().horse, level: 'advanced' } })).toBeNull();
});

describe('what must be known first', () => {
  const line = testExercise('related-line', 2, { level: 'novice' });
  // A related line comes after canter poles in a line, for novices, and a single fence, for green horses (common practice).
  test('was ridden clean, or is what every horse of the level knows', () => {
    expect(out(line, {})).toBe('Canter poles in a related line comes first');
    expect(out(line, { ridden: [testStep('canter-poles-line', 0, 900, testPasses([2, 0], [2, 0]))] })).not.toBeNull();
    expect(out(line, { ridden: [testStep('canter-poles-line', 0, 900, clean)] })).toBeNull();
    expect(out(line, { horse: { ...testPair().horse, level: 'advanced' } })).toBeNull();
  });
  test('what was ridden itself is known', () =>
    expect(out(line, { ridden: [testStep('related-line', 0, 900, clean)] })).toBeNull());
  test('every exercise that is needed is on the shelf, and none needs itself, however far round', () => {
    const kinds = new Set(SHELF.map(({ kind }) => kind));
    const all = (kind: string, path: string[]): string[] => {
      expect(path).not.toContain(kind);
      return neededBefore(kind).flatMap(needed => [needed, ...all(needed, [...path, kind])]);
    };
    for (const kind of kinds) for (const needed of all(kind, [])) expect(kinds).toContain(needed);
  });
});

test('a series that takes longer than there is time is out', () => {
  expect(out(poles, {}, { minutes: 5 })).toMatch(/takes 6 minutes of 5/);
  expect(out(poles, {}, { minutes: 6 })).toBeNull();
});

// Three passes on each rein over four fences are 24 efforts, of 60 in a day (common practice).
test('the day’s work holds, with what else the horse does', () => {
  const earlier = { ...testPair().earlier, lowEfforts: 36 };
  expect(out(fences, { earlier })).toMatch(/60 efforts/);
  expect(out(fences, { earlier: { ...earlier, lowEfforts: 35 } })).toBeNull();
  expect(out(poles, { earlier: { ...earlier, lowEfforts: 59 } })).toBeNull();
});

test('no seven days have three jumping days, whichever seven; two are allowed', () => {
  const jumpingDays = (...days: number[]) => ({ jumpingDays: days });
  expect(out(fences, jumpingDays(996, 998))).toBe('it would jump on 3 days of seven');
  expect(out(fences, jumpingDays(998, 1005))).toBeNull();
  expect(out(fences, jumpingDays(998, 1004))).not.toBeNull();
  expect(out(fences, jumpingDays(1001, 1006))).not.toBeNull();
  expect(out(fences, jumpingDays(993, 1007))).toBeNull();
  expect(out(poles, jumpingDays(996, 998))).toBeNull();
});

describe('the same hard thing is not ridden two days running', () => {
  const held = testPasses([2, 1], [2, 1]);
  test('fences yesterday, or planned tomorrow', () => {
    expect(out(fences, { ridden: [testStep('single-fence', 0, 999, clean)] })).toMatch(/day before or after/);
    expect(out(fences, { planned: [{ day: 1001, exercise: 'single-fence' }] })).toMatch(/day before or after/);
    expect(out(fences, { ridden: [testStep('single-fence', 0, 998, clean)] })).toBeNull();
  });
  test('poles that were not earned are hard, those that were are not', () => {
    expect(out(poles, { ridden: [testStep('trot-poles', 0, 999, held)] })).not.toBeNull();
    expect(out(poles, { ridden: [testStep('trot-poles', 0, 999, clean)] })).toBeNull();
  });
});

test('what was refused for these pairs is out until another stage of it comes', () => {
  expect(out(poles, {}, { refused: [{ exercise: 'trot-poles', stage: 0 }] })).toBe('it was refused lately');
  expect(out(poles, {}, { refused: [{ exercise: 'trot-poles', stage: 1 }] })).toBeNull();
});

test('all of it earned lately, it is left alone; alone or in a group', () => {
  const ridden = [testStep('trot-poles', 1, 990, clean)];
  expect(out(poles, { ridden })).toBe('all of it was earned lately');
  const wish = testWish([testPair({ ridden }), testPair({ id: 'q', name: 'Dun', ridden: [] })]);
  expect(outBecause(candidateOf(poles, wish), wish)).toBeNull();
});

test('in a group the one who may not is named', () => {
  const wish = testWish([testPair(), testPair({ id: 'q', name: 'Dun', jumpingDays: [997, 999] })]);
  expect(outBecause(candidateOf(fences, wish), wish)).toBe('Dun: it would jump on 3 days of seven');
});
