'use client';

import type { RiderFilm } from '@/app/_server/riderFilm';
import { FilmRibbon } from '@/components/film/FilmRibbon';
import { useFilm } from '@/components/film/useFilm';
import { useSay } from '@/components/Lengths/LengthsProvider';
import { PageHead } from '@/components/PageHead/PageHead';
import { DISCLAIMER, filmMarkWords, filmReading, filmSentences, filmTime, type TimedFilmMark } from '@/core';
import classes from './Rider.module.css';

type RiderFilmViewProps = {
  film: RiderFilm;
  /** Where the film lies; its pictures lie under it. */
  filmHref: string;
};

/** What of the marks a rider goes to: what changed, and what was said; not each stride. */
const isTold = ({ kind }: TimedFilmMark) => kind !== 'stride';

/** A rider’s own film: what was said of it, what it shows, and its times with the pictures out of it. */
export function RiderFilmView({ film, filmHref }: RiderFilmViewProps) {
  const say = useSay();
  const { horse, day, asks, isThere, answered } = film;
  const { video, atS: nowAtS, lengthS, go, player } = useFilm(film.lengthS);
  const seen = [
    ...(answered?.marks ?? []).filter(isTold).map(mark => ({ key: mark.id, atS: mark.atS, mark, still: null })),
    ...(answered?.stills ?? []).map(still => ({ key: still.id, atS: still.atS, mark: null, still })),
  ].sort((a, b) => a.atS - b.atS);
  return (
    <article className={classes.page}>
      <PageHead title={`${horse}, ${day}`} sub={answered ? `Answered on ${answered.on}.` : 'Not answered yet.'} />
      {answered && (
        <section aria-label="A word from your instructor" className={classes.word}>
          <h2>A word from your instructor</h2>
          <p>{answered.words}</p>
        </section>
      )}
      {asks !== null && <p>You asked: “{asks}”</p>}
      {isThere && (
        <video
          ref={video}
          src={filmHref}
          controls
          muted
          playsInline
          preload="metadata"
          className={classes.film}
          {...player}
        />
      )}
      {answered && lengthS !== null && (
        <section aria-label="What it shows">
          <h2>What it shows</h2>
          <FilmRibbon marks={answered.marks} lengthS={lengthS} atS={isThere ? nowAtS : null} onGo={go} />
          {filmSentences(filmReading(answered.marks, lengthS)).map(sentence => (
            <p key={sentence}>{say(sentence)}</p>
          ))}
        </section>
      )}
      {seen.length > 0 && (
        <section aria-label="Time by time">
          <h2>Time by time</h2>
          <ol className={classes.times}>
            {seen.map(({ key, atS, mark, still }) => (
              <li key={key}>
                <button type="button" onClick={() => go(atS)}>
                  {filmTime(atS)}
                </button>
                {mark && <span>{say(filmMarkWords(mark))}</span>}
                {/* A picture of its own rider: no other size of it is there. */}
                {/* eslint-disable-next-line @next/next/no-img-element */}
                {still && <img src={`${filmHref}/stills/${still.id}`} alt={`The film at ${filmTime(atS)}`} />}
              </li>
            ))}
          </ol>
        </section>
      )}
      <p className={classes.small}>{DISCLAIMER}</p>
    </article>
  );
}
