import { useSyncExternalStore } from 'react';
import { newId } from '../newId';

const WHO = 'roan-who';
const DEVICE = 'roan-device';
const listeners = new Set<() => void>();

/**
 * Who records on this device: the name that was chosen here, else what the device calls itself. A device without a store of
 * its own is another one after each visit.
 */
export function whoSays(): string {
  return stored(WHO) ?? deviceName();
}

function deviceName(): string {
  const before = stored(DEVICE);
  if (before !== null) return before;
  const name = `device ${newId().slice(0, 4)}`;
  keep(DEVICE, name);
  return name;
}

/** The name that was chosen on this device; null where none was. */
export function useWho(): string | null {
  return useSyncExternalStore(
    subscribe,
    () => stored(WHO),
    () => null,
  );
}

/** Who records on this device, for what is shown: null until the page is alive, since the server does not know. */
export function useWhoSays(): string | null {
  return useSyncExternalStore(subscribe, whoSays, () => null);
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Lets this device record for somebody; null for nobody. */
export function chooseWho(name: string | null): void {
  keep(WHO, name);
  listeners.forEach(listener => listener());
}

/** What holds as long as the page, where the device has no store. */
const here = new Map<string, string>();

function stored(key: string): string | null {
  try {
    return localStorage.getItem(key) ?? here.get(key) ?? null;
  } catch {
    return here.get(key) ?? null;
  }
}

function keep(key: string, value: string | null): void {
  if (value === null) here.delete(key);
  else here.set(key, value);
  try {
    if (value === null) localStorage.removeItem(key);
    else localStorage.setItem(key, value);
  } catch {
    // Without a store it holds as long as the page.
  }
}
