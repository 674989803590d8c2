/** @jest-environment jsdom */
import type { FormOutcome } from '@/files/formOutcome';
import { act, renderHook } from '@testing-library/react';
import { useLastSaved } from './useLastSaved';

/** A server that answers when it is told to. */
function slowServer() {
  const sent: number[] = [];
  const answers: ((outcome: FormOutcome | null) => void)[] = [];
  const send = (value: number) =>
    new Promise<FormOutcome>((resolve, reject) => {
      sent.push(value);
      answers.push(outcome => (outcome ? resolve(outcome) : reject(new Error('offline'))));
    });
  const { result } = renderHook(() => useLastSaved(send, 'The server did not answer.'));
  const answer = (outcome: FormOutcome | null) => act(async () => answers.shift()!(outcome));
  return { sent, result, answer, save: (value: number) => act(() => result.current.save(value)) };
}

test('of what waits only the last is sent, after the one that is on its way', async () => {
  const { sent, result, answer, save } = slowServer();
  [1, 2, 3, 4].forEach(save);
  expect(sent).toEqual([1]);
  expect(result.current.state).toBe('saving');
  await answer({ ok: true });
  expect(sent).toEqual([1, 4]);
  expect(result.current.state).toBe('saving');
  await answer({ ok: true });
  expect(result.current).toMatchObject({ state: 'saved', problem: null });
  save(5);
  expect(sent).toEqual([1, 4, 5]);
});

test('what was not kept is said, and is not called saved; the next that is kept takes it back', async () => {
  const { result, answer, save } = slowServer();
  save(1);
  await answer(null);
  expect(result.current).toMatchObject({ state: 'as it was', problem: 'The server did not answer.' });
  save(2);
  await answer({ ok: false, fields: {}, problem: 'This arena is not in the yard any more.' });
  expect(result.current.problem).toBe('This arena is not in the yard any more.');
  save(3);
  await answer({ ok: true });
  expect(result.current).toMatchObject({ state: 'saved', problem: null });
});
