import type { PassMark, TappedMark } from '../record/passMark';
import { testQuestion } from '../question/testQuestion';
import type { Rein } from '../track/rein';
import { pairEnd } from './pairEnd';
import type { ToldPass, ToldStage } from './pairSummary';

let count = 0;
const pass = (stage: string, rein: Rein | null, ...marks: TappedMark[]): ToldPass => ({
  ...{ id: `p${(count += 1)}`, pairId: 'pair', layoutVersionId: 'v', lessonId: 'l', direction: 'as-drawn' },
  ...{ rein, stage, stageId: stage, question: testQuestion('line'), questionWords: 'In five', riddenAtMs: count },
  nameOf: place => String(place),
  ...{ marks: marks.map(mark => ({ id: `m${(count += 1)}`, ...mark }) as PassMark) },
});
const stage = (id: string): ToldStage => ({ id, name: id, questions: [{ id: 'line', name: 'line', hasReins: true }] });
const STAGES = [stage('poles'), stage('fences')];
const DOWN: TappedMark = { kind: 'fence', place: 2, outcome: 'down' };

test('the best is the longest clean run at the farthest stage that had one', () => {
  const { best, ridden } = pairEnd(
    [
      ...[1, 2, 3, 4].map(() => pass('poles', 'left')),
      ...[pass('fences', 'left'), pass('fences', 'right', DOWN), pass('fences', 'left'), pass('fences', 'right')],
    ],
    STAGES,
  );
  expect(best).toBe('fences, In five: 2 clean one after the other on both reins.');
  expect(ridden).toBe('8 passes, 7 of them clean.');
});

test('one rein is called stiffer only where both were ridden enough and differ enough', () => {
  const on = (rein: Rein, clean: number, down: number) => [
    ...Array.from({ length: clean }, () => pass('poles', rein)),
    ...Array.from({ length: down }, () => pass('poles', rein, DOWN)),
  ];
  const reins = (passes: ToldPass[]) => pairEnd(passes, STAGES).reins;
  expect(reins([...on('left', 1, 3), ...on('right', 4, 0)])).toBe(
    'Stiffer on the left rein: 1 of 4 clean there, 4 of 4 on the right.',
  );
  expect(reins([...on('left', 3, 0), ...on('right', 1, 2)])).toMatch(/^Stiffer on the right rein: 1 of 3/);
  expect(reins([...on('left', 3, 1), ...on('right', 3, 1)])).toMatch(/^Even/);
  expect(reins([...on('left', 0, 4), ...on('right', 0, 4)])).toBeNull();
  expect(reins([...on('left', 0, 2), ...on('right', 9, 0)])).toBeNull();
});

test('who rode nothing, or nothing clean, is told no best', () => {
  expect(pairEnd([], STAGES)).toMatchObject({ ridden: 'Nothing was ridden.', best: null, reins: null, next: [] });
  expect(pairEnd([pass('poles', null, { kind: 'void' })], STAGES).ridden).toBe('Nothing was ridden.');
  expect(pairEnd([pass('poles', null, DOWN)], STAGES)).toMatchObject({
    ridden: 'One pass, none of them clean.',
    best: null,
  });
  expect(pairEnd([pass('poles', null)], STAGES)).toMatchObject({
    ridden: 'One pass, clean.',
    best: 'poles, In five: clean.',
  });
});
