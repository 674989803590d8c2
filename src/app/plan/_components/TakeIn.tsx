'use client';

import { Button, FileButton } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { importLayoutAction } from '../actions';

const NOT_READ = 'The file could not be read, or the server did not answer; nothing was changed.';

/** Takes a layout file in. */
export function TakeIn() {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const take = async (file: File | null) => {
    if (!file) return;
    setBusy(true);
    const outcome = await file
      .text()
      .then(importLayoutAction)
      .catch(() => null);
    setBusy(false);
    if (!outcome?.ok)
      return void notifications.show({
        color: 'chestnut',
        autoClose: false,
        message: outcome?.problem ?? NOT_READ,
      });
    if (outcome.missing.length > 0)
      notifications.show({ message: `Not in the yard, so left out of the group: ${outcome.missing.join(', ')}.` });
    router.push(`/plan/${outcome.layoutId}`);
  };
  return (
    <FileButton accept=".json,application/json" onChange={take}>
      {props => (
        <Button variant="default" loading={busy} {...props}>
          Take a layout file in
        </Button>
      )}
    </FileButton>
  );
}
