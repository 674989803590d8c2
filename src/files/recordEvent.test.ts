import { randomUUID } from 'node:crypto';
import { MarkOnPaper, readKeptEvents, RecordBatch } from './recordEvent';

const tap = () => ({ type: 'undo-pass', id: randomUUID(), passId: randomUUID(), atMs: 1 });

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
  [{ kind: 'void' }, true],
  [{ kind: 'void', place: 1 }, false],
])('%j can be recorded: %s', (mark, ok) =>
  expect(MarkOnPaper.safeParse({ id: randomUUID(), ...mark }).success).toBe(ok),
);

test('a batch without events is refused, and a ride by itself names no lesson', () => {
  expect(RecordBatch.safeParse({ events: [] }).success).toBe(false);
  expect(RecordBatch.parse({ events: [tap()] }).lessonId).toBeNull();
});
