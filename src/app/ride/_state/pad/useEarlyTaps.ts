import { useEffect, useLayoutEffect, useRef } from 'react';
import { isTappedAgain, takeEarlyTaps, tapAgain } from './earlyTaps';

/** The keys that may be tapped early. */
const EARLY_KEY = '[data-early]';

/**
 * Does once what was tapped before it could be kept: before the page was alive, and since then until the device's store was read. What
 * the page's first script keeps until then (`EARLY_TAPS`) no key sees: else it would be done twice, and a pole that was chosen left again.
 */
export function useEarlyTaps(ready: boolean): void {
  const early = useRef<ReturnType<typeof takeEarlyTaps>>([]);
  // As soon as the keys are there, not when the page is drawn: what is tapped in between would be kept and done.
  useLayoutEffect(() => {
    if (ready) {
      early.current = takeEarlyTaps();
      return;
    }
    const hold = (event: Event) => {
      if (!isTappedAgain() && event.target instanceof Element && event.target.closest(EARLY_KEY))
        event.stopImmediatePropagation();
    };
    document.addEventListener('click', hold, true);
    return () => document.removeEventListener('click', hold, true);
  }, [ready]);
  useEffect(() => {
    if (ready) void tapAgain(early.current);
  }, [ready]);
}
