'use client';

import {
  IconBuildingWarehouse,
  IconChartDots2,
  IconClipboardCheck,
  IconHorseshoe,
  IconRuler2,
  IconShoe,
  IconSum,
  IconSun,
} from '@tabler/icons-react';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import classes from './Rail.module.css';
import { useThread } from './thread';
import type { Thread } from './threadCookie';

const PLACES = [
  { path: '/today', name: 'Today', Icon: IconSun, to: () => '/today' },
  { path: '/yard', name: 'Yard', Icon: IconBuildingWarehouse, to: () => '/yard' },
  // The list first: the layout one works on is named at the top of every page, one tap away.
  { path: '/plan', name: 'Plan', Icon: IconRuler2, to: () => '/plan' },
  { path: '/set', name: 'Set', Icon: IconShoe, to: ({ layout }: Thread) => (layout ? `/set/${layout.id}` : '/set') },
  { path: '/mine', name: 'Mine', Icon: IconHorseshoe, to: () => '/mine' },
  { path: '/office', name: 'Sums', Icon: IconSum, to: () => '/office' },
  { path: '/ride', name: 'Ride', Icon: IconClipboardCheck, to: () => '/ride' },
  {
    path: '/review',
    name: 'Review',
    Icon: IconChartDots2,
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

/** The six places, in the order of the work: at the left on a desk, at the bottom on a phone. */
export function Rail({ role }: { role: Role }) {
  const pathname = usePathname();
  const { thread } = useThread();
  return (
    <nav aria-label="Places" className={`${classes.rail} roan-no-print`}>
      <span className={classes.brand} aria-hidden="true">
        Roan
      </span>
      {PLACES.filter(({ path }) => PLACES_OF[role].includes(path)).map(({ path, name, Icon, to }) => (
        <Link
          key={path}
          href={pathname === to(thread) ? path : to(thread)}
          className={classes.place}
          aria-current={pathname.startsWith(path) ? 'page' : undefined}
        >
          <Icon size={24} stroke={1.6} aria-hidden="true" />
          {name}
        </Link>
      ))}
    </nav>
  );
}
