import { useEffect } from 'react';

/** Keeps the screen on while the page is looked at, where the browser can and the battery lets it. */
export function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let isGone = false;
    const hold = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        const held = await navigator.wakeLock.request('screen');
        if (isGone) await held.release();
        else lock = held;
      } catch {
        // A low battery refuses it: then the screen goes dark as it always did.
      }
    };
    void hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      isGone = true;
      document.removeEventListener('visibilitychange', hold);
      lock?.release().catch(() => undefined);
    };
  }, []);
}
