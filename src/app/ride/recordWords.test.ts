import {
  applyEvent,
  changeOver,
  EMPTY_LOG,
  sayMark,
  tapHistory,
  UNTOLD_QUESTION,
  type ChangedValue,
  type PassRecord,
  type RecordEvent,
  type RecordLog,
  type RideWay,
  type TappedMark,
} from '@/core';
import { changeWords, passWords, tapWords, type RecordNames } from './recordWords';

const PASS: Omit<PassRecord, 'marks'> = {
  ...{ id: 'p', pairId: 'juniper', layoutVersionId: 'v', lessonId: 'l', stageId: 's', stage: 'The line' },
  ...{ question: UNTOLD_QUESTION, rein: 'right', direction: 'other-way', riddenAtMs: 0 },
};
const OTHER_WAY: RideWay = { rein: 'right', direction: 'other-way' };

let ids = 0;
const own = (atMs: number) => ({ newId: () => `${(ids += 1)}`, atMs, by: 'Mira' });
const BEGUN: RecordEvent = { type: 'pass', id: 'e', pass: PASS, by: 'Mira' };

const namesOf = (log: RecordLog): RecordNames => ({
  ...{ log, pairOf: id => `pair ${id}`, timeOf: atMs => `at ${atMs}`, rideOf: () => null },
});
const marked = (log: RecordLog, said: TappedMark, atMs: number) => applyEvent(log, sayMark(log, 'p', said, own(atMs)));
const lastUndo = (log: RecordLog) => tapHistory(log, 'all').undo.at(-1)!;

test('a pass is told by what was ridden and how; as drawn goes without saying', () => {
  expect(passWords(PASS, null)).toBe('The line, right rein, the other way round');
  expect(passWords({ ...PASS, rein: null, direction: 'as-drawn' }, null)).toBe('The line');
});

test('an undo is told by what was tapped: a mark, a mark with the pass it began, a change', () => {
  const first = marked(applyEvent(EMPTY_LOG, BEGUN), { kind: 'strides', place: 1, count: 5 }, 0);
  expect(tapWords(namesOf(first), lastUndo(first))).toBe('5 from 1, and its pass');
  const hit = marked(first, { kind: 'hit', place: 2 }, 10);
  expect(tapWords(namesOf(hit), lastUndo(hit))).toBe('hit 2');
  const six = marked(hit, { kind: 'strides', place: 1, count: 6 }, 20);
  expect(tapWords(namesOf(six), lastUndo(six))).toBe('a mark: 6 from 1, before 5 from 1');
});

test.each<[ChangedValue & { of: string }, string, string, string]>([
  [{ on: 'pass', of: 'p', what: 'pair', was: 'a', to: 'b' }, 'who rode', 'pair a', 'pair b'],
  [{ on: 'pass', of: 'p', what: 'counts', was: true, to: false }, 'a pass', 'counts', 'taken back'],
  [{ on: 'pass', of: 'p', what: 'time', was: 1, to: 2 }, 'when it was ridden', 'at 1', 'at 2'],
  [
    { on: 'pass', of: 'p', what: 'way', was: { rein: 'left', direction: 'as-drawn' }, to: OTHER_WAY },
    ...(['the way', 'Left rein', 'Right rein, the other way round'] as const),
  ],
  [
    { on: 'pass', of: 'p', what: 'stage', was: { stageId: 's', stage: 'Grid' }, to: { stageId: 't', stage: 'Line' } },
    ...(['the stage', 'Grid', 'Line'] as const),
  ],
  [{ on: 'pair', of: 'a', what: 'rides', was: true, to: false }, 'pair a', 'rides', 'does not ride'],
  [{ on: 'lesson', of: 'l', what: 'ended', was: null, to: 9 }, 'the lesson', 'open', 'ended at 9'],
  [{ on: 'lesson', of: 'l', what: 'archived', was: true, to: false }, 'the lesson', 'archived', 'in the lists'],
])('a change says what, what it was and what it is: %j', (value, what, before, after) => {
  const log = applyEvent(EMPTY_LOG, BEGUN);
  expect(changeWords(namesOf(log), changeOver(log, value, null, own(5)))).toEqual({ what, before, after });
});
