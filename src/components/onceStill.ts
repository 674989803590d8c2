const LATEST_MS = 4000;
const WITHOUT_MS = 1500;

/**
 * Does something when the page has nothing else to do, once: what is not needed at first does not stand in the way of what is.
 * @returns what gives it up
 */
export function onceStill(act: () => void): () => void {
  // Not every browser tells when it is idle.
  if (typeof requestIdleCallback === 'undefined') {
    const timer = setTimeout(act, WITHOUT_MS);
    return () => clearTimeout(timer);
  }
  const asked = requestIdleCallback(act, { timeout: LATEST_MS });
  return () => cancelIdleCallback(asked);
}
