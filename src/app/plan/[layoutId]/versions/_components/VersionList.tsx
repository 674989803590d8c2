'use client';

import { LayoutDrawing } from '@/components/Sand/LayoutDrawing';
import { Sand, sandTextM } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { Arena, Item, PlanChange, ReckonedTrack } from '@/core';
import { Alert, Button, Text, Title } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { keepVersionAction, restoreVersionAction } from '../../../actions';
import classes from './VersionList.module.css';

export type VersionRow = {
  id: string;
  name: string;
  reason: string;
  when: string;
  arena: Arena;
  items: Item[];
  tracks: ReckonedTrack[];
  changes: PlanChange[];
};

/** Versions from the latest back, each with what was changed after it. */
export function VersionList({ layoutId, rows }: { layoutId: string; rows: VersionRow[] }) {
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  const run = async (deed: () => Promise<{ ok: boolean; problem?: string | null }>, done: () => void) => {
    setProblem(null);
    const outcome = await deed().catch(() => null);
    if (outcome?.ok) return done();
    setProblem(outcome?.problem ?? 'The server did not answer, so nothing was changed. Try again.');
  };
  return (
    <>
      <Button
        mb="md"
        onClick={() =>
          run(
            () => keepVersionAction(layoutId),
            () => router.refresh(),
          )
        }
      >
        Keep it as it stands now
      </Button>
      {problem && (
        <Alert color="chestnut" role="alert" mb="sm">
          {problem}
        </Alert>
      )}
      {rows.length === 0 && (
        <Text>Nothing kept yet. A version is kept when the layout is ridden, or when you keep one here.</Text>
      )}
      <ol className={classes.rows}>
        {rows.map(row => (
          <li key={row.id}>
            <Drawing row={row} />
            <div>
              <Title order={2} size="h5">
                {row.when}
              </Title>
              <Text size="sm">
                {row.name}, {row.reason}
              </Text>
              <Changes changes={row.changes} />
              <Button
                size="compact-sm"
                variant="default"
                mt={6}
                onClick={() =>
                  run(
                    () => restoreVersionAction(row.id),
                    () => router.push(`/plan/${layoutId}`),
                  )
                }
              >
                Restore
              </Button>
            </div>
          </li>
        ))}
      </ol>
    </>
  );
}

function Drawing({ row: { arena, items, tracks } }: { row: VersionRow }) {
  const view = sandView(arena, 'along');
  return (
    <div className={classes.drawing} aria-hidden="true">
      <Sand arena={arena} view={view} label="">
        <LayoutDrawing layout={{ items }} tracks={tracks} view={view} textM={sandTextM(arena)} />
      </Sand>
    </div>
  );
}

const MOST_SHOWN = 8;

function Changes({ changes }: { changes: PlanChange[] }) {
  const { format } = useLengths();
  if (changes.length === 0) return <Text size="sm">Nothing was changed after it.</Text>;
  return (
    <>
      <Text size="sm" mt={4}>
        Changed after it:
      </Text>
      <ul className={classes.changes}>
        {changes.slice(0, MOST_SHOWN).map(({ what, movedM }) => (
          <li key={what}>
            {what}
            {movedM !== null && ` ${format(movedM)}`}
          </li>
        ))}
        {changes.length > MOST_SHOWN && <li>and {changes.length - MOST_SHOWN} more</li>}
      </ul>
    </>
  );
}
