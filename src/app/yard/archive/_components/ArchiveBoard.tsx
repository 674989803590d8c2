'use client';

import { Card } from '@/components/Card/Card';
import { made } from '@/components/MadeFile/made';
import { sizeWords } from '@/components/sizeWords';
import { SendProgress } from '@/components/upload/SendProgress';
import { useUpload } from '@/components/upload/useUpload';
import { Alert, Button, FileButton, Group } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import classes from './ArchiveBoard.module.css';

type ArchiveBoardProps = {
  /** Nothing was ever entered: only then can an archive be restored. */
  isEmpty: boolean;
  folder: string;
  /** Where each is kept once more; null for nowhere. */
  second: string | null;
  backups: { name: string; sizeBytes: number; when: string }[];
};

/** The yard as one archive: out, kept every day, and into an empty Roan again. */
export function ArchiveBoard({ isEmpty, folder, second, backups }: ArchiveBoardProps) {
  const router = useRouter();
  const [said, setSaid] = useState<{ ok: boolean; words: string } | null>(null);
  const { step, send, stop } = useUpload();
  const restore = async (file: File | null) => {
    if (!file) return;
    setSaid(null);
    const answer = await send('/api/archive', file);
    if (answer.kind === 'stopped') return setSaid({ ok: false, words: 'Stopped: nothing was restored.' });
    if (answer.kind === 'refused') return setSaid({ ok: false, words: answer.problem });
    const { yard, missingFilms } = answer.body as { yard: string; missingFilms: number };
    const missing = missingFilms === 0 ? '' : ` ${missingFilms} of its films were not in it, nor beside it.`;
    setSaid({ ok: true, words: `“${yard}” is restored, row by row.${missing}` });
    router.refresh();
  };
  return (
    <div className={classes.board}>
      <Card label="Out" title="Out">
        <p>Everything that is in this Roan, films too, in one file that needs no Roan to be read.</p>
        <Group gap="sm">
          <Button component="a" href="/api/archive" download>
            Keep an archive
          </Button>
          <Button variant="default" {...made('/api/archive?films=no', 'The archive')}>
            Without films
          </Button>
        </Group>
      </Card>
      <Card label="Into an empty Roan" title="Into an empty Roan">
        <p>
          {isEmpty
            ? 'Nothing was entered here yet, so an archive can be restored: all of it or nothing.'
            : 'This Roan has a yard with things in it. An archive is restored into an empty one only, so that nothing is mixed or overwritten: start Roan with ROAN_DATABASE_URL naming a new file.'}
        </p>
        <FileButton accept=".zip,application/zip" onChange={restore}>
          {props => (
            <Button variant="default" loading={step !== null} disabled={!isEmpty} {...props}>
              Restore an archive
            </Button>
          )}
        </FileButton>
        {step && <SendProgress step={step} onStop={stop} />}
        {said && (
          <Alert mt="sm" color={said.ok ? 'slate' : 'chestnut'} role={said.ok ? 'status' : 'alert'}>
            {said.words}
          </Alert>
        )}
      </Card>
      <Card label="Kept every day" title="Kept every day">
        <p>
          While Roan runs it keeps an archive a day in {folder}, read back before it counts, with its films once beside
          them all. The last two weeks stay, then one a week, then one a month.{' '}
          {second === null
            ? 'They lie on the same machine: name another place with ROAN_BACKUP_FOLDER, or keep one elsewhere now and then.'
            : `Each is kept in ${second} too.`}
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
