/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useAnswer } from './useAnswer';

/** A worker that says what it is told to. */
class Hand {
  static all: Hand[] = [];
  onmessage: ((said: { data: unknown }) => void) | null = null;
  onerror: (() => void) | null = null;
  asked: unknown = null;
  isEnded = false;
  constructor() {
    Hand.all.push(this);
  }
  postMessage(asked: unknown) {
    this.asked = asked;
  }
  terminate() {
    this.isEnded = true;
  }
  says(data: unknown) {
    act(() => this.onmessage?.({ data }));
  }
}
type Said = { done?: boolean; best: number };

const open = () => {
  const view = renderHook(() => useAnswer<string, Said>(() => new Hand() as unknown as Worker));
  return {
    ...view,
    now: () => view.result.current,
    does: (what: (it: typeof view.result.current) => void) => act(() => what(view.result.current)),
  };
};

beforeEach(() => void (Hand.all = []));

test('what was said last is held, and the worker ended with the last of it', () => {
  const { now, does } = open();
  does(it => it.ask('this'));
  expect([Hand.all[0]!.asked, now().answer]).toEqual(['this', { kind: 'running', said: null }]);
  Hand.all[0]!.says({ done: false, best: 3 });
  expect(now().answer).toEqual({ kind: 'running', said: { done: false, best: 3 } });
  expect(Hand.all[0]!.isEnded).toBe(false);
  Hand.all[0]!.says({ best: 5 });
  expect(now().answer).toEqual({ kind: 'done', said: { best: 5 } });
  expect(Hand.all[0]!.isEnded).toBe(true);
});

test('asked again, what was under way is dropped and heard no more', () => {
  const { now, does } = open();
  does(it => it.ask('this'));
  does(it => it.ask('that'));
  expect(Hand.all[0]!.isEnded).toBe(true);
  Hand.all[0]!.says({ best: 1 });
  expect(now().answer).toEqual({ kind: 'running', said: null });
  Hand.all[1]!.says({ best: 2 });
  expect(now().answer).toEqual({ kind: 'done', said: { best: 2 } });
});

test('stopped, the best so far stays; where there was none nothing was asked', () => {
  const { now, does } = open();
  does(it => it.ask('this'));
  does(it => it.stop());
  expect(now().answer).toEqual({ kind: 'none' });
  does(it => it.ask('this'));
  Hand.all[1]!.says({ done: false, best: 4 });
  does(it => it.stop());
  expect(now().answer).toEqual({ kind: 'done', said: { done: false, best: 4 } });
  expect(Hand.all.every(({ isEnded }) => isEnded)).toBe(true);
});

test('one that fails says so, and can be asked again; with the page it ends', () => {
  const { now, does, unmount } = open();
  does(it => it.ask('this'));
  act(() => Hand.all[0]!.onerror?.());
  expect(now().answer).toEqual({ kind: 'failed' });
  does(it => it.ask('again'));
  unmount();
  expect(Hand.all[1]!.isEnded).toBe(true);
});
