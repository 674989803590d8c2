import { useMemo, useSyncExternalStore } from 'react';

/** What was seen and closed in a lesson, in this tab; kept in the page alone where the browser keeps nothing. */
const inPage = new Map<string, string>();
const listeners = new Set<() => void>();
const keyOf = (lessonId: string) => `roan-seen ${lessonId}`;

function read(lessonId: string): string {
  try {
    return sessionStorage.getItem(keyOf(lessonId)) ?? inPage.get(lessonId) ?? '[]';
  } catch {
    return inPage.get(lessonId) ?? '[]';
  }
}

function parsed(text: string): readonly string[] {
  try {
    const kept: unknown = JSON.parse(text);
    return Array.isArray(kept) ? kept.filter((one): one is string => typeof one === 'string') : [];
  } catch {
    return [];
  }
}

/** What a limit is of, without its numbers, which rise: it is said once. */
export const limitKind = (pairId: string, warning: string) => `${pairId} ${warning.replace(/[\d.,]+/g, '#')}`;

export function saySeen(lessonId: string, kinds: readonly string[]): void {
  const text = JSON.stringify([...parsed(read(lessonId)), ...kinds]);
  inPage.set(lessonId, text);
  try {
    sessionStorage.setItem(keyOf(lessonId), text);
  } catch {
    // Without storage it is said once more after a reload.
  }
  listeners.forEach(listener => listener());
}

/** What was seen in a lesson; null before the browser is asked. */
export function useSeen(lessonId: string): readonly string[] | null {
  const text = useSyncExternalStore<string | null>(
    listener => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => read(lessonId),
    () => null,
  );
  return useMemo(() => (text === null ? null : parsed(text)), [text]);
}
