import { testQuestion } from '../question/testQuestion';
import type { TappedMark } from './passMark';
import type { RecordEvent } from './recordEvent';
import { applyEvent, EMPTY_LOG, standingPasses, type RecordLog } from './recordLog';
import { sayMark } from './sayMark';
import { changeOver, firstSaid, reversal, tapHistory, type Shown } from './tapHistory';

/** A phone with one thumb. */
function phone() {
  let log: RecordLog = EMPTY_LOG;
  let [ids, nowMs] = [0, 0];
  const newId = () => `${(ids += 1)}`;
  const own = () => ({ newId, atMs: (nowMs += 1000), by: 'phone' });
  const say = (events: readonly RecordEvent[]) => {
    log = events.reduce(applyEvent, log);
  };
  const passEvent = (id: string, pairId: string, stageId: string, atMs: number): RecordEvent => ({
    ...{ type: 'pass', id: newId(), by: 'phone' },
    pass: {
      ...{ id, pairId, layoutVersionId: 'v', lessonId: 'l', stageId, stage: stageId, question: testQuestion('row') },
      ...{ rein: 'left', direction: 'as-drawn', riddenAtMs: atMs },
    },
  });
  const turn = (way: 'undo' | 'redo', shown: Shown) => {
    const taps = tapHistory(log, shown)[way];
    const last = taps[taps.length - 1];
    if (!last) return null;
    const told = firstSaid(log, last);
    say(reversal(log, last, own()).map(change => ({ type: 'change', id: change.id, lessonId: 'l', change })));
    return told.acts.map(({ said }) => said.kind).join(' ');
  };
  return {
    log: () => log,
    /** A pass that begins with its first mark. */
    mark: (passId: string, pairId: string, stageId: string, said: TappedMark) => {
      const tap = own();
      const isThere = log.passes.some(({ pass }) => pass.id === passId);
      say([...(isThere ? [] : [passEvent(passId, pairId, stageId, tap.atMs)]), sayMark(log, passId, said, tap)]);
    },
    move: (passId: string, was: string, to: string) => {
      const change = changeOver(log, { on: 'pass', of: passId, what: 'pair', was, to }, null, own());
      say([{ type: 'change', id: change.id, lessonId: 'l', change }]);
    },
    moveStage: (passId: string, was: string | null, to: string) => {
      const stages = { was: { stageId: was, stage: was ?? 'Before' }, to: { stageId: to, stage: to } };
      const change = changeOver(log, { on: 'pass', of: passId, what: 'stage', ...stages } as never, null, own());
      say([{ type: 'change', id: change.id, lessonId: 'l', change }]);
    },
    end: () => {
      const change = changeOver(log, { on: 'lesson', of: 'l', what: 'ended', was: null, to: nowMs }, null, own());
      say([{ type: 'change', id: change.id, lessonId: 'l', change }]);
    },
    join: (pairId: string, insteadOf: string | null) =>
      say([
        {
          ...{ type: 'join', id: newId(), lessonId: 'l' },
          join: {
            ...{ id: newId(), pairId, insteadOf, atMs: own().atMs, by: 'phone' },
            ...{ horse: { id: 'h', name: 'Sorrel', heightM: 1.5 }, rider: { id: 'r', name: 'Ada' } },
          },
        },
      ]),
    undo: (shown: Shown) => turn('undo', shown),
    redo: (shown: Shown) => turn('redo', shown),
    marks: () =>
      standingPasses(log).map(({ pairId, marks }) => [
        pairId,
        marks.map(mark => ('count' in mark ? mark.count : mark.kind)),
      ]),
  };
}

const GRID = { pairId: 'juniper', stageId: 'grid' };
const strides = (count: number): TappedMark => ({ kind: 'strides', place: 1, count });

test('undo and redo go back and forth, one tap at a time, and a new tap ends what could be done again', () => {
  const { mark, undo, redo, marks } = phone();
  mark('p', 'juniper', 'grid', strides(5));
  mark('p', 'juniper', 'grid', { kind: 'hit', place: 1 });
  expect(undo(GRID)).toBe('mark');
  expect(marks()).toEqual([['juniper', [5]]]);
  // The first mark began its pass: they were one tap.
  expect(undo(GRID)).toBe('pass mark');
  expect(marks()).toEqual([]);
  expect(undo(GRID)).toBeNull();
  expect(redo(GRID)).toBe('pass mark');
  expect(marks()).toEqual([['juniper', [5]]]);
  expect(redo(GRID)).toBe('mark');
  expect(marks()).toEqual([['juniper', [5, 'hit']]]);
  expect(redo(GRID)).toBeNull();
  undo(GRID);
  mark('p', 'juniper', 'grid', { kind: 'quality', value: 4 });
  expect(redo(GRID)).toBeNull();
  expect(marks()).toEqual([['juniper', [5, 'quality']]]);
});

test('an undo belongs to what is shown: another pair and another stage keep what they have', () => {
  const { mark, undo, marks } = phone();
  mark('a', 'juniper', 'grid', strides(5));
  mark('b', 'alder', 'grid', strides(6));
  mark('c', 'juniper', 'line', strides(7));
  expect(undo(GRID)).toBe('pass mark');
  expect(undo(GRID)).toBeNull();
  expect(marks()).toEqual([
    ['alder', [6]],
    ['juniper', [7]],
  ]);
});

