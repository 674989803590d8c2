/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { changedWords, useSetup } from './useSetup';

const refresh = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));

const stage = (versionId: string | null, layoutName: string | null) => ({ versionId, layoutName });

test('what was changed is named once, however many stages ride it', () => {
  const before = [stage(null, null), stage('v1', 'The bend'), stage('v1', 'The bend'), stage('w1', 'The line')];
  expect(changedWords(before, before)).toBeNull();
  expect(
    changedWords(before, [
      stage(null, null),
      stage('v2', 'The bend'),
      stage('v2', 'The bend'),
      stage('w1', 'The line'),
    ]),
  ).toBe('“The bend” was changed just now: from the next pass on it is ridden as it stands now.');
  expect(changedWords(before, [stage('v2', 'The bend'), stage('w2', 'The line')])).toContain(
    '“The bend” and “The line” were changed',
  );
});

test('a stage that was taken out changes nothing that is ridden', () => {
  expect(changedWords([stage('v1', 'The bend'), stage('w1', 'The line')], [stage('v1', 'The bend')])).toBeNull();
});

test('another setup is asked for once, and again where it did not come', () => {
  jest.useFakeTimers();
  const first = { setup: 'a', stages: [stage('v1', 'The bend')] };
  const { result, rerender } = renderHook(seen => useSetup(seen), { initialProps: first });
  const told = (setup: string) => act(() => result.current.onSetup(setup));
  told('a');
  expect(refresh).not.toHaveBeenCalled();
  told('b');
  jest.advanceTimersByTime(4000);
  told('b');
  expect(refresh).toHaveBeenCalledTimes(1);
  // It was lost on the way.
  jest.advanceTimersByTime(8000);
  told('b');
  expect(refresh).toHaveBeenCalledTimes(2);
  rerender({ setup: 'b', stages: [stage('v2', 'The bend')] });
  expect(result.current.notice).toContain('“The bend” was changed just now');
  told('b');
  expect(refresh).toHaveBeenCalledTimes(2);
  // What came with the old setup is said as soon as the new one comes.
  rerender({ setup: 'b', stages: [stage('v3', 'The bend')] });
  act(() => result.current.onRead());
  rerender({ setup: 'c', stages: [stage('v3', 'The bend')] });
  expect(result.current.notice).toContain('was changed just now');
  jest.useRealTimers();
});
