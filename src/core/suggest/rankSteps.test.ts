import type { Goal } from '../goals/goal';
import { dayNumber } from '../words/calendarDay';
import { rankSteps } from './rankSteps';
import { sentenceOf } from './suggestLessons';
import { testExercise, testFences, testPair, testPasses, testStep, testWish } from './testPairs';
import type { TermKey } from './weights';

const clean = testPasses([2, 2], [2, 2]);
const day = dayNumber('2026-11-20');
const rhythm = testExercise('trot-poles', 3);
const supple = testExercise('fan', 2, { purposes: ['suppleness'] });

function term(key: TermKey, facts: typeof rhythm, pair: Parameters<typeof testPair>[0]) {
  const { ranked, out } = rankSteps([facts], testWish([testPair(pair)], { day }));
  expect(out).toEqual([]);
  return ranked[0]!.terms.find(one => one.key === key)!;
}

const goal: Goal = {
  ...{ id: 'g', pairId: 'p', words: 'even on both reins', purposes: ['suppleness'], measure: null },
  ...{ byDay: null, sinceDay: day - 30, reachedDay: null },
};
const knows = testStep('trot-poles', 0, day - 40, clean);

describe('each term has a case in which it speaks, and a neighbour in which it does not', () => {
  test('a goal: what serves it, more when its day is near; not another purpose, nor once it is reached', () => {
    const value = (one: Partial<Goal>, facts = supple) =>
      term('goal', facts, { goals: [{ ...goal, ...one }], ridden: [knows] }).value;
    expect(value({ byDay: day + 28 })).toBeCloseTo(0.85, 9);
    expect(value({ byDay: day + 29 })).toBeCloseTo(0.85 * 0.7, 9);
    expect(value({}, rhythm)).toBe(0);
    expect(value({ reachedDay: day - 1 })).toBe(0);
    expect(value({ measure: { kind: 'stage', exercise: 'fan', stage: 1 }, byDay: day })).toBe(1);
    expect(term('goal', supple, { goals: [goal], ridden: [knows] }).words).toBe(
      'it serves the goal “even on both reins”',
    );
  });
  test('what is surely uneven, and not what may be by chance', () => {
    const uneven = testStep('trot-poles', 0, day - 40, testPasses([24, 6], [24, 22]));
    const nearly = testStep('trot-poles', 0, day - 40, testPasses([24, 18], [24, 22]));
    expect(term('uneven', supple, { ridden: [uneven] })).toMatchObject({
      value: 1,
      words: expect.stringContaining('left rein') as string,
    });
    expect(term('uneven', supple, { ridden: [nearly] })).toMatchObject({ value: 0, words: null });
    // What neither supples nor straightens does nothing for a rein.
    expect(term('uneven', rhythm, { ridden: [uneven] })).toMatchObject({ value: 0, words: null });
  });
  test('what was earned goes before what is new', () => {
    const earned = term('earned', rhythm, { ridden: [testStep('trot-poles', 0, day - 7, clean)] });
    expect(earned).toMatchObject({ value: 1, words: '“stage 1” was earned on 13 November, so “stage 2” comes next' });
    const held = term('earned', rhythm, { ridden: [testStep('trot-poles', 1, day - 7, testPasses([2, 1], [2, 2]))] });
    expect(held).toMatchObject({ value: 0.7, words: '“stage 2” is not earned yet: 3 of 4 clean on 13 November' });
    expect(term('earned', rhythm, {}).value).toBe(0.35);
  });
  test('what was left out for four weeks, and not what was ridden last week', () => {
    const since = (days: number) => term('since', rhythm, { ridden: [testStep('walk-poles', 0, day - days, clean)] });
    expect(since(28)).toMatchObject({ value: 1, words: 'nothing for rhythm over poles since 23 October' });
    expect(since(6).value).toBeCloseTo(6 / 28, 9);
    expect(since(6).words).toBeNull();
    const other = term('since', rhythm, { ridden: [testStep('circle', 0, day - 2, clean, { kind: 'flat' })] });
    expect(other.words).toBe('nothing for rhythm over poles was ridden yet');
  });
  test('another sort of work than on the last day', () => {
    const flat = testStep('circle', 0, day - 3, clean, { kind: 'flat' });
    expect(term('change', rhythm, { ridden: [flat] })).toMatchObject({
      value: 1,
      words: 'the last day, 17 November, was on the flat',
    });
    expect(term('change', rhythm, { ridden: [testStep('fan', 0, day - 3, clean)] }).value).toBe(0);
  });
});

test('in a group it is told of the one it speaks for most, and weighed for all', () => {
  const ridden = [testStep('trot-poles', 0, day - 7, clean)];
  const pairs = [testPair({ ridden }), testPair({ id: 'q', name: 'Dun' })];
  const { ranked } = rankSteps([rhythm], testWish(pairs, { day }));
  const earned = ranked[0]!.terms.find(({ key }) => key === 'earned')!;
  expect(earned.value).toBeCloseTo((1 + 0.35) / 2, 9);
  expect(earned.words).toMatch(/^for Wren “stage 1” was earned/);
  expect(ranked[0]!.candidate.series.map(({ stage }) => stage)).toEqual([0, 1]);
});

test('what weighs more comes first, and what may not be is told', () => {
  const fences = testExercise('single-fence', 2, {}, testFences(4));
  const pair = testPair({ goals: [goal], ridden: [knows], jumpingDays: [day - 2, day - 4] });
  const { ranked, out } = rankSteps([rhythm, supple, fences], testWish([pair], { day }));
  expect(ranked.map(({ candidate }) => candidate.facts.exercise)).toEqual(['fan', 'trot-poles']);
  expect(out).toEqual([{ exercise: 'single-fence', title: 'single-fence', why: 'it would jump on 3 days of seven' }]);
});

test('the sentence is the two terms that weigh most and say something', () => {
  expect(
    sentenceOf([
      { key: 'goal', value: 1, words: 'it serves a goal' },
      { key: 'since', value: 0.9, words: null },
      { key: 'earned', value: 0.5, words: 'it comes next' },
      { key: 'fit', value: 1, words: 'never said' },
    ]),
  ).toBe('It serves a goal; it comes next.');
  expect(sentenceOf([])).toBe('Nothing speaks against it.');
});
