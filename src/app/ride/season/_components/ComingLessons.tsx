'use client';

import { Button } from '@mantine/core';
import Link from 'next/link';
import type { SeasonData } from '../seasonData';
import classes from './Season.module.css';

type ComingLessonsProps = {
  season: SeasonData;
  busy: boolean;
  said: (day: number) => string;
  onMove: (lessonId: string, days: number) => void;
};

const STEPS = [
  { days: -7, words: 'A week earlier' },
  { days: -1, words: 'A day earlier' },
  { days: 1, words: 'A day later' },
  { days: 7, words: 'A week later' },
];

/** The lessons to come, one by one: the same moves without dragging. */
export function ComingLessons({ season: { coming, today }, busy, said, onMove }: ComingLessonsProps) {
  const ahead = coming.filter(({ day }) => day >= today);
  if (ahead.length === 0) return <p>No lesson is planned: make one from what comes next.</p>;
  return (
    <section aria-label="Lessons to come" className={classes.coming}>
      <h2>To come</h2>
      <ul>
        {ahead.map(({ id, name, day, time, pairs }) => (
          <li key={id}>
            <span>
              <Link href={`/ride/lessons/${id}`}>{name}</Link>
              <small>
                {said(day)}, {time}. {pairs}
              </small>
            </span>
            <span className={classes.moves}>
              {STEPS.map(({ days, words }) => (
                <Button
                  key={days}
                  size="compact-md"
                  mih={44}
                  variant="default"
                  disabled={busy || day + days < today}
                  aria-label={`${name}: ${words.toLowerCase()}`}
                  onClick={() => onMove(id, days)}
                >
                  {words}
                </Button>
              ))}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
