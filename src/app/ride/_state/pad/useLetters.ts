import { useEffect, useRef } from 'react';

/** Where something is typed, and in a sheet over the pad, letters are its own. */
const OWN = 'input, textarea, select, [contenteditable="true"], dialog, [role="dialog"]';

/**
 * Hears a keyboard while the page is open.
 * @param act - what a pressed key does, and whether a key of the page has the focus, which then presses as everywhere; true where it
 *   did something
 */
export function useLetters(listens: boolean, act: (pressed: string, isOnKey: boolean) => boolean): void {
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  useEffect(() => {
    if (!listens) return;
    const hear = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const target = event.target as Element | null;
      if (target?.closest(OWN)) return;
      const isOnKey = (target?.closest('button, a, summary') ?? null) !== null;
      if (latest.current(event.key, isOnKey)) event.preventDefault();
    };
    document.addEventListener('keydown', hear);
    return () => document.removeEventListener('keydown', hear);
  }, [listens]);
}
