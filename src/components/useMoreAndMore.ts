import { startTransition, useEffect, useState } from 'react';

/** So many more each time: a phone draws them between two frames. */
const MORE = 100;

/**
 * How many things of a long list are drawn: a few at first, and the others once the page is there, some at a time. What nobody can see
 * yet keeps neither the server nor the device from answering.
 */
export function useMoreAndMore(first: number, all: number): number {
  const [shown, setShown] = useState(first);
  useEffect(() => {
    if (shown >= all) return;
    const timer = setTimeout(() => startTransition(() => setShown(before => before + MORE)), 0);
    return () => clearTimeout(timer);
  }, [shown, all]);
  return Math.min(shown, all);
}
