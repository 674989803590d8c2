/** A page that is there comes alive first: so long after it was loaded nothing else is begun. */
const ALIVE_AFTER_MS = 2500;
/** Not every page is ever idle. */
const LATEST_MS = 4000;

/**
 * Does something when the page is loaded, alive and has nothing else to do, once: what is not needed at first does not stand in the way
 * of what is.
 * @returns what gives it up
 */
export function onceStill(act: () => void): () => void {
  let giveUp: () => void = () => {};
  const whenIdle = () => {
    // Not every browser tells when it is idle.
    if (typeof requestIdleCallback === 'undefined') return act();
    const asked = requestIdleCallback(act, { timeout: LATEST_MS });
    giveUp = () => cancelIdleCallback(asked);
  };
  const whenAlive = () => {
    const timer = setTimeout(whenIdle, ALIVE_AFTER_MS);
    giveUp = () => clearTimeout(timer);
  };
  if (document.readyState === 'complete') whenAlive();
  else {
    window.addEventListener('load', whenAlive, { once: true });
    giveUp = () => window.removeEventListener('load', whenAlive);
  }
  return () => giveUp();
}
