'use client';

import { KEEP } from '@/files/keptPages';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { isFromServer, useKeptAt } from './useKeptAt';

/** A newer Roan is looked for so often while a page is open. */
const LOOK_FOR_NEWER_MS = 15 * 60_000;
/** The server is looked for so often while a kept page is shown. */
const LOOK_AGAIN_MS = 8000;

/**
 * Has this device keep the pages of the day, where it may: over HTTPS. Where a kept page is shown it is asked for anew as soon as
 * the server can be reached.
 * @param madeAtMs - when the server made this page: another one, and it was made anew
 */
export function KeepsPages({ madeAtMs }: { madeAtMs: number }) {
  const pathname = usePathname();
  useRegistered();
  useEffect(() => {
    const ask = () => {
      if (document.visibilityState === 'visible')
        void workers()
          ?.ready.then(({ active }) => active?.postMessage(KEEP))
          .catch(() => undefined);
    };
    ask();
    document.addEventListener('visibilitychange', ask);
    return () => document.removeEventListener('visibilitychange', ask);
  }, [pathname, madeAtMs]);
  const shown = useRef({ pathname, madeAtMs });
  useEffect(() => {
    // Another page came in its place, or the same one anew: both from the server.
    if (shown.current.pathname !== pathname || shown.current.madeAtMs !== madeAtMs) isFromServer();
    shown.current = { pathname, madeAtMs };
  }, [pathname, madeAtMs]);
  useAskedAnew();
  return null;
}

/** Over plain HTTP browsers have none, and on this machine itself none is needed. */
const workers = () => (window.location.protocol === 'https:' ? navigator.serviceWorker : undefined);

function useRegistered(): void {
  useEffect(() => {
    const registering = workers()
      ?.register('/serwist/sw.js', { scope: '/', updateViaCache: 'none' })
      .catch(() => null);
    const look = () => void registering?.then(registered => registered?.update()).catch(() => undefined);
    const timer = setInterval(look, LOOK_FOR_NEWER_MS);
    window.addEventListener('online', look);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', look);
    };
  }, []);
}

function useAskedAnew(): void {
  const router = useRouter();
  const isKept = useKeptAt() !== null;
  useEffect(() => {
    if (!isKept) return;
    const look = async () => {
      if (document.visibilityState !== 'visible') return;
      const answer = await fetch('/healthz', { cache: 'no-store' }).catch(() => null);
      if (answer?.ok) router.refresh();
    };
    const timer = setInterval(() => void look(), LOOK_AGAIN_MS);
    const now = () => void look();
    window.addEventListener('online', now);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', now);
    };
  }, [isKept, router]);
}
