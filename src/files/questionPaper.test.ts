import { AS_LAID_OUT, EMPTY_LOG, UNTOLD_QUESTION, type RecordLog, type Question } from '@/core';
import { packLog, unpackLog } from './packedRecord';
import { AskedQuestionOnPaper, QuestionOnPaper } from './questionPaper';

const leg = { track: 'natural', setting: 'course', approach: 'canter', asked: null, circle: null } as const;
const question = (changes: Partial<Question> = {}): Question => ({
  ...{ id: 'q', name: null, what: { kind: 'track', trackId: 't' }, state: AS_LAID_OUT },
  ...{ gait: 'course-canter', rein: null, asked: [] },
  ...changes,
});
const stop = (item: string, reversed = false) => ({ item, reversed });

test.each<[string, Question]>([
  ['a track', question()],
  ['figures', question({ what: { kind: 'figures', trackId: 't', figureIds: ['a', 'b'] } })],
  [
    'a stage',
    question({
      what: { kind: 'stage', exerciseId: 'e', stage: 2, over: { kind: 'track', trackId: 't' } },
      asked: [3, null],
    }),
  ],
  [
    'stops in order, one of them circled',
    question({
      what: {
        kind: 'made',
        through: [stop('a'), stop('a'), stop('b', true)],
        legs: [{ ...leg, circle: { rein: 'left', radiusM: 10 } }, leg],
      },
      state: { ...AS_LAID_OUT, out: ['c'], asPole: ['b'], heightM: { a: 0.55 }, form: { a: 'oxer' } },
    }),
  ],
  ['what was never said', UNTOLD_QUESTION],
])('%s comes back from paper as it was', (_, asked) =>
  expect(QuestionOnPaper.parse(JSON.parse(JSON.stringify(asked)))).toEqual(asked),
);

test.each<[string, unknown]>([
  ['a leg too few', question({ what: { kind: 'made', through: [stop('a'), stop('b')], legs: [] } })],
  [
    'a circle between two',
    question({
      what: {
        kind: 'made',
        through: [stop('a'), stop('b')],
        legs: [{ ...leg, circle: { rein: 'left', radiusM: 10 } }],
      },
    }),
  ],
  ['no circle where it comes back', question({ what: { kind: 'made', through: [stop('a'), stop('a')], legs: [leg] } })],
  ['nothing ridden', question({ what: { kind: 'made', through: [], legs: [] } })],
  ['half a stride', question({ asked: [3.5] })],
  ['a hundred strides', question({ asked: [100] })],
  ['a key that nobody knows', { ...question(), colour: 'red' }],
  ['a fence of four metres', question({ state: { ...AS_LAID_OUT, heightM: { a: 4 } } })],
])('%s is refused', (_, asked) => expect(QuestionOnPaper.safeParse(asked).success).toBe(false));

test('what is asked of a pair goes with it', () => {
  const asked = { question: question(), ofPairs: { pair: { asked: [4, null], heightM: { a: 0.4 }, asPole: ['b'] } } };
  expect(AskedQuestionOnPaper.parse(asked)).toEqual(asked);
  expect(AskedQuestionOnPaper.safeParse({ ...asked, ofPairs: { pair: { asked: [-1] } } }).success).toBe(false);
});

test('a record is packed with each question once, and unpacked as it was', () => {
  const said = { saidAtMs: 1, by: null, counts: true };
  const pass = (id: string, asked: Question) => ({
    ...said,
    pass: {
      ...{ id, pairId: 'p', layoutVersionId: 'v', lessonId: 'l', stageId: 's', stage: 's', question: asked },
      ...{ rein: null, direction: 'as-drawn' as const, riddenAtMs: 1 },
    },
    marks: [{ ...said, mark: { id: 'm', kind: 'hit' as const, place: 1 } }],
  });
  const log: RecordLog = {
    ...EMPTY_LOG,
    passes: [pass('1', question()), pass('2', question({ asked: [4] })), pass('3', question())],
    asks: [{ ...said, ask: { id: 'a', stageId: 's', pairId: null, question: question(), atMs: 1 } }],
  };
  const packed = packLog(log);
  expect(packed.questions).toHaveLength(2);
  expect(packed.passes.map(one => one.pass.question)).toEqual([0, 1, 0]);
  expect(unpackLog(JSON.parse(JSON.stringify(packed)) as typeof packed)).toEqual(log);
});
