import { EmptyState } from '@/components/EmptyState/EmptyState';
import { PageHead } from '@/components/PageHead/PageHead';
import { DISCLAIMER } from '@/core';
import type { RiderFilmLine, RiderHome, RiderLessonLine } from '@/app/_server/riderHome';
import type { ReactNode } from 'react';
import classes from './Rider.module.css';

type RiderHomeProps = {
  name: string;
  home: RiderHome;
  hrefOf: (line: RiderLessonLine) => string;
  filmHref: (film: RiderFilmLine) => string;
  /** Sends a film; nothing where it is only read. */
  send?: ReactNode;
};

/** A rider's page: lessons to come and ridden, and what to ride next. */
export function RiderHomeView({ name, home: { coming, ridden, next, films }, hrefOf, filmHref, send }: RiderHomeProps) {
  return (
    <article className={classes.page}>
      <PageHead title={name} sub="Your lessons, and what to ride next." />
      {next.length > 0 && (
        <section aria-label="What to ride next">
          <h2>What to ride next</h2>
          {next.map(({ horse, words }) => (
            <p key={horse}>
              <strong>{horse}:</strong> {words.join(' ')}
            </p>
          ))}
        </section>
      )}
      <Lessons title="To come" lines={coming} none="No lesson is planned for you yet." hrefOf={hrefOf} />
      <Lessons title="Ridden" lines={ridden} none="No lesson of yours lies back yet." hrefOf={hrefOf} />
      {(films.length > 0 || send) && (
        <section aria-label="Films">
          <h2>Films</h2>
          <ul>
            {films.map(film => (
              <li key={film.id}>
                <a href={filmHref(film)}>
                  {film.when}: {film.name}
                </a>
                {film.isAlone && (film.isAnswered ? ', answered' : ', not answered yet')}
              </li>
            ))}
          </ul>
          {send}
        </section>
      )}
      <p className={classes.small}>{DISCLAIMER}</p>
    </article>
  );
}

type LessonsProps = Pick<RiderHomeProps, 'hrefOf'> & { title: string; lines: readonly RiderLessonLine[]; none: string };

function Lessons({ title, lines, none, hrefOf }: LessonsProps) {
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      {lines.length === 0 && <EmptyState title={none}>Ask your instructor.</EmptyState>}
      <ul>
        {lines.map(line => (
          <li key={`${line.lessonId} ${line.pairId}`}>
            <a href={hrefOf(line)}>
              {line.when}: {line.name}
            </a>
            , on {line.horse}
          </li>
        ))}
      </ul>
    </section>
  );
}
