'use client';

import { Card } from '@/components/Card/Card';
import { FilmRibbon } from '@/components/film/FilmRibbon';
import { USUAL_RATE, useFilm } from '@/components/film/useFilm';
import { useSay } from '@/components/Lengths/LengthsProvider';
import { filmReading, filmSentences, type FilmGait, type FilmMark, type TimedFilmMark } from '@/core';
import { Alert, Button, Group, NumberInput, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useMemo, useState, type KeyboardEvent } from 'react';
import { keepFilmLengthAction, removeFilmAction } from '../actions';
import { CountOfFilm, type CountedFilm } from './CountOfFilm';
import { FilmAnswer } from './FilmAnswer';
import { FilmKeys } from './FilmKeys';
import { MarkList } from './MarkList';
import { useFilmMarks } from '../_state/useFilmMarks';
import { useStills, type Still } from '../_state/useStills';
import classes from './FilmBoard.module.css';

type FilmBoardProps = {
  videoId: string;
  isThere: boolean;
  /** How long it is, seconds; null until a player said so. */
  lengthS: number | null;
  /** The gaits that this horse goes in. */
  gaits: readonly FilmGait[];
  /** Where its strides are counted into; null where it is of no pass and no test. */
  counted: CountedFilm | null;
  /** Whom it is answered to; null where it is of no pair by itself. */
  answered: { rider: string; asks: string | null; answer: string | null; givenOn: string | null } | null;
  firstMarks: TimedFilmMark[];
  firstStills: Still[];
};

/** A film picture by picture: what is seen at its times, what that comes to, and what whoever rode is told. */
export function FilmBoard(props: FilmBoardProps) {
  const { videoId, isThere, gaits, counted, answered, firstMarks } = props;
  const say = useSay();
  const router = useRouter();
  const { marks, said, send, add, undo } = useFilmMarks(videoId, firstMarks);
  const { video, atS, lengthS, go, step, nowS, still, player } = useFilm(
    props.lengthS,
    seenS => void keepFilmLengthAction(videoId, seenS).catch(() => null),
  );
  const stills = useStills(videoId, props.firstStills, send);
  const [rate, setRate] = useState<number | string>(USUAL_RATE);
  const reading = useMemo(() => (lengthS === null ? null : filmReading(marks, lengthS)), [marks, lengthS]);
  const now = reading?.stretches.find(({ fromS, toS }) => atS >= fromS && atS < toS) ?? null;
  const mark = (seen: FilmMark) => void add(nowS(), seen);
  const keys = (event: KeyboardEvent) => {
    if (event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement) return;
    const moves: Record<string, () => void> = {
      ',': () => step(-1, Number(rate)),
      '.': () => step(1, Number(rate)),
      s: () => mark({ kind: 'stride' }),
      b: () => mark({ kind: 'break' }),
    };
    moves[event.key]?.();
  };
  return (
    <div className={classes.page} onKeyDown={keys}>
      {isThere && (
        <div className={classes.watch}>
          <div className={classes.watched}>
            <Card label="The film">
              <video
                ref={video}
                src={`/api/videos/${videoId}`}
                controls
                muted
                playsInline
                preload="metadata"
                className={classes.film}
                {...player}
              />
              {lengthS !== null && <FilmRibbon marks={marks} lengthS={lengthS} atS={atS} onGo={go} />}
            </Card>
          </div>
          <Card label="What is seen" title="What is seen">
            <Group mt="sm" align="flex-end">
              <Button variant="default" onClick={() => step(-1, Number(rate))}>
                One picture back (,)
              </Button>
              <Button variant="default" onClick={() => step(1, Number(rate))}>
                One picture on (.)
              </Button>
              <NumberInput label="Pictures a second" w={130} min={1} max={240} value={rate} onChange={setRate} />
              <Button variant="default" onClick={() => void stills.keep(still, nowS())}>
                Keep this picture
              </Button>
            </Group>
            <NoteHere onNote={words => mark({ kind: 'note', words })} />
            <FilmKeys gaits={gaits} now={now} head={headAt(marks, atS)} onMark={mark} />
          </Card>
        </div>
      )}
      <div className={classes.board}>
        {answered && (
          <FilmAnswer
            videoId={videoId}
            rider={answered.rider}
            asks={answered.asks}
            first={{ answer: answered.answer, givenOn: answered.givenOn }}
          />
        )}
        <Card label="What it comes to" title="What it comes to">
          {said && (
            <Alert mb="sm" color={said.ok ? 'slate' : 'chestnut'} role={said.ok ? 'status' : 'alert'}>
              {say(said.words)}
            </Alert>
          )}
          {reading &&
            filmSentences(reading).map(sentence => (
              <p key={sentence} className={classes.sentence}>
                {say(sentence)}
              </p>
            ))}
          {counted && (
            <CountOfFilm
              videoId={videoId}
              counted={counted}
              strides={marks.filter(({ kind }) => kind === 'stride').length}
              onSend={send}
            />
          )}
          <MarkList
            marks={marks}
            stills={stills.stills}
            stillHref={id => `/api/videos/${videoId}/stills/${id}`}
            onGo={go}
            onUndo={one => void undo(one)}
            onRemoveStill={({ id }) => void stills.remove(id)}
          />
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
    </div>
  );
}

/** How high the head is carried at a time, as it was said last. */
const headAt = (marks: readonly TimedFilmMark[], atS: number) =>
  marks.reduce<Extract<FilmMark, { kind: 'head' }>['height'] | null>(
    (held, one) => (one.kind === 'head' && one.atS <= atS ? one.height : held),
    null,
  );

function NoteHere({ onNote }: { onNote: (words: string) => void }) {
  const [words, setWords] = useState('');
  return (
    <form
      className={classes.note}
      onSubmit={event => {
        event.preventDefault();
        if (words.trim() === '') return;
        onNote(words.trim());
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
  );
}