test('a count that was tapped otherwise goes back to what it was, not to nothing', () => {
  const { mark, undo, redo, marks, log } = phone();
  mark('p', 'juniper', 'grid', strides(5));
  mark('p', 'juniper', 'grid', strides(6));
  expect(marks()).toEqual([['juniper', [6]]]);
  expect(log().changes).toMatchObject([{ what: 'said', was: { count: 5 }, to: { count: 6 } }]);
  undo(GRID);
  expect(marks()).toEqual([['juniper', [5]]]);
  redo(GRID);
  expect(marks()).toEqual([['juniper', [6]]]);
});

test('a pass that was moved can be moved back from where it was and from where it is', () => {
  for (const pairId of ['juniper', 'alder']) {
    const { mark, move, undo, marks } = phone();
    mark('p', 'juniper', 'grid', strides(5));
    move('p', 'juniper', 'alder');
    expect(marks()).toEqual([['alder', [5]]]);
    expect(undo({ pairId, stageId: 'grid' })).toBe('change');
    expect(marks()).toEqual([['juniper', [5]]]);
  }
});

test('a pass that was moved to another stage is shown at both, and at no other', () => {
  const { mark, moveStage, log } = phone();
  mark('p', 'juniper', 'grid', strides(5));
  mark('q', 'juniper', 'bend', strides(5));
  moveStage('p', 'grid', 'line');
  const changesAt = (stageId: string) =>
    tapHistory(log(), { pairId: 'juniper', stageId }).undo.filter(({ acts }) =>
      acts.some(({ said }) => said.kind === 'change'),
    ).length;
  expect(['grid', 'line', 'bend'].map(changesAt)).toEqual([1, 1, 0]);
  expect(tapHistory(log(), { pairId: 'alder', stageId: 'grid' }).undo).toEqual([]);
});

test('a pass that belonged to no stage is shown where it was put, and another change of it is shown with it', () => {
  const { mark, moveStage, move, log } = phone();
  mark('p', 'juniper', 'grid', strides(5));
  moveStage('p', null, 'line');
  move('p', 'juniper', 'alder');
  const changes = (pairId: string, stageId: string) =>
    tapHistory(log(), { pairId, stageId }).undo.flatMap(({ acts }) =>
      acts.flatMap(({ said }) => (said.kind === 'change' ? [said.change.what] : [])),
    );
  // Of where it is now both are shown; of the pair that it was of, both too: that pair was moved from there.
  expect(changes('alder', 'line')).toEqual(['stage', 'pair']);
  expect(changes('juniper', 'line')).toEqual(['pair']);
  expect(tapHistory(log(), { passId: 'p' }).undo).toHaveLength(3);
  expect(tapHistory(log(), { passId: 'q' }).undo).toEqual([]);
});

test('that a lesson was ended is shown for all of it, and at no pair', () => {
  const { mark, end, log } = phone();
  mark('p', 'juniper', 'grid', strides(5));
  end();
  const taps = (shown: Shown) => tapHistory(log(), shown).undo.length;
  expect([taps('all'), taps(GRID)]).toEqual([2, 1]);
});

test('a pair that came instead of another goes again, and the other one is back', () => {
  const { join, undo, redo, log } = phone();
  join('sorrel', 'juniper');
  expect(log().rides).toEqual({ sorrel: true, juniper: false });
  undo('all');
  expect(log().rides).toEqual({ sorrel: false, juniper: true });
  redo('all');
  expect(log().rides).toEqual({ sorrel: true, juniper: false });
});

test('what was changed in the plan of a lesson is no tap: an undo on the pad does not move its day back', () => {
  const { mark, undo, log } = phone();
  mark('p', 'juniper', 'grid', strides(5));
  const at = { atMs: 9000, by: 'desk', from: [], undoes: null };
  const moved = [
    { ...at, id: 'm1', on: 'pass', of: 'p', what: 'time', was: 1000, to: 2000 } as const,
    { ...at, id: 'm2', on: 'lesson', of: 'l', what: 'day', was: 0, to: 1000 } as const,
  ].reduce((known, change) => applyEvent(known, { type: 'change', id: change.id, lessonId: 'l', change }), log());
  const { undo: taps } = tapHistory(moved, GRID);
  expect(taps.map(({ acts }) => acts.map(({ said }) => said.kind))).toEqual([['pass', 'mark']]);
  expect(undo(GRID)).toBe('pass mark');
});

test('of a lesson that is over only what was put right since is taken back, the first of it too', () => {
  const { mark, log } = phone();
  mark('p', 'juniper', 'grid', strides(5));
  mark('p', 'juniper', 'grid', { kind: 'hit', place: 1 });
  mark('p', 'juniper', 'grid', { kind: 'hit', place: 2 });
  // A second each, from the first on.
  const since = (sinceMs: number) => tapHistory(log(), GRID, sinceMs).undo.map(({ acts }) => acts.length);
  expect(since(1000)).toEqual([2, 1, 1]);
  expect(since(1001)).toEqual([1, 1]);
  expect(since(3000)).toEqual([1]);
  expect(since(3001)).toEqual([]);
});

test('a tap that says something of another pair as well is shown at both', () => {
  const { join, log } = phone();
  join('sorrel', 'juniper');
  const at = (passId: string) => tapHistory(log(), { passId }).undo.length;
  expect([tapHistory(log(), 'all').undo.length, at('p')]).toEqual([1, 0]);
});
