import { useEffect, useRef } from 'react';
import { draftLeft, dropDraft, keepDraft, tabId } from './drafts';

/**
 * Keeps what is typed on this device for this tab until it is saved, and brings back what was left when the page was closed.
 * @param value - what is typed; null while it is nothing that is worth keeping
 * @param bringBack - called once with what was left, or with null where nothing was
 */
export function useDraft(name: string, value: unknown, bringBack: (left: unknown) => void): void {
  const latest = useRef(bringBack);
  useEffect(() => {
    latest.current = bringBack;
  });
  /** Before it was looked what is left, nothing is written over it. */
  const hasLooked = useRef<string | null>(null);
  useEffect(() => {
    let isGone = false;
    void draftLeft(name).then(left => {
      if (isGone) return;
      hasLooked.current = name;
      if (left && left.tab !== tabId()) dropDraft(name, left.tab);
      latest.current(left?.value ?? null);
    });
    return () => {
      isGone = true;
    };
  }, [name]);
  const text = value === null ? null : JSON.stringify(value);
  useEffect(() => {
    if (text !== null) keepDraft(name, JSON.parse(text));
    else if (hasLooked.current === name) dropDraft(name);
  }, [name, text]);
}
