'use client';

import { Card } from '@/components/Card/Card';
import { sizeWords } from '@/components/sizeWords';
import { Alert, Button, FileButton, Group } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import classes from './ArchiveBoard.module.css';

type ArchiveBoardProps = {
  /** Nothing was ever entered: only then can an archive be restored. */
  isEmpty: boolean;
  folder: string;
  backups: { name: string; sizeBytes: number; when: string }[];
};

/** The yard as one archive: out, kept every day, and into an empty Roan again. */
export function ArchiveBoard({ isEmpty, folder, backups }: ArchiveBoardProps) {
  const router = useRouter();
  const [said, setSaid] = useState<{ ok: boolean; words: string } | null>(null);
  const [busy, setBusy] = useState(false);
  const restore = async (file: File | null) => {
    if (!file) return;
    setBusy(true);
    const answer = await fetch('/api/archive', { method: 'POST', body: file })
      .then(async response => ({
        ok: response.ok,
        ...((await response.json()) as { yard?: string; problem?: string }),
      }))
      .catch(() => null);
    setSaid(
      answer?.ok
        ? { ok: true, words: `“${answer.yard}” is restored, row by row.` }
        : { ok: false, words: answer?.problem ?? 'The server does not answer: nothing was restored.' },
    );
    setBusy(false);
    if (answer?.ok) router.refresh();
  };
  return (
    <div className={classes.board}>
      <Card label="Out" title="Out">
        <p>Everything that is in this Roan, films too, in one file that needs no Roan to be read.</p>
        <Button component="a" href="/api/archive" download>
          Keep an archive
        </Button>
      </Card>
      <Card label="Into an empty Roan" title="Into an empty Roan">
        <p>
          {isEmpty
            ? 'Nothing was entered here yet, so an archive can be restored: all of it or nothing.'
            : 'This Roan has a yard with things in it. An archive is restored into an empty one only, so that nothing is mixed or overwritten: start Roan with ROAN_DATABASE_URL naming a new file.'}
        </p>
        <FileButton accept=".zip,application/zip" onChange={restore}>
          {props => (
            <Button variant="default" loading={busy} disabled={!isEmpty} {...props}>
              Restore an archive
            </Button>
          )}
        </FileButton>
        {said && (
          <Alert mt="sm" color={said.ok ? 'slate' : 'chestnut'} role={said.ok ? 'status' : 'alert'}>
            {said.words}
          </Alert>
        )}
      </Card>
      <Card label="Kept every day" title="Kept every day">
        <p>
          While Roan runs it keeps an archive a day in {folder}, and the last two weeks of them. They lie on the same
          machine: keep one elsewhere now and then.
        </p>
        {backups.length === 0 && <p>None yet: the first is kept a minute after Roan starts.</p>}
        <ul className={classes.backups}>
          {backups.map(({ name, sizeBytes, when }) => (
            <li key={name}>
              <Group gap="sm">
                <a href={`/api/archive/backups/${name}`} download>
                  {when}
                </a>
                <span>{sizeWords(sizeBytes)}</span>
              </Group>
            </li>
          ))}
        </ul>
      </Card>
    </div>
  );
}
