import type { PassMark, TappedMark } from '../record/passMark';
import type { PassRecord } from '../record/passRecord';
import type { Rein } from '../track/rein';
import { pairSummary, type ToldStage } from './pairSummary';

let count = 0;
const pass = (stage: string, rein: Rein, ...marks: TappedMark[]): PassRecord => ({
  ...{ id: `p${(count += 1)}`, pairId: 'pair', layoutVersionId: 'v', lessonId: 'l', direction: 'as-drawn' },
  ...{ rein, stage, riddenAtMs: count, marks: marks.map(mark => ({ id: `m${(count += 1)}`, ...mark }) as PassMark) },
});
const stage = (name: string): ToldStage => ({ name, asked: [], nameOf: place => ['alder', 'heron'][place - 1] ?? '?' });
const STAGES = [stage('poles'), stage('cross-rails'), stage('verticals')];
const DOWN: TappedMark = { kind: 'fence', place: 2, outcome: 'down' };

test('what was ridden, how, and the next stage where it was earned', () => {
  const passes = [pass('poles', 'left'), pass('poles', 'right'), pass('poles', 'left'), pass('poles', 'right')];
  const { stages, next } = pairSummary(passes, STAGES);
  expect(stages).toEqual([
    {
      ...{ stage: 'poles', left: 2, right: 2, clean: 4 },
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
