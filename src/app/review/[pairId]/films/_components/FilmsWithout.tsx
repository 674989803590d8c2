'use client';

import { Card } from '@/components/Card/Card';
import { SendFilm } from '@/components/film/SendFilm';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import classes from './FilmList.module.css';

type FilmsWithoutProps = {
  pairId: string;
  today: string;
  films: readonly { id: string; line: string; state: string }[];
};

/** Films of a pair that were ridden without a lesson, each with whether it was answered; another is added. */
export function FilmsWithout({ pairId, today, films }: FilmsWithoutProps) {
  const router = useRouter();
  return (
    <Card label="With no lesson" title="With no lesson">
      <ul className={classes.entries}>
        {films.map(({ id, line, state }) => (
          <li key={id}>
            <Link href={`/review/films/${id}`}>{line}</Link>
            <span>{state}</span>
          </li>
        ))}
      </ul>
      <SendFilm
        pairs={[{ id: pairId, name: '' }]}
        today={today}
        asks={false}
        onSent={id => router.push(`/review/films/${id}`)}
      />
    </Card>
  );
}
