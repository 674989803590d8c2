'use client';

import { apart } from '@/components/apart';
import { useSay } from '@/components/Lengths/LengthsProvider';
import { dayInWords, dayOfNumber, overloads, weekdayOf, withLessonMoved } from '@/core';
import { Button } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useMemo, useState, useTransition } from 'react';
import type { SeasonData } from '../seasonData';
import { moveLessonAction } from '../actions';
import { ComingLessons } from './ComingLessons';
import { Legend } from './Legend';
import classes from './Season.module.css';
import type { DraggedLesson } from './SeasonPicture';

/** What drags is fetched after the lessons that are moved by their days. */
const SeasonPicture = apart(() => import('./SeasonPicture'));

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const said = (day: number) => `${WEEKDAYS[weekdayOf(day)]} ${dayInWords(day)}`;

type Moved = { lessonId: string; name: string; from: number; to: number };

/** The picture of a season: a strip for each pair, its lessons to be dragged, and where a horse comes to too much. */
export function SeasonBoard({ season }: { season: SeasonData }) {
  const say = useSay();
  const router = useRouter();
  const [busy, begin] = useTransition();
  const [dragged, setDragged] = useState<DraggedLesson | null>(null);
  const [moved, setMoved] = useState<Moved | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const entries = useMemo(
    () => (dragged ? withLessonMoved(season.entries, dragged.lessonId, dragged.days) : season.entries),
    [season.entries, dragged],
  );
  const loads = useMemo(() => overloads(entries, season.limits), [entries, season.limits]);
  const move = (lessonId: string, days: number) => {
    const lesson = season.coming.find(({ id }) => id === lessonId);
    if (!lesson || days === 0) return setDragged(null);
    const to = lesson.day + days;
    begin(async () => {
      const answer = await moveLessonAction({ lessonId, toDay: dayOfNumber(to) }).catch(() => null);
      setProblem(answer?.ok ? null : (answer?.problem ?? 'The server does not answer: the lesson is where it was.'));
      if (!answer?.ok) return setDragged(null);
      // It stays shown where it was dragged to until the season says so itself.
      begin(() => {
        setDragged(null);
        setMoved({ lessonId, name: lesson.name, from: lesson.day, to });
        router.refresh();
      });
    });
  };
  // Dragged there and back it is where it was.
  const drag = (one: DraggedLesson | null) => setDragged(one?.days ? one : null);
  const horse = (id: string) => season.pairs.find(({ horseId }) => horseId === id)?.horse ?? 'A horse';
  const ahead = loads.filter(({ day }) => day >= season.today);
  return (
    <section aria-label="The season" className={classes.season} aria-busy={busy}>
      <SeasonPicture {...{ season, entries, loads, busy }} onDrag={drag} onMove={move} />
      <div className={classes.said}>
        {dragged && <p role="status">{draggedWords(season, dragged)}</p>}
        {problem && <p role="alert">{problem}</p>}
        {moved && !dragged && (
          <p role="status">
            “{moved.name}” is on {said(moved.to)} now.{' '}
            <Button
              size="compact-sm"
              variant="default"
              disabled={busy}
              onClick={() => move(moved.lessonId, moved.from - moved.to)}
            >
              Back to {said(moved.from)}
            </Button>
          </p>
        )}
      </div>
      <Legend />
      {ahead.length > 0 && (
        <section aria-label="Too much" className={classes.loads}>
          <h2>Too much, as it is planned</h2>
          <ul>
            {ahead.map(({ horseId, words }) => (
              <li key={`${horseId} ${words}`}>
                <strong>{horse(horseId)}</strong> {say(words)}
              </li>
            ))}
          </ul>
        </section>
      )}
      <ComingLessons {...{ season, busy, said }} onMove={move} />
    </section>
  );
}

function draggedWords({ coming }: SeasonData, { lessonId, days }: { lessonId: string; days: number }): string {
  const lesson = coming.find(({ id }) => id === lessonId);
  return lesson ? `“${lesson.name}” to ${said(lesson.day + days)}` : '';
}
