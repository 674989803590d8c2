'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { Card } from '@/components/Card/Card';
import { newId } from '@/components/newId';
import { TEST_PACES } from '@/core';
import type { FilmNote } from '@/data/queries/videos';
import { Alert, Button, Group, NumberInput, Select, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useRef, useState, type KeyboardEvent } from 'react';
import { addFilmNoteAction, countFromFilmAction, removeFilmAction, undoFilmNoteAction } from '../actions';
import classes from './FilmBoard.module.css';

type FilmBoardProps = {
  videoId: string;
  isThere: boolean;
  /** The legs that strides may be given to, in order. */
  legs: string[];
  isTest: boolean;
  firstNotes: FilmNote[];
};

/** Films of phones mostly have so many pictures a second. */
const USUAL_RATE = 30;
const timeWords = (atS: number) => `${Math.floor(atS / 60)}:${(atS % 60).toFixed(2).padStart(5, '0')}`;

/** A film picture by picture, with words and strides at their times; the count goes to the pass or the test. */
export function FilmBoard({ videoId, isThere, legs, isTest, firstNotes }: FilmBoardProps) {
  const say = useSay();
  const router = useRouter();
  const film = useRef<HTMLVideoElement>(null);
  const [notes, setNotes] = useState(firstNotes);
  const [rate, setRate] = useState<number | string>(USUAL_RATE);
  const [atS, setAtS] = useState(0);
  const [words, setWords] = useState('');
  const [place, setPlace] = useState<string>('1');
  const [pace, setPace] = useState<string>('normal');
  const [said, setSaid] = useState<{ ok: boolean; words: string } | null>(null);
  const strides = notes.filter(({ kind }) => kind === 'stride');

  const step = (by: number) => {
    const video = film.current;
    if (!video) return;
    video.pause();
    const to = video.currentTime + by / (Number(rate) || USUAL_RATE);
    video.currentTime = Math.max(0, Math.min(video.duration || to, to));
  };
  const send = async (task: () => Promise<{ ok: boolean; problem?: string | null }>, done?: string) => {
    const answer = await task().catch(() => null);
    const failed = answer?.problem ?? 'The server does not answer: nothing was kept.';
    if (!answer?.ok) setSaid({ ok: false, words: failed });
    else if (done) setSaid({ ok: true, words: done });
    return answer?.ok === true;
  };
  const add = async (kind: FilmNote['kind'], text: string) => {
    const note = { id: newId(), atS: film.current?.currentTime ?? 0, kind, words: text };
    setNotes(before => [...before, note].sort((a, b) => a.atS - b.atS));
    if (!(await send(() => addFilmNoteAction(videoId, note))))
      setNotes(before => before.filter(({ id }) => id !== note.id));
  };
  const undo = async (note: FilmNote) => {
    if (await send(() => undoFilmNoteAction(note.id))) setNotes(before => before.filter(({ id }) => id !== note.id));
  };
  const give = () =>
    send(
      () =>
        countFromFilmAction(videoId, {
          count: strides.length,
          place: isTest ? null : Number(place),
          pace: isTest ? pace : null,
        }),
      isTest ? 'The count is a pass of the stride test now.' : 'The count is in the record of the pass now.',
    );
  const keys = (event: KeyboardEvent) => {
    if (event.target instanceof HTMLInputElement) return;
    const moves: Record<string, () => void> = {
      ',': () => step(-1),
      '.': () => step(1),
      s: () => void add('stride', ''),
    };
    moves[event.key]?.();
  };
  return (
    <div className={classes.board} onKeyDown={keys}>
      {isThere && (
        <Card label="The film">
          <video
            ref={film}
            src={`/api/videos/${videoId}`}
            controls
            muted
            playsInline
            preload="metadata"
            className={classes.film}
            onTimeUpdate={event => setAtS(event.currentTarget.currentTime)}
          />
          <Group mt="sm" align="flex-end">
            <Button variant="default" onClick={() => step(-1)}>
              One picture back (,)
            </Button>
            <Button variant="default" onClick={() => step(1)}>
              One picture on (.)
            </Button>
            <Button onClick={() => void add('stride', '')}>A stride, here (s)</Button>
            <NumberInput label="Pictures a second" w={130} min={1} max={240} value={rate} onChange={setRate} />
            <span role="status">{timeWords(atS)}</span>
          </Group>
          <form
            className={classes.note}
            onSubmit={event => {
              event.preventDefault();
              if (words.trim() === '') return;
              void add('note', words.trim());
              setWords('');
            }}
          >
            <TextInput
              label="A word at this time"
              maxLength={500}
              value={words}
              onChange={event => setWords(event.currentTarget.value)}
            />
            <Button type="submit" variant="default" disabled={words.trim() === ''}>
              Note it
            </Button>
          </form>
        </Card>
      )}
      <Card
        label="Strides and notes"
        title={`${strides.length} ${strides.length === 1 ? 'stride' : 'strides'} counted`}
      >
        <Group align="flex-end">
          {isTest ? (
            <Select label="Ridden" data={[...TEST_PACES]} value={pace} onChange={chosen => chosen && setPace(chosen)} />
          ) : (
            <Select
              label="Counted from"
              data={legs.map((leg, index) => ({ value: String(index + 1), label: leg }))}
              value={place}
              onChange={chosen => chosen && setPlace(chosen)}
            />
          )}
          <Button disabled={strides.length === 0 || (!isTest && legs.length === 0)} onClick={() => void give()}>
            {isTest ? 'Give it to the test' : 'Give it to the pass'}
          </Button>
        </Group>
        {said && (
          <Alert mt="sm" color={said.ok ? 'slate' : 'chestnut'} role={said.ok ? 'status' : 'alert'}>
            {say(said.words)}
          </Alert>
        )}
        <ol className={classes.notes}>
          {notes.map(note => (
            <li key={note.id}>
              <button
                type="button"
                onClick={() => {
                  if (film.current) film.current.currentTime = note.atS;
                }}
              >
                {timeWords(note.atS)}
              </button>{' '}
              {note.kind === 'stride' ? 'stride' : note.words}
              <Button size="compact-xs" variant="subtle" onClick={() => void undo(note)}>
                Take back
              </Button>
            </li>
          ))}
        </ol>
        {isThere && (
          <Button
            variant="subtle"
            onClick={() =>
              void send(() => removeFilmAction(videoId), 'The film is gone.').then(ok => ok && router.refresh())
            }
          >
            Remove the film from the data folder
          </Button>
        )}
      </Card>
    </div>
  );
}
