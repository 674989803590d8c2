import type { SnapGuide } from '@/core';
import { useEffect, useState, useSyncExternalStore } from 'react';
import type { Shown } from './usePlanEditor';

/** What the hand is told of what it drags. */
export type DragView = { guides: SnapGuide[]; words: string | null; item: string };

/** A layout on its way: shown, and not made yet. */
export type Live = { shown: Shown; drag: DragView | null };

/**
 * What is shown while something is dragged. It is kept outside the page's state, so that a move of the hand draws anew only
 * what listens here: the moving part of the sand and the ribbon, not the page.
 */
export type LiveStore = {
  get: () => Live | null;
  set: (live: Live | null) => void;
  subscribe: (listener: () => void) => () => void;
};

export function liveStore(): LiveStore {
  let live: Live | null = null;
  const listeners = new Set<() => void>();
  return {
    get: () => live,
    set: next => {
      if (next === live) return;
      live = next;
      listeners.forEach(listener => listener());
    },
    subscribe: listener => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}

const nothing = () => null;

/** What is on its way, or null while nothing is dragged. */
export function useLive(store: LiveStore): Live | null {
  return useSyncExternalStore(store.subscribe, store.get, nothing);
}

/** What is read of it: drawn anew only when that changes, so it has to be the very same while nothing did. */
export function useLiveValue<Value>(store: LiveStore, read: (live: Live | null) => Value): Value {
  return useSyncExternalStore(
    store.subscribe,
    () => read(store.get()),
    () => read(null),
  );
}

/** How long a hand is still before what it has come to is told, milliseconds. */
const REST_MS = 120;

/** What is on its way, once the hand rests: for what is read and not looked at, which need not keep up with every move. */
export function useRested(store: LiveStore): Live | null {
  const [rested, setRested] = useState<Live | null>(null);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let movedMs = 0;
    // One clock for all moves: a clock set anew with each would cost more than what it saves.
    const look = () => {
      const restedMs = performance.now() - movedMs;
      timer = restedMs < REST_MS ? setTimeout(look, REST_MS - restedMs) : undefined;
      if (timer === undefined) setRested(store.get());
    };
    const stop = store.subscribe(() => {
      movedMs = performance.now();
      if (store.get() === null) setRested(null);
      else timer ??= setTimeout(look, REST_MS);
    });
    return () => {
      stop();
      clearTimeout(timer);
    };
  }, [store]);
  return rested;
}
