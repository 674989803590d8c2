import { eventFields, timeTyped, typedTime, withField } from './eventFields';
import { draftWords } from './draftWords';
import { eventWords, saidAtMs } from './eventWords';

const mark = {
  ...{ type: 'mark', id: 'e1', passId: 'p1', atMs: 1000, by: 'Maud' },
  mark: { id: 'm1', kind: 'strides', place: 2, count: 120 },
};

test('what can be mended of an event is its words and numbers, never what ties it to others', () => {
  expect(eventFields(mark).map(({ path }) => path)).toEqual(['atMs', 'by', 'mark.place', 'mark.count']);
  expect(eventFields(null)).toEqual([]);
  expect(eventFields([1])).toEqual([]);
});

test('a mended number stays a number, and what is none changes nothing', () => {
  expect(withField(mark, 'mark.count', '12').mark.count).toBe(12);
  for (const typed of ['', 'many', 'NaN']) expect(withField(mark, 'mark.count', typed)).toEqual(mark);
  expect(withField(mark, 'by', 'Ode').by).toBe('Ode');
  expect(mark.mark.count).toBe(120);
});

test('what waits is told in words, also what this Roan does not know', () => {
  expect(eventWords(mark)).toBe('120 strides, at 2');
  expect(eventWords({ piece: 'a', place: '', ticked: true, tappedAtMs: 5 })).toBe('a piece that stands');
  for (const strange of [null, 7, {}, { type: 'dance' }, { type: 'mark' }])
    expect(eventWords(strange)).toBe('something that cannot be read');
  expect(saidAtMs(mark)).toBe(1000);
  expect(saidAtMs({ piece: 'a', tappedAtMs: 5 })).toBe(5);
  expect(saidAtMs(null)).toBeNull();
});

test('a time is typed as a day and a time, and is what it was', () => {
  const ms = new Date(2026, 4, 3, 9, 30, 5).getTime();
  expect(typedTime(ms)).toBe('2026-05-03T09:30:05');
  expect(timeTyped(typedTime(ms))).toBe(String(ms));
  expect(typedTime(NaN)).toBe('');
  expect(timeTyped('soon')).toBe('');
});

test('what is typed and not saved is told by what it is of, with where it is gone on with', () => {
  expect(draftWords('layout l1')).toEqual({ words: 'A layout that is planned', href: '/plan/l1' });
  expect(draftWords('lesson new').href).toBe('/ride/lessons/new');
  expect(draftWords('measured l1 7').href).toBe('/set/l1');
  expect(draftWords('stride-test h1').href).toBe('/yard/horses/h1/test');
  expect(draftWords('song').href).toBeNull();
});
