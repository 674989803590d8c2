import type { PointM, SnapGuide } from '@/core';
import { useEffect, useState, useSyncExternalStore } from 'react';
import type { Shown } from '../_state/shown';
import type { Hand } from './handState';

/** What the hand is told of what it drags. */
export type DragView = { guides: SnapGuide[]; words: string | null; item: string | null; at?: PointM };

/** What a hand makes of a layout: shown, and not made yet. */
export type Made = { shown: Shown; drag: DragView | null };

/** A layout on its way. `made` is reckoned when it is asked for: what moves is reckoned where it is painted. */
export type Live = { hand: Hand; stand: number; made: () => Made | null };

/**
 * What is on its way while something is dragged. It is kept outside the page's state, so that a move of the hand draws anew
 * only what listens here, not the page.
 */
export type LiveStore = {
  get: () => Live | null;
  set: (live: Live | null) => void;
  /** The names of what is painted as moved, a line for each; null while nothing of the kind is painted. */
  moved: () => string | null;
  setMoved: (names: string) => void;
  subscribe: (listener: () => void) => () => void;
};

export function liveStore(): LiveStore {
  let live: Live | null = null;
  let moved: string | null = null;
  const listeners = new Set<() => void>();
  const tellAll = () => listeners.forEach(listener => listener());
  return {
    get: () => live,
    set: next => {
      if (next === live) return;
      live = next;
      if (live === null) moved = null;
      tellAll();
    },
    moved: () => moved,
    setMoved: names => {
      // What comes after the hand let go is late.
      if (live === null || names === moved) return;
      moved = names;
      tellAll();
    },
    subscribe: listener => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}

/** Lets a value be reckoned once, when it is asked for. */
export function whenAsked<Value>(reckon: () => Value): () => Value {
  let known: { value: Value } | null = null;
  return () => (known ??= { value: reckon() }).value;
}

const nothing = () => null;

/** What is on its way, or null while nothing is dragged. */
export function useLive(store: LiveStore): Live | null {
  return useSyncExternalStore(store.subscribe, store.get, nothing);
}

/** Whether anything is: drawn anew only when that changes. */
export function useIsLive(store: LiveStore): boolean {
  return useSyncExternalStore(
    store.subscribe,
    () => store.get() !== null,
    () => false,
  );
}

/** What is painted as moved: drawn anew only when that changes. */
export function useMoved(store: LiveStore): string | null {
  return useSyncExternalStore(store.subscribe, store.moved, nothing);
}

/** How long a hand is still before what it has come to is told, milliseconds. */
const REST_MS = 120;

/** What is on its way, once the hand rests: for what is read and not looked at, which need not keep up with every move. */
export function useRested(store: LiveStore): Made | null {
  const [rested, setRested] = useState<Live | null>(null);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let movedMs = 0;
    let last = store.get();
    // One clock for all moves: a clock set anew with each would cost more than what it saves.
    const look = () => {
      const restedMs = performance.now() - movedMs;
      timer = restedMs < REST_MS ? setTimeout(look, REST_MS - restedMs) : undefined;
      if (timer === undefined) setRested(store.get());
    };
    const stop = store.subscribe(() => {
      if (store.get() === last) return;
      last = store.get();
      movedMs = performance.now();
      if (last === null) setRested(null);
      else timer ??= setTimeout(look, REST_MS);
    });
    return () => {
      stop();
      clearTimeout(timer);
    };
  }, [store]);
  return rested?.made() ?? null;
}
