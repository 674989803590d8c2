'use client';

import type { MonthOfPair } from '@/app/api/work/route';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import classes from './LessonMonth.module.css';

type MonthWorkProps = {
  /** "2026-11", and how many days it has. */
  month: string;
  days: number;
};

/** The work of each pair in a month: a bar for each day that it worked, as high as its share of what is enough for a day. */
export function MonthWork({ month, days }: MonthWorkProps) {
  const [known, setKnown] = useState<{ month: string; pairs: MonthOfPair[] | null } | null>(null);
  useEffect(() => {
    let isWanted = true;
    void fetch(`/api/work?month=${month}`)
      .then(async answer => (answer.ok ? ((await answer.json()) as { pairs: MonthOfPair[] }).pairs : null))
      .catch(() => null)
      .then(pairs => isWanted && setKnown({ month, pairs }));
    return () => {
      isWanted = false;
    };
  }, [month]);
  if (known?.month !== month) return <p role="status">Adding up the work …</p>;
  if (known.pairs === null)
    return <p role="status">The server does not answer: the work of this month is not known here.</p>;
  if (known.pairs.length === 0) return <p>Nobody works in this month.</p>;
  return (
    <section aria-label="Work by pair" className={classes.work}>
      <h3>Work by pair</h3>
      <ul>
        {known.pairs.map(pair => (
          <li key={pair.id}>
            <Link href={`/review/${pair.id}`}>
              {pair.horse} <small>with {pair.rider}</small>
            </Link>
            <Bars pair={pair} days={days} />
            <span>{inWords(pair)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

const HIGH = 20;

/** The line is what is enough for a day; a bar that comes to it is marked by more than its height. */
function Bars({ pair, days }: { pair: MonthOfPair; days: number }) {
  return (
    <svg viewBox={`0 0 ${days * 6} ${HIGH + 4}`} className={classes.bars} aria-hidden="true">
      <line x1={0} x2={days * 6} y1={4} y2={4} className={classes.enough} />
      <line x1={0} x2={days * 6} y1={HIGH + 4} y2={HIGH + 4} className={classes.ground} />
      {pair.days.map(({ day, share }) => {
        const high = Math.max(1.5, Math.min(1, share) * HIGH);
        return (
          <rect
            key={day}
            x={(day - 1) * 6 + 1}
            y={HIGH + 4 - high}
            width={4}
            height={high}
            data-full={share >= 1 || undefined}
          />
        );
      })}
    </svg>
  );
}

function inWords({ days }: MonthOfPair): string {
  const efforts = days.reduce((sum, day) => sum + day.efforts, 0);
  const circleMin = days.reduce((sum, day) => sum + day.circleMin, 0);
  const full = days.filter(({ share }) => share >= 1).length;
  return [
    `${days.length} ${days.length === 1 ? 'day' : 'days'}`,
    ...(efforts > 0 ? [`${efforts} efforts`] : []),
    ...(circleMin >= 0.5 ? [`${circleMin.toFixed(0)} min on small circles`] : []),
    ...(full > 0 ? [`${full} ${full === 1 ? 'day' : 'days'} at the limit`] : []),
  ].join(', ');
}
