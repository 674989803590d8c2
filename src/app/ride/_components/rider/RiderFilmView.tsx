'use client';

import type { RiderFilm } from '@/app/_server/riderFilm';
import { FilmRibbon } from '@/components/film/FilmRibbon';
import { useFilm } from '@/components/film/useFilm';
import { useSay } from '@/components/Lengths/LengthsProvider';
import { PageHead } from '@/components/PageHead/PageHead';
import { DISCLAIMER, filmMarkWords, filmReading, filmSentences, filmTime } from '@/core';
import classes from './Rider.module.css';

type RiderFilmViewProps = {
  film: RiderFilm;
  /** Where the film lies; its pictures lie under it. */
  filmHref: string;
};

type SeenAt = { atS: number; words: string[]; stillIds: string[] };

/** What a rider goes to, second by second: what changed, what was said, and the pictures; not each stride. */
function timesOf({ marks, stills }: NonNullable<RiderFilm['answered']>): SeenAt[] {
  const seen = new Map<number, SeenAt>();
  const of = (atS: number) => {
    const second = Math.floor(atS);
    const there = seen.get(second) ?? { atS, words: [], stillIds: [] };
    seen.set(second, there);
    return there;
  };
  for (const mark of marks) if (mark.kind !== 'stride') of(mark.atS).words.push(filmMarkWords(mark));
  for (const { id, atS } of stills) of(atS).stillIds.push(id);
  return [...seen.values()].sort((a, b) => a.atS - b.atS);
}

/** A rider’s own film: what was said of it, what it shows, and its times with the pictures out of it. */
export function RiderFilmView({ film, filmHref }: RiderFilmViewProps) {
  const say = useSay();
  const { horse, day, asks, isThere, answered } = film;
  const { video, atS: nowAtS, lengthS, go, player } = useFilm(film.lengthS);
  const seen = answered ? timesOf(answered) : [];
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
            {seen.map(({ atS, words, stillIds }) => (
              <li key={atS}>
                <button type="button" onClick={() => go(atS)}>
                  {filmTime(atS)}
                </button>
                <div>
                  {say(words.join(', '))}
                  {stillIds.map(id => (
                    // A picture of its own rider: no other size of it is there.
                    // eslint-disable-next-line @next/next/no-img-element
                    <img key={id} src={`${filmHref}/stills/${id}`} alt={`The film at ${filmTime(atS)}`} />
                  ))}
                </div>
              </li>
            ))}
          </ol>
        </section>
      )}
      <p className={classes.small}>{DISCLAIMER}</p>
    </article>
  );
}
