'use client';

import { SignOut, type SignOutProps } from './SignOut';
import { Choice } from '@/components/Choice';
import { ColoursKey } from '@/components/colours/ColoursKey';
import { lazily } from '@/components/lazily';
import type { LengthUnit } from '@/core';
import Link from 'next/link';
import { useTransition } from 'react';
import classes from './TopBar.module.css';
import { useThread } from './thread';

/** What is kept and not sent: most pages have nothing of it, so that it comes after them. */
const SyncStarter = lazily(() => import('@/components/sync/SyncStarter').then(m => ({ default: m.SyncStarter })));

type TopBarProps = {
  yardName: string;
  /** Whether this device is in other yards too: then one goes from here to them. */
  hasMoreYards: boolean;
  unit: LengthUnit;
  /** Who is signed in; null at an open machine. */
  who: { name: string; role: string } | null;
  onSignOut: SignOutProps['onLeave'];
  /** Keeps the chosen unit for the yard. */
  onChooseUnit: (unit: string) => Promise<void>;
};

/** What one is working on, by name, and the unit lengths are read in. */
export function TopBar({ yardName, hasMoreYards, unit, who, onSignOut, onChooseUnit }: TopBarProps) {
  const { thread } = useThread();
  const [pending, startTransition] = useTransition();
  return (
    <header className={`${classes.bar} roan-no-print`} data-signed-in={who ? true : undefined}>
      <div className={classes.thread}>
        {hasMoreYards ? (
          <Link href="/yards" className={classes.named}>
            <small>Yard</small> {yardName}
          </Link>
        ) : (
          <span className={classes.yard}>{yardName}</span>
        )}
        {thread.layout && (
          <Link href={`/plan/${thread.layout.id}`} className={classes.named}>
            <small>Layout</small> {thread.layout.name}
          </Link>
        )}
        {thread.lesson && (
          <Link href={`/ride/lessons/${thread.lesson.id}`} className={classes.named}>
            <small>Lesson</small> {thread.lesson.name}
          </Link>
        )}
        {thread.pair && (
          <Link href={`/review/${thread.pair.id}`} className={classes.named}>
            <small>Pair</small> {thread.pair.name}
          </Link>
        )}
        <SyncStarter />
      </div>
      {who && <SignOut name={who.name} onLeave={onSignOut} />}
      <ColoursKey />
      <Choice
        className={classes.unit}
        size="xs"
        aria-label="Unit for lengths"
        disabled={pending || (who !== null && who.role !== 'instructor')}
        value={unit}
        onChange={chosen => startTransition(() => onChooseUnit(chosen))}
        data={[
          { value: 'm', label: 'm' },
          { value: 'cm', label: 'cm' },
          { value: 'ft', label: 'ft in' },
          { value: 'yd', label: 'yd' },
        ]}
      />
    </header>
  );
}
