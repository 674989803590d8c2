import { USUAL_GATE } from '../lesson/stageGate';
import { nextStage, standingOf } from './ladder';
import { testExercise, testPasses, testStep } from './testPairs';

const facts = testExercise('grid', 3);
const at = (stage: number, day: number, left: [number, number], right: [number, number]) =>
  testStep('grid', stage, day, testPasses(left, right));
const next = (ridden: ReturnType<typeof at>[], day = 1000) => nextStage(facts, ridden, USUAL_GATE, day);

test('what was never ridden begins at its first stage', () =>
  expect(next([])).toEqual({ stage: 0, why: 'new', standing: null }));

// Handbook of the trade: up one stage only when the last two passes were clean on both reins.
test('the last two clean on both reins earn the next stage; on one rein alone they do not', () => {
  expect(next([at(1, 995, [3, 2], [4, 2])])).toMatchObject({ stage: 2, why: 'next', standing: { at: 'earned' } });
  expect(next([at(1, 995, [3, 2], [4, 1])])).toMatchObject({ stage: 1, why: 'again', standing: { at: 'held' } });
});

test('clean less than once in three, it goes a stage down; of the first stage there is no lower one', () => {
  expect(next([at(1, 995, [3, 1], [3, 0])])).toMatchObject({ stage: 0, why: 'easier' });
  expect(next([at(1, 995, [3, 1], [3, 1])])).toMatchObject({ stage: 1, why: 'again' });
  expect(next([at(0, 995, [3, 0], [3, 0])])).toMatchObject({ stage: 0, why: 'again' });
});

test('left out for four weeks it comes back to where it was, a day earlier it goes on', () => {
  const ridden = [at(1, 900, [2, 2], [2, 2])];
  expect(next(ridden, 928)).toMatchObject({ stage: 1, why: 'back' });
  expect(next(ridden, 927)).toMatchObject({ stage: 2, why: 'next' });
});

test('earned to its last stage there is nothing next', () =>
  expect(next([at(2, 995, [2, 2], [2, 2])])).toMatchObject({ stage: 2, why: 'kept' }));

test('the last day counts, and of it the highest stage that was ridden', () => {
  const ridden = [at(2, 990, [2, 2], [2, 2]), at(0, 995, [2, 2], [2, 2]), at(1, 995, [2, 0], [2, 2])];
  expect(standingOf(facts, ridden, USUAL_GATE)).toEqual({ at: 'held', stage: 1, day: 995, clean: { of: 4, hits: 2 } });
});

test('a yard that asks for one clean pass on any rein has its own rule', () => {
  const rule = { cleanEachRein: 1, bothReins: false };
  expect(standingOf(facts, [at(0, 995, [2, 0], [2, 1])], rule)).toMatchObject({ at: 'earned' });
});

test('a track that changes the rein is earned without reins', () => {
  const eight = testExercise('eight', 2, {}, { hasReins: false });
  const passes = [false, true, true].map(isClean => ({ rein: null, isClean }));
  expect(standingOf(eight, [testStep('eight', 0, 995, passes)], USUAL_GATE)).toMatchObject({ at: 'earned' });
});
