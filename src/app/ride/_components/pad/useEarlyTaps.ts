import { useEffect } from 'react';
import { takeEarlyTaps, tapAgain } from './earlyTaps';

/** Does once what was tapped before the page was alive, as soon as it can be kept. */
export function useEarlyTaps(ready: boolean): void {
  useEffect(() => {
    if (ready) void tapAgain(takeEarlyTaps());
  }, [ready]);
}
