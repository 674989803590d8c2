'use client';

import { useAsOf } from '@/components/offline/useAsOf';
import Link from 'next/link';
import { waitWords, type Waits } from './waits';

type DeliveryProps = {
  ready: boolean;
  waits: Waits;
  className?: string;
  /** Nothing is said while nothing waits. */
  quiet?: boolean;
};

/** Says "saved" only when everything is in the database, and what is kept where until then. */
export function Delivery({ ready, waits, className, quiet = false }: DeliveryProps) {
  const age = useAsOf();
  if (quiet && waits.unsent + waits.refused === 0) return null;
  // Until this device's own store has been read, nobody can say that all is saved.
  if (!ready)
    return (
      <p role="status" className={className}>
        Opening …
      </p>
    );
  // Why it waits is plain where the page itself is one that the device kept: how old that is says more.
  const words = waitWords({ ...waits, problem: waits.problem && (age === null ? waits.problem : `${age}.`) });
  return (
    <p
      role="status"
      className={className}
      data-delivery={words === null && waits.refused === 0 ? 'saved' : words === null ? 'refused' : 'waiting'}
      data-unsent={waits.unsent || undefined}
    >
      {words ?? (waits.refused === 0 ? 'Saved' : 'The rest is saved.')}
      {waits.refused > 0 && (
        <>
          {' '}
          <Link href="/waiting">{waits.refused} refused: see why</Link>
        </>
      )}
    </p>
  );
}
