'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { Going } from '@/components/Going/Going';
import { PlaceIcon, type PlaceDrawn } from './PlaceIcon';
import classes from './Rail.module.css';
import { useThread } from './thread';
import type { Thread } from './threadCookie';

const PLACES: { path: string; name: string; of: PlaceDrawn; to: (thread: Thread) => string }[] = [
  { path: '/today', name: 'Today', of: 'today', to: () => '/today' },
  { path: '/yard', name: 'Yard', of: 'yard', to: () => '/yard' },
  // The list first: the layout one works on is named at the top of every page, one tap away.
  { path: '/plan', name: 'Plan', of: 'plan', to: () => '/plan' },
  { path: '/set', name: 'Set', of: 'set', to: ({ layout }: Thread) => (layout ? `/set/${layout.id}` : '/set') },
  { path: '/mine', name: 'Mine', of: 'mine', to: () => '/mine' },
  { path: '/office', name: 'Sums', of: 'office', to: () => '/office' },
  { path: '/ride', name: 'Ride', of: 'ride', to: () => '/ride' },
  {
    path: '/review',
    name: 'Review',
    of: 'review',
    to: ({ pair }: Thread) => (pair ? `/review/${pair.id}` : '/review'),
  },
];

type Role = 'instructor' | 'helper' | 'rider' | 'office';

/** Where each may go. */
const PLACES_OF: Record<Role, readonly string[]> = {
  instructor: ['/today', '/yard', '/plan', '/set', '/ride', '/review'],
  helper: ['/set', '/ride'],
  rider: ['/mine'],
  office: ['/office'],
};

/** The places in the order of the work, along a track: at the left on a desk, at the bottom on a phone. An arch is over where one is. */
export function Rail({ role }: { role: Role }) {
  const pathname = usePathname();
  const { thread } = useThread();
  return (
    <nav aria-label="Places" className={`${classes.rail} roan-no-print`}>
      <span className={classes.brand} aria-hidden="true">
        Roan
      </span>
      {PLACES.filter(({ path }) => PLACES_OF[role].includes(path)).map(({ path, name, of, to }) => (
        <Link
          key={path}
          href={pathname === to(thread) ? path : to(thread)}
          className={classes.place}
          aria-current={pathname.startsWith(path) ? 'page' : undefined}
        >
          <PlaceIcon of={of} />
          {name}
          <Going />
        </Link>
      ))}
    </nav>
  );
}
