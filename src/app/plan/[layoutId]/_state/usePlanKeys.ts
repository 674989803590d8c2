import { useLatest } from '@/components/useLatest';
import { useEffect } from 'react';
import { arrowWay, type PlanLetter } from './planKeys';

export type KeyDeeds = {
  undo: () => void;
  redo: () => void;
  /** By so many steps of paper to the right and down. */
  move: (way: { x: number; y: number }, event: KeyboardEvent) => void;
  pan: (way: { x: number; y: number }) => void;
  turn: (leftwards: boolean, event: KeyboardEvent) => void;
  letGo: () => void;
  remove: () => void;
  letters: Record<PlanLetter, () => void>;
};

/** Keys belong to what is typed into, and to what lies over the page; a switch or a choice takes arrows and the space bar alone. */
function isElsewhere({ target, key }: KeyboardEvent): boolean {
  if (!(target instanceof Element)) return false;
  if (target.matches('input[type=radio], input[type=checkbox]')) return key === ' ' || arrowWay(key) !== null;
  return (
    target.closest('input, textarea, select, [contenteditable], [role=dialog], [role=listbox], [role=menu]') !== null
  );
}

/** Listens to the keys of the plan wherever the focus is on its page. */
export function usePlanKeys(deeds: KeyDeeds): void {
  const latest = useLatest(deeds);
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (isElsewhere(event) || event.defaultPrevented) return;
      if (perform(latest.current, event)) event.preventDefault();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [latest]);
}

/** Does what a key says; whether it said anything. */
function perform(deeds: KeyDeeds, event: KeyboardEvent): boolean {
  const { key, shiftKey } = event;
  const command = event.ctrlKey || event.metaKey;
  const arrow = arrowWay(key);
  if (command && arrow) return done(() => deeds.pan(arrow));
  if (command && key.toLowerCase() === 'z') return done(shiftKey ? deeds.redo : deeds.undo);
  if (command && key.toLowerCase() === 'y') return done(deeds.redo);
  if (command) return false;
  if (arrow) return done(() => deeds.move(arrow, event));
  if (key === ',' || key === '.' || key === '≤' || key === '≥')
    return done(() => deeds.turn(key === ',' || key === '≤', event));
  if (key === 'Escape') return done(deeds.letGo);
  if (key === 'Delete' || key === 'Backspace') return done(deeds.remove);
  const letters: Partial<Record<string, () => void>> = deeds.letters;
  const letter = event.altKey || shiftKey ? undefined : letters[key];
  return letter ? done(letter) : false;
}

function done(deed: () => void): true {
  deed();
  return true;
}
