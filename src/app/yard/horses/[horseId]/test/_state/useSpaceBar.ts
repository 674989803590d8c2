import { useLatest } from '@/components/useLatest';
import { useEffect } from 'react';

/** The space bar taps too, unless a field is typed in, or somebody goes from key to key with the keyboard. */
export function useSpaceBar(tap: () => void): void {
  const latest = useLatest(tap);
  useEffect(() => {
    // What was only clicked keeps the focus, and would take the bar; what the keyboard was brought to wants it.
    let byKeyboard = false;
    const point = () => (byKeyboard = false);
    const press = (event: KeyboardEvent) => {
      if (event.code === 'Tab' || event.code.startsWith('Arrow')) byKeyboard = true;
      if (event.code !== 'Space' || wantsSpace(event.target, byKeyboard)) return;
      event.preventDefault();
      if (!event.repeat) latest.current();
    };
    // A button that has the focus is pressed when the bar comes up.
    const release = (event: KeyboardEvent) => {
      if (event.code === 'Space' && !wantsSpace(event.target, byKeyboard)) event.preventDefault();
    };
    document.addEventListener('pointerdown', point, true);
    document.addEventListener('keydown', press);
    document.addEventListener('keyup', release);
    return () => {
      document.removeEventListener('pointerdown', point, true);
      document.removeEventListener('keydown', press);
      document.removeEventListener('keyup', release);
    };
  }, [latest]);
}

const TYPED_IN = 'textarea, select, [contenteditable], input:not([type="radio"], [type="checkbox"], [type="button"])';
const PRESSED = 'button, a, input, [role="button"], [role="option"]';

function wantsSpace(target: EventTarget | null, byKeyboard: boolean): boolean {
  if (!(target instanceof Element)) return false;
  const isOpen = target.closest('[role="dialog"], [role="listbox"]') !== null;
  return isOpen || target.matches(TYPED_IN) || (byKeyboard && target.matches(PRESSED));
}
