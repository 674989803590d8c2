import { useEffect } from 'react';

/** The space bar taps too, wherever no field or button has it. */
export function useSpaceBar(tap: () => void): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const onPage = event.target === document.body || event.target === document.documentElement;
      if (event.code !== 'Space' || event.repeat || !onPage) return;
      event.preventDefault();
      tap();
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  });
}
