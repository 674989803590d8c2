import { AS_OF_ALL } from '../question/pairAsk';
import type { Question } from '../question/question';
import { testQuestion } from '../question/testQuestion';
import { askedOfAll } from './askedOtherwise';
import { questionsNow } from './questionsNow';

const line = testQuestion('line', { asked: [5] });
const planned = [{ question: line, ofPairs: { pony: { ...AS_OF_ALL, asked: [7] } } }];
const higher = (question: Question): Question => ({
  ...question,
  state: { ...question.state, heightM: { ...question.state.heightM, b: 0.9 } },
});

/** What each pair is asked once these were said. */
function after(asks: Parameters<typeof askedOfAll>[0]['asks'], change: (question: Question) => Question | null) {
  const stage = { id: 's', questions: planned, asks, pairIds: ['pony', 'cob', 'mare'] };
  const said = askedOfAll(stage, 'line', change).map(one => ({ ...one, stageId: 's' }));
  return (pairId: string) => questionsNow(planned, [...asks, ...said], 's', pairId).find(({ id }) => id === 'line')!;
}

test('a change for all leaves every pair its own counts, planned or said on the day', () => {
  const cobsFour = { stageId: 's', pairId: 'cob', question: { ...line, asked: [4] } };
  const of = after([cobsFour], higher);
  expect(['pony', 'cob', 'mare'].map(pairId => of(pairId).asked)).toEqual([[7], [4], [5]]);
  expect(['pony', 'cob', 'mare'].map(pairId => of(pairId).state.heightM)).toEqual([{ b: 0.9 }, { b: 0.9 }, { b: 0.9 }]);
});

test('what one pair alone is asked is asked of all from then on; of nothing nothing is asked', () => {
  const alone = { stageId: 's', pairId: 'cob', question: testQuestion('new') };
  const stage = { id: 's', questions: planned, asks: [alone], pairIds: ['pony', 'cob'] };
  expect(askedOfAll(stage, 'new', question => question)).toEqual([{ pairId: null, question: alone.question }]);
  expect(askedOfAll(stage, 'gone', question => question)).toEqual([]);
  expect(askedOfAll(stage, 'line', () => null)).toEqual([]);
});
