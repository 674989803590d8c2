'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

const ONE_RETURN_MS = 1000;

/** A refresh that nobody answers would take the page away: the server is asked first for something small. */
async function isServerThere(): Promise<boolean> {
  try {
    return (await fetch('/icon.svg', { method: 'HEAD', cache: 'no-store' })).ok;
  } catch {
    return false;
  }
}

/**
 * Asks for the horses again when one comes back to this window: a stride may have been tested meanwhile, and the spacing
 * follows it. What is being edited stays as it is.
 */
export function useFreshHorses(): void {
  const router = useRouter();
  useEffect(() => {
    // Coming back to a window is told twice, as its focus and as its being seen: it is one coming back.
    let isAsking = false;
    const comeBack = async () => {
      if (isAsking || document.visibilityState !== 'visible') return;
      isAsking = true;
      if (await isServerThere()) router.refresh();
      setTimeout(() => (isAsking = false), ONE_RETURN_MS);
    };
    window.addEventListener('focus', comeBack);
    document.addEventListener('visibilitychange', comeBack);
    return () => {
      window.removeEventListener('focus', comeBack);
      document.removeEventListener('visibilitychange', comeBack);
    };
  }, [router]);
}
