import { useSyncExternalStore } from 'react';

/** The hand whose thumb taps. */
export type Hand = 'left' | 'right';

const KEY = 'roan-hand';
const listeners = new Set<() => void>();

function read(): Hand {
  try {
    return localStorage.getItem(KEY) === 'left' ? 'left' : 'right';
  } catch {
    return 'right';
  }
}

/** Said once, and the same on every page of this device. */
export function chooseHand(hand: Hand): void {
  try {
    localStorage.setItem(KEY, hand);
  } catch {
    // Without storage it holds for nothing: keys stay where they are.
  }
  listeners.forEach(listener => listener());
}

export function useHand(): Hand {
  return useSyncExternalStore(
    listener => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    read,
    () => 'right' as const,
  );
}
