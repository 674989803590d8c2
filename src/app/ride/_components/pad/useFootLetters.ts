import { useEffect, useRef } from 'react';

type FootLetters = { onDone: () => void; onUndo: () => void; onNextPair?: () => void; onRein?: () => void };

const OWN = 'input, textarea, select, [contenteditable="true"], [role="dialog"]';

/** The foot with a keyboard: enter ends the pass, z undoes, n is the next pair, c changes the rein. */
export function useFootLetters(listens: boolean, letters: FootLetters): void {
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
      const { onDone, onUndo, onNextPair, onRein } = latest.current;
      // Enter presses the key that has the focus, as everywhere.
      if (event.key === 'Enter' && !target?.closest('button, a, summary')) onDone();
      else if (event.key === 'z') onUndo();
      else if (event.key === 'n' && onNextPair) onNextPair();
      else if (event.key === 'c' && onRein) onRein();
      else return;
      event.preventDefault();
    };
    document.addEventListener('keydown', hear);
    return () => document.removeEventListener('keydown', hear);
  }, [listens]);
}
