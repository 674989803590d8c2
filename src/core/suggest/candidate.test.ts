import { candidateOf, seriesOf } from './candidate';
import { testExercise, testPair, testPasses, testStep, testWish } from './testPairs';

const FACTS = testExercise('grid', 4);
const clean = testPasses([2, 2], [2, 2]);
/** A pair that has earned so many stages. */
const earned = (id: string, stages: number) =>
  testPair({
    ...{ id, name: id },
    ridden: Array.from({ length: stages }, (_, stage) => testStep('grid', stage, 990 + stage, clean)),
  });
const candidate = (...pairs: ReturnType<typeof testPair>[]) => candidateOf(FACTS, testWish(pairs));

test('whoever begins rides the first stage, without a way in; later what was earned comes once before it', () => {
  expect(candidate(earned('a', 0)).series).toEqual([{ stage: 0, eachRein: 3 }]);
  expect(candidate(earned('a', 2)).series).toEqual([
    { stage: 1, eachRein: 1 },
    { stage: 2, eachRein: 3 },
  ]);
});

test('pairs at different stages ride each of theirs, the easiest first, and each up to its own', () => {
  const group = candidate(earned('far', 3), earned('near', 1), earned('as far', 3));
  expect(group.series).toEqual([
    { stage: 0, eachRein: 1 },
    { stage: 1, eachRein: 3 },
    { stage: 3, eachRein: 3 },
  ]);
  expect(seriesOf(group, 0)).toEqual(group.series);
  expect(seriesOf(group, 1).map(({ stage }) => stage)).toEqual([0, 1]);
});

test('more pairs and more stages take longer', () => {
  const minutes = [candidate(earned('a', 0)), candidate(earned('a', 1)), candidate(earned('a', 1), earned('b', 1))].map(
    one => one.minutes,
  );
  expect([...minutes].sort((a, b) => a - b)).toEqual(minutes);
  expect(new Set(minutes).size).toBe(3);
});
