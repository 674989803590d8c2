import { useEffect, useRef } from 'react';

/**
 * Gives the focus back to what opened something that lies over the page, once it is gone: to the key, or to the key of the menu
 * that it was chosen from.
 */
export function useFocusGivenBack(): void {
  const opener = useRef<HTMLElement | null>(null);
  useEffect(() => {
    const given = opener.current;
    return () => {
      // What closes it may give the focus on by itself.
      requestAnimationFrame(() => {
        if (document.activeElement !== null && document.activeElement !== document.body) return;
        given?.focus();
      });
    };
  }, []);
  // Read as it is made: once it is there it has the focus itself.
  // eslint-disable-next-line react-hooks/refs
  if (opener.current === null && typeof document !== 'undefined') opener.current = openerOf(document.activeElement);
}

function openerOf(focused: Element | null): HTMLElement | null {
  const menu = focused?.closest('[role="menu"]')?.getAttribute('aria-labelledby');
  const key = menu ? document.getElementById(menu) : focused;
  return key instanceof HTMLElement && key !== document.body ? key : null;
}
