import { useSyncExternalStore } from 'react';

const listeners = new Set<() => void>();

/** When the page that is shown was kept on this device; null where it came from the server. Told by the worker that keeps pages. */
export function keptAtMs(): number | null {
  const said = Number(document.documentElement.dataset.keptAt);
  return Number.isFinite(said) && said > 0 ? said : null;
}

/** Says that what is shown is from the server again. */
export function isFromServer(): void {
  if (keptAtMs() === null) return;
  delete document.documentElement.dataset.keptAt;
  listeners.forEach(listener => listener());
}

export function useKeptAt(): number | null {
  return useSyncExternalStore(
    listener => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    keptAtMs,
    () => null,
  );
}
