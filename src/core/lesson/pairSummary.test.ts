import type { PassMark, TappedMark } from '../record/passMark';
import { testQuestion } from '../question/testQuestion';
import type { Rein } from '../track/rein';
import { pairSummary, type ToldPass, type ToldStage } from './pairSummary';

let count = 0;
const pass = (stage: string, rein: Rein, ...marks: TappedMark[]): ToldPass => ({
  ...{ id: `p${(count += 1)}`, pairId: 'pair', layoutVersionId: 'v', lessonId: 'l', direction: 'as-drawn' },
  ...{ rein, stage, stageId: stage, question: testQuestion('line'), questionWords: 'line', riddenAtMs: count * 60_000 },
  nameOf: place => ['alder', 'heron'][place - 1] ?? '?',
  ...{ marks: marks.map(mark => ({ id: `m${(count += 1)}`, ...mark }) as PassMark) },
});
const stage = (id: string): ToldStage => ({ id, name: id, questions: [{ id: 'line', name: 'line', hasReins: true }] });
const STAGES = [stage('poles'), stage('cross-rails'), stage('verticals')];
const DOWN: TappedMark = { kind: 'fence', place: 2, outcome: 'down' };

test('what was ridden, how, and the next stage where it was earned', () => {
  const passes = [pass('poles', 'left'), pass('poles', 'right'), pass('poles', 'left'), pass('poles', 'right')];
  const { stages, next } = pairSummary(passes, STAGES);
  expect(stages).toEqual([
    {
      ...{ stage: 'poles', question: 'line', left: 2, right: 2, without: 0, clean: 4, change: null, minutes: 4 },
      passes: ['left rein: clean', 'right rein: clean', 'left rein: clean', 'right rein: clean'],
    },
  ]);
  expect(next).toEqual(['On to “cross-rails”. The last 2 passes were clean on both reins.']);
});

test('a fault that came back is told with what to try; passes that do not count are shown and not counted', () => {
  const passes = [
    pass('poles', 'left'),
    ...[1, 2, 3].map(() => pass('cross-rails', 'left', DOWN)),
    pass('cross-rails', 'right', { kind: 'void' }),
  ];
  const { stages, next } = pairSummary(passes, STAGES);
  expect(stages[1]).toMatchObject({ left: 3, right: 0, clean: 0 });
  expect(stages[1]!.passes[3]).toBe('right rein: does not count');
  expect(next[0]).toContain('Not yet.');
  expect(next[1]).toBe('down at heron, 3 times: Lower this one, or lay it as a pole, and leave the rest.');
});

test('at the last stage there is none to go on to; who has not ridden has nothing next', () => {
  const done = ['left', 'right', 'left', 'right'].map(rein => pass('verticals', rein as Rein));
  expect(pairSummary(done, STAGES).next[0]).toContain('This exercise is done.');
  expect(pairSummary([], STAGES)).toEqual({ stages: [], next: [] });
});

test('a renamed stage keeps its passes, under the name it has now', () => {
  const renamed = [{ ...STAGES[0]!, name: 'poles on the ground' }, ...STAGES.slice(1)];
  const { stages } = pairSummary([pass('poles', 'left')], renamed);
  expect(stages).toMatchObject([{ stage: 'poles on the ground', left: 1 }]);
});

test('each pass keeps the names of what it was over, also where the stage goes over something else since', () => {
  const before = pass('poles', 'left', DOWN);
  const since: ToldPass = {
    ...pass('poles', 'left', DOWN),
    ...{ question: testQuestion('line', { state: { ...before.question.state, out: ['alder'] } }) },
    ...{ questionWords: 'line without alder', nameOf: place => ['heron', 'rowan'][place - 1] ?? '?' },
  };
  const { stages, next } = pairSummary([before, since, pass('poles', 'left', DOWN), since], STAGES);
  expect(stages.map(({ question, passes }) => [question, passes])).toEqual([
    ['line', ['left rein: down at heron', 'left rein: down at heron']],
    ['line without alder', ['left rein: down at rowan', 'left rein: down at rowan']],
  ]);
  // Twice at one fence and twice at another is nothing that came back three times.
  expect(next).toHaveLength(1);
});

test('a course that changes the rein is counted on none', () => {
  const { stages } = pairSummary([{ ...pass('poles', 'left'), rein: null }], STAGES);
  expect(stages).toMatchObject([{ left: 0, right: 0, without: 1, clean: 1, passes: ['clean'] }]);
});
