import { useEffect, useLayoutEffect, useRef } from 'react';
import { keepEarlyTaps, takeEarlyTaps, tapAgain } from './earlyTaps';

/**
 * Does once what was tapped before it could be kept: before the page was alive, and since then until the device's store was read. What
 * the page's first script keeps until then (`EARLY_TAPS`) no key sees: else it would be done twice, and a pole that was chosen left again.
 * @returns what whatever holds the keys bears
 */
export function useEarlyTaps(ready: boolean): { 'data-early-taps': '' } {
  const early = useRef<ReturnType<typeof takeEarlyTaps>>([]);
  // As soon as the keys are there, not when the page is drawn: what is tapped in between would be kept and done.
  useLayoutEffect(() => {
    if (ready) early.current = takeEarlyTaps();
    else keepEarlyTaps();
  }, [ready]);
  useEffect(() => {
    if (ready) void tapAgain(early.current);
  }, [ready]);
  return { 'data-early-taps': '' };
}
