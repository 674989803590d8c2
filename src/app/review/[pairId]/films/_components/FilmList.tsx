'use client';

import { Card } from '@/components/Card/Card';
import { SendProgress } from '@/components/upload/SendProgress';
import { useUpload } from '@/components/upload/useUpload';
import { Button, FileButton, Group } from '@mantine/core';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import classes from './FilmList.module.css';

type Entry = { id: string; line: string; films: { id: string; name: string; size: string }[] };

type FilmListProps = { title: string; of: 'pass' | 'test'; entries: Entry[] };

/** Passes or tests with the films beside them; a film is added to each. */
export function FilmList({ title, of, entries }: FilmListProps) {
  const router = useRouter();
  const { step, send, stop } = useUpload();
  const [busyId, setBusyId] = useState<string | null>(null);
  const [problem, setProblem] = useState<{ id: string; words: string } | null>(null);
  const add = async (id: string, file: File | null) => {
    if (!file) return;
    setBusyId(id);
    setProblem(null);
    const answer = await send(`/api/videos?${new URLSearchParams({ [of]: id, name: file.name })}`, file);
    setBusyId(null);
    if (answer.kind === 'taken') router.push(`/review/films/${String(answer.body.id)}`);
    else if (answer.kind === 'refused') setProblem({ id, words: answer.problem });
  };
  return (
    <Card label={title} title={title}>
      <ul className={classes.entries}>
        {entries.map(({ id, line, films }) => (
          <li key={id} aria-label={line}>
            <span>{line}</span>
            <Group gap="sm">
              {films.map(film => (
                <Link key={film.id} href={`/review/films/${film.id}`}>
                  {film.name} ({film.size})
                </Link>
              ))}
              <FileButton accept="video/*" onChange={file => add(id, file)}>
                {props => (
                  <Button size="xs" variant="default" loading={busyId === id} disabled={busyId !== null} {...props}>
                    Add a film
                  </Button>
                )}
              </FileButton>
            </Group>
            {busyId === id && step && <SendProgress step={step} onStop={stop} />}
            {problem?.id === id && <p role="alert">{problem.words}</p>}
          </li>
        ))}
      </ul>
    </Card>
  );
}
