'use client';

import Link from 'next/link';
import { useAsOf } from '@/components/offline/useAsOf';
import { useSyncState } from './useBox';
import classes from './SyncStarter.module.css';

/**
 * On every page: sends what this device keeps, and says so where something waits or was refused, and where the page itself is one
 * that the device kept.
 */
export function SyncStarter() {
  const { rows, problem } = useSyncState();
  const age = useAsOf();
  const refused = rows?.filter(row => row.refused !== null).length ?? 0;
  const waiting = (rows?.length ?? 0) - refused;
  // What is on its way for a moment is told by the page that it was tapped on.
  const saysWaiting = waiting > 0 && (problem !== null || age !== null || refused > 0);
  if (refused === 0 && !saysWaiting && age === null) return null;
  return (
    <Link href="/waiting" className={classes.waits} data-refused={refused > 0 || undefined}>
      {[age, saysWaiting && `${waiting} not sent`, refused > 0 && `${refused} refused`].filter(Boolean).join(', ')}
    </Link>
  );
}
