/** @jest-environment jsdom */
import type { FormOutcome } from '@/files/formOutcome';
import { act as settle, renderHook } from '@testing-library/react';
import { useAct } from './useAct';

const NO_ANSWER = 'The server does not answer: the goal is as it was.';

function key() {
  const { result } = renderHook(() => useAct(NO_ANSWER));
  const press = async (send: () => Promise<FormOutcome<{ lessonId: string }>>) => {
    const then = jest.fn();
    await settle(async () => result.current.act(send, then));
    return then;
  };
  return { result, press };
}

test('what was done is gone on with', async () => {
  const { result, press } = key();
  const then = await press(async () => ({ ok: true, lessonId: 'l1' }));
  expect(then).toHaveBeenCalledWith({ ok: true, lessonId: 'l1' });
  expect(result.current).toMatchObject({ busy: false, problem: null });
});

test('a refusal is said in its own words, and what follows is not done', async () => {
  const { result, press } = key();
  const then = await press(async () => ({ ok: false, fields: {}, problem: 'This lesson is not there any more.' }));
  expect(then).not.toHaveBeenCalled();
  expect(result.current.problem).toBe('This lesson is not there any more.');
});

test('no answer says what is safe; what was wrong before is gone once it was done', async () => {
  const { result, press } = key();
  await press(async () => {
    throw new Error('offline');
  });
  expect(result.current.problem).toBe(NO_ANSWER);
  await press(async () => ({ ok: true, lessonId: 'l1' }));
  expect(result.current.problem).toBeNull();
});

test('while it is on its way the key is busy', async () => {
  const { result } = renderHook(() => useAct(NO_ANSWER));
  let answer: (outcome: FormOutcome) => void = () => undefined;
  settle(() => result.current.act(() => new Promise<FormOutcome>(resolve => (answer = resolve))));
  expect(result.current.busy).toBe(true);
  await settle(async () => answer({ ok: true }));
  expect(result.current.busy).toBe(false);
});
