'use client';

import type { FormOutcome } from '@/files/formOutcome';
import { Button } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { anewWithout } from '../offline/forgetKept';

export type SignOutProps = { name: string; onLeave: () => Promise<FormOutcome> };

/**
 * Who is signed in on this device, and out again. What was tapped and not sent stays on the device; the pages that it keeps for
 * when there is no connection go.
 */
export function SignOut({ name, onLeave }: SignOutProps) {
  const leave = async () => {
    const outcome = await onLeave().catch(() => null);
    if (outcome?.ok) return anewWithout('/sign-in');
    notifications.show({ message: outcome?.problem ?? 'The server did not answer: you are still signed in.' });
  };
  return (
    <Button size="compact-sm" variant="subtle" color="slate" onClick={leave}>
      {name}: sign out
    </Button>
  );
}
