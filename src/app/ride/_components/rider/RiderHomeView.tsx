import { EmptyState } from '@/components/EmptyState/EmptyState';
import { PageHead } from '@/components/PageHead/PageHead';
import { DISCLAIMER } from '@/core';
import type { RiderHome, RiderLessonLine } from '@/app/_server/riderHome';
import classes from './Rider.module.css';

type RiderHomeProps = {
  name: string;
  home: RiderHome;
  hrefOf: (line: RiderLessonLine) => string;
  filmHref: (filmId: string) => string;
};

/** A rider's page: lessons to come and ridden, and what to ride next. */
export function RiderHomeView({ name, home: { coming, ridden, next, films }, hrefOf, filmHref }: RiderHomeProps) {
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
      {films.length > 0 && (
        <section aria-label="Films">
          <h2>Films</h2>
          <ul>
            {films.map(({ id, name: film, when }) => (
              <li key={id}>
                <a href={filmHref(id)}>
                  {when}: {film}
                </a>
              </li>
            ))}
          </ul>
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
