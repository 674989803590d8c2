import { useEffect, useLayoutEffect } from 'react';
import { isTappedAgain, takeEarlyTaps, tapAgain } from './earlyTaps';

/** The keys that may be tapped early. */
const EARLY_KEY = '[data-early]';

/**
 * Does once what was tapped before it could be kept: before the page was alive, and since then until the device's store was read. What
 * the page's first script keeps until then (`EARLY_TAPS`) no key sees: else it would be done twice, and a pole that was chosen left again.
 */
export function useEarlyTaps(ready: boolean): void {
  useLayoutEffect(() => {
    if (ready) return;
    const hold = (event: Event) => {
      if (!isTappedAgain() && event.target instanceof Element && event.target.closest(EARLY_KEY))
        event.stopImmediatePropagation();
    };
    document.addEventListener('click', hold, true);
    return () => document.removeEventListener('click', hold, true);
  }, [ready]);
  useEffect(() => {
    if (ready) void tapAgain(takeEarlyTaps());
  }, [ready]);
}
