/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useFilmMarks } from './useFilmMarks';
import { useStills } from './useStills';

const add = jest.fn();
const undo = jest.fn();
jest.mock('../actions', () => ({
  addFilmMarkAction: (...sent: unknown[]) => add(...sent) as unknown,
  undoFilmMarkAction: (...sent: unknown[]) => undo(...sent) as unknown,
}));

beforeEach(() => {
  add.mockReset();
  undo.mockReset();
});

test('what is seen stands there at once, in the order of the film, and goes with its time to the server', async () => {
  add.mockResolvedValue({ ok: true });
  const { result } = renderHook(() => useFilmMarks('film', []));
  await act(() => result.current.add(8, { kind: 'break' }));
  await act(() => result.current.add(2, { kind: 'gait', ridden: 'trot' }));
  expect(result.current.marks.map(({ atS, kind }) => [atS, kind])).toEqual([
    [2, 'gait'],
    [8, 'break'],
  ]);
  expect(add.mock.calls[1]).toEqual([
    'film',
    { id: result.current.marks[0]!.id, atS: 2, mark: { kind: 'gait', ridden: 'trot' } },
  ]);
  expect(result.current.said).toBeNull();
});

test('what the server does not keep is taken out again, and said', async () => {
  add.mockRejectedValue(new Error('no connection'));
  const { result } = renderHook(() => useFilmMarks('film', []));
  await act(() => result.current.add(1, { kind: 'break' }));
  expect([result.current.marks, result.current.said?.ok]).toEqual([[], false]);
  expect(result.current.said?.words).toContain('does not answer');
});

test('a mark is taken back once the server has taken it back', async () => {
  const mark = { id: 'one', atS: 3, kind: 'break' } as const;
  const { result } = renderHook(() => useFilmMarks('film', [mark]));
  undo.mockResolvedValueOnce({ ok: false, problem: 'This is not there any more.' });
  await act(() => result.current.undo(mark));
  expect([result.current.marks.length, result.current.said?.words]).toEqual([1, 'This is not there any more.']);
  undo.mockResolvedValueOnce({ ok: true });
  await act(() => result.current.undo(mark));
  expect(result.current.marks).toEqual([]);
});

test('a picture is kept where the film stands; what is refused is said and kept nowhere', async () => {
  const refused = { problem: 'At most 40 pictures.' };
  const answers = [{ ok: true }, { ok: false, json: () => Promise.resolve(refused) }];
  const asked = jest.fn((_address: string) => Promise.resolve(answers.shift()));
  globalThis.fetch = asked as never;
  const told: unknown[] = [];
  const send = async (task: () => Promise<{ ok: boolean }>) => {
    const answer = await task();
    told.push(answer);
    return answer.ok;
  };
  const { result } = renderHook(() => useStills('film', [], send));
  await act(() => result.current.keep(() => Promise.resolve(new Blob(['jpeg'])), 4.5));
  expect(result.current.stills).toMatchObject([{ atS: 4.5 }]);
  expect(asked.mock.calls[0]![0]).toMatch(/^\/api\/videos\/film\/stills\?id=[0-9a-f-]{36}&at=4\.5$/);
  await act(() => result.current.keep(() => Promise.resolve(new Blob(['jpeg'])), 5));
  await act(() => result.current.keep(() => Promise.resolve(null), 6));
  expect(result.current.stills).toHaveLength(1);
  expect(told.slice(1)).toEqual([
    { ok: false, problem: 'At most 40 pictures.' },
    { ok: false, problem: 'This browser does not give the picture away.' },
  ]);
});
