import { useEffect, useRef } from 'react';
import type { PadKey } from './padKeys';

type Letters = {
  keys: readonly PadKey[];
  onKey: (key: PadKey) => void;
  onStride: () => void;
  onStep: (by: 1 | -1) => void;
  onNumber: (number: number) => void;
};

/** Where something is typed or a key of the page is pressed, letters are its own. */
const OWN = 'input, textarea, select, [contenteditable="true"], dialog, [role="dialog"]';

/** The pad with a keyboard: space for a stride, arrows and numbers for where one is, a letter for each key. */
export function usePadLetters(listens: boolean, letters: Letters): void {
  const latest = useRef(letters);
  useEffect(() => {
    latest.current = letters;
  });
  useEffect(() => {
    if (!listens) return;
    const hear = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const target = event.target as Element | null;
      if (target?.closest(OWN)) return;
      if (act(latest.current, event.key, target?.closest('button, a, summary') !== null)) event.preventDefault();
    };
    document.addEventListener('keydown', hear);
    return () => document.removeEventListener('keydown', hear);
  }, [listens]);
}

/** @returns whether it was a key of the pad */
function act({ keys, ...on }: Letters, pressed: string, isOnKey: boolean): boolean {
  // The space bar presses the key that has the focus, as everywhere.
  if (pressed === ' ' && !isOnKey) on.onStride();
  else if (pressed === 'ArrowRight') on.onStep(1);
  else if (pressed === 'ArrowLeft') on.onStep(-1);
  else if (/^[1-9]$/.test(pressed)) on.onNumber(Number(pressed));
  else {
    const key = keys.find(({ letter }) => letter === pressed);
    if (!key) return false;
    on.onKey(key);
  }
  return true;
}
