'use client';

import { Card } from '@/components/Card/Card';
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
  const [busyId, setBusyId] = useState<string | null>(null);
  const [problem, setProblem] = useState<{ id: string; words: string } | null>(null);
  const add = async (id: string, file: File | null) => {
    if (!file) return;
    setBusyId(id);
    setProblem(null);
    const answer = await fetch(`/api/videos?${new URLSearchParams({ [of]: id, name: file.name })}`, {
      ...{ method: 'POST', body: file, headers: { 'content-type': file.type } },
    })
      .then(async response => (await response.json()) as { id?: string; problem?: string })
      .catch(() => null);
    setBusyId(null);
    if (answer?.id) router.push(`/review/films/${answer.id}`);
    else setProblem({ id, words: answer?.problem ?? 'The server does not answer: the film was not kept.' });
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
                  <Button size="xs" variant="default" loading={busyId === id} {...props}>
                    Add a film
                  </Button>
                )}
              </FileButton>
            </Group>
            {problem?.id === id && <p role="alert">{problem.words}</p>}
          </li>
        ))}
      </ul>
    </Card>
  );
}
