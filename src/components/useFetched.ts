import { useEffect, useState } from 'react';
import { onceStill } from './onceStill';

const AGAIN_MS = 3000;

/**
 * What a page needs only in some cases: fetched when the page is still, or at once where it is needed, and asked for again as long as
 * it does not come.
 * @param load - one function for all pages of its kind
 */
export function useFetched<Value extends object>(load: () => Promise<Value>, isNeeded: boolean) {
  // In an object: what is fetched may be a function.
  const [fetched, setFetched] = useState<{ value: Value | null }>({ value: null });
  const [isMissing, setMissing] = useState(false);
  const isThere = fetched.value !== null;
  useEffect(() => {
    if (isThere) return;
    let isWanted = true;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const fetchIt = () =>
      void load().then(
        value => isWanted && setFetched({ value }),
        () => {
          if (!isWanted) return;
          setMissing(true);
          timer = setTimeout(fetchIt, AGAIN_MS);
        },
      );
    const forget = isNeeded ? void fetchIt() : onceStill(fetchIt);
    return () => {
      isWanted = false;
      clearTimeout(timer);
      forget?.();
    };
  }, [load, isNeeded, isThere]);
  return { value: fetched.value, isMissing };
}
