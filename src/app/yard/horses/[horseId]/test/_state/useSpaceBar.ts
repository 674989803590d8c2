import { useEffect } from 'react';

/** The space bar taps too, unless a field is typed in, or somebody goes from key to key with the keyboard. */
export function useSpaceBar(tap: () => void): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.code !== 'Space' || event.repeat || wantsSpace(event.target)) return;
      event.preventDefault();
      tap();
    };
    // What was only clicked keeps the focus, and would take the bar when it comes up.
    const release = (event: KeyboardEvent) => {
      if (event.code === 'Space' && !wantsSpace(event.target)) event.preventDefault();
    };
    document.addEventListener('keydown', press);
    document.addEventListener('keyup', release);
    return () => {
      document.removeEventListener('keydown', press);
      document.removeEventListener('keyup', release);
    };
  }, [tap]);
}

const TYPED_IN = 'textarea, select, [contenteditable], input:not([type="radio"], [type="checkbox"], [type="button"])';

/** A field that is typed in, or what the keyboard was brought to: there the bar means something else. */
function wantsSpace(target: EventTarget | null): boolean {
  if (!(target instanceof Element)) return false;
  return (
    target.matches(TYPED_IN) ||
    target.closest('[role="dialog"], [role="listbox"]') !== null ||
    target.matches(':focus-visible')
  );
}
