/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useCountedSteps } from './useCountedSteps';

afterEach(() => {
  jest.useRealTimers();
  window.history.replaceState(null, '', '/');
});

test('taps count whole and half steps, and never less than none', () => {
  const { result } = renderHook(() => useCountedSteps());
  act(() => result.current.add(1));
  act(() => result.current.add(0.5));
  expect(result.current.steps).toBe(1.5);
  act(() => result.current.add(-1));
  act(() => result.current.add(-1));
  expect(result.current.steps).toBe(0);
});

test('the simulated walk takes two steps a second until it is stopped', async () => {
  jest.useFakeTimers();
  window.history.replaceState(null, '', '/?motion=simulated');
  const { result } = renderHook(() => useCountedSteps());
  await act(() => result.current.listen());
  expect(result.current.listening).toBe(true);
  act(() => jest.advanceTimersByTime(5000));
  expect(Math.abs(result.current.steps - 10)).toBeLessThanOrEqual(1);
  act(() => result.current.stop());
  const before = result.current.steps;
  act(() => jest.advanceTimersByTime(3000));
  expect(result.current.steps).toBe(before);
});

test('a device without a sensor says so, and taps count still', async () => {
  const { result } = renderHook(() => useCountedSteps());
  await act(() => result.current.listen());
  expect(result.current.listening).toBe(false);
  expect(result.current.problem).toMatch(/tap a step instead/);
  act(() => result.current.add(1));
  expect(result.current.steps).toBe(1);
});
