'use client';

import { Card } from '@/components/Card/Card';
import { nowMs } from '@/components/nowMs';
import { asOfWords } from '@/files/asOfWords';
import { KEPT, KEPT_AT, KEPT_WORDS, OWNER_URL, PAGES_CACHE } from '@/files/keptPages';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import classes from './Waiting.module.css';

type Kept = { href: string; words: string; atMs: number };

/** The pages that this device opens without a connection: looked at before one goes where there is none. */
export function KeptHere() {
  const [kept, setKept] = useState<Kept[] | null>(null);
  useEffect(() => {
    if (!('caches' in window)) return;
    const look = () =>
      void keptPages()
        .then(setKept)
        .catch(() => undefined);
    look();
    const heard = ({ data }: MessageEvent) => data === KEPT && look();
    navigator.serviceWorker?.addEventListener('message', heard);
    return () => navigator.serviceWorker?.removeEventListener('message', heard);
  }, []);
  if (kept === null || kept.length === 0) return null;
  return (
    <Card label="Kept for no connection" title="Kept for no connection">
      <p>
        These open on this device without Roan’s server, for as long as it takes; what is tapped in them waits here.
      </p>
      <ul className={classes.rows}>
        {kept.map(({ href, words, atMs }) => (
          <li key={href}>
            <Link href={href}>{words}</Link> <small>{asOfWords(atMs, nowMs())}</small>
          </li>
        ))}
      </ul>
    </Card>
  );
}

async function keptPages(): Promise<Kept[]> {
  const found: Kept[] = [];
  for (const name of (await caches.keys()).filter(one => one.startsWith(PAGES_CACHE))) {
    const cache = await caches.open(name);
    for (const { url } of await cache.keys()) {
      const { pathname, search } = new URL(url);
      const words = (await cache.match(url, { ignoreVary: true }))?.headers;
      const said = words?.get(KEPT_WORDS);
      if (pathname === OWNER_URL || !said) continue;
      found.push({
        ...{ href: pathname + search, words: decodeURIComponent(said) },
        atMs: Number(words?.get(KEPT_AT)),
      });
    }
  }
  return [...new Map(found.map(one => [one.href, one])).values()];
}
