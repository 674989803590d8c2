/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useMoreAndMore } from './useMoreAndMore';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('a few are drawn at first, then more and more, and at last all', () => {
  const { result, rerender, unmount } = renderHook(({ all }) => useMoreAndMore(60, all), {
    initialProps: { all: 250 },
  });
  expect(result.current).toBe(60);
  const seen = [result.current];
  while (result.current < 250) {
    act(() => void jest.advanceTimersByTime(1));
    seen.push(result.current);
  }
  expect(seen).toEqual([60, 160, 250]);
  // What is added later is drawn as well; what is short is drawn at once.
  rerender({ all: 255 });
  act(() => void jest.advanceTimersByTime(5));
  expect(result.current).toBe(255);
  rerender({ all: 3 });
  expect(result.current).toBe(3);
  unmount();
});
