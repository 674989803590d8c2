'use client';

import { Card } from '@/components/Card/Card';
import { saveFile } from '@/components/saveFile';
import { deviceSync } from '@/components/sync/deviceSync';
import { useSyncState } from '@/components/sync/useBox';
import { readWaiting, writeWaiting } from '@/files/waitingFile';
import { Alert, Button, FileButton, Group } from '@mantine/core';
import { useState } from 'react';

/** Brings what waits to another device, or to Roan at another address: a browser keeps it for one address alone. */
export function CarryOver() {
  const { rows } = useSyncState();
  const [said, setSaid] = useState<{ problem: boolean; words: string } | null>(null);
  const many = rows?.length ?? 0;
  const take = async (file: File | null) => {
    if (!file) return;
    const read = readWaiting(await file.text().catch(() => ''));
    if (!read.ok) return setSaid({ problem: true, words: read.problem });
    for (const { box, event, yard } of read.rows) deviceSync().add(box, [event], yard);
    setSaid({ problem: false, words: `${read.rows.length} taken in. What Roan has already counts once.` });
  };
  return (
    <Card label="To another address" title="To another device or address">
      <p>
        Roan has a new address, or this device is changed for another: keep what waits in a file here, and take that
        file in there.
      </p>
      <Group gap="xs">
        <Button
          variant="default"
          disabled={many === 0}
          onClick={() =>
            saveFile(new Blob([writeWaiting(rows ?? [])], { type: 'application/json' }), 'roan-waiting.json')
          }
        >
          Keep it in a file
        </Button>
        <FileButton accept="application/json,.json" onChange={file => void take(file)}>
          {props => (
            <Button variant="default" {...props}>
              Take in a file
            </Button>
          )}
        </FileButton>
      </Group>
      {said && (
        <Alert color={said.problem ? 'chestnut' : 'slate'} role={said.problem ? 'alert' : 'status'}>
          {said.words}
        </Alert>
      )}
    </Card>
  );
}
