import { randomUUID } from 'node:crypto';
import { MarkOnPaper, readKeptEvents, RecordBatch } from './recordEvent';

const tap = () => ({ type: 'acknowledge', id: randomUUID(), lessonId: 'l', atMs: 1 });
const oldUndo = (type: string, of: object) => ({ type, id: randomUUID(), atMs: 7, ...of });

test('what a device kept is read one by one: more than is sent at once, and without what cannot be understood', () => {
  const kept = Array.from({ length: 700 }, tap);
  expect(readKeptEvents(kept)).toEqual(kept);
  expect(readKeptEvents([tap(), { type: 'dance' }, null, tap()])).toHaveLength(2);
  expect(readKeptEvents(null)).toEqual([]);
  expect(readKeptEvents('[]')).toEqual([]);
});

test.each([
  [{ kind: 'strides', place: 1, count: 5 }, true],
  [{ kind: 'strides', place: 0, count: 5 }, false],
  [{ kind: 'strides', place: 1, count: 5.5 }, false],
  [{ kind: 'fence', place: 2, outcome: 'run-out left' }, true],
  [{ kind: 'fence', place: 2, outcome: 'flew' }, false],
  [{ kind: 'quality', value: 5 }, true],
  [{ kind: 'quality', value: 6 }, false],
  [{ kind: 'spot', at: { xM: 12, yM: 30 } }, true],
  [{ kind: 'spot', at: { xM: 12, yM: Number.NaN } }, false],
  [{ kind: 'note', words: '   ' }, false],
  [{ kind: 'gait', ridden: 'pace' }, true],
  [{ kind: 'gait', ridden: 'pace', from: 2 }, true],
  [{ kind: 'gait', ridden: 'pace', fromM: 25, asked: 'running-walk' }, true],
  [{ kind: 'gait', ridden: 'pace', fromM: -1 }, false],
  [{ kind: 'gait', ridden: 'pace', fromM: 25, asked: 'gallop' }, false],
  [{ kind: 'void' }, true],
  [{ kind: 'void', place: 1 }, false],
])('%j can be recorded: %s', (mark, ok) =>
  expect(MarkOnPaper.safeParse({ id: randomUUID(), ...mark }).success).toBe(ok),
);

test('a batch without events is refused, and a ride by itself names no lesson', () => {
  expect(RecordBatch.safeParse({ events: [] }).success).toBe(false);
  expect(RecordBatch.parse({ events: [tap()] }).lessonId).toBeNull();
});

test('an undo that a device kept from an earlier Roan is a change that takes its thing back', () => {
  const [passId, markId, breakId] = [randomUUID(), randomUUID(), randomUUID()];
  const kept = [
    oldUndo('undo-mark', { passId, markId }),
    oldUndo('undo-pass', { passId }),
    oldUndo('undo-break', { breakId }),
  ];
  expect(readKeptEvents(kept)).toMatchObject([
    { type: 'change', change: { on: 'mark', of: markId, what: 'counts', to: false, atMs: 7 } },
    { type: 'change', change: { on: 'pass', of: passId, what: 'counts', to: false } },
    { type: 'change', change: { on: 'break', of: breakId, what: 'counts', to: false } },
  ]);
  const amend = { type: 'amend', id: randomUUID(), passId, rein: 'right', direction: 'other-way' };
  expect(readKeptEvents([amend])).toMatchObject([
    { change: { on: 'pass', of: passId, what: 'way', to: { rein: 'right', direction: 'other-way' } } },
  ]);
});
