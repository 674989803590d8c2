'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { filmMarkWords, filmReading, filmTime, gaitWord, hasSlipped, type FilmGait, type TimedFilmMark } from '@/core';
import { useMemo } from 'react';
import classes from './FilmRibbon.module.css';

type FilmRibbonProps = {
  marks: readonly TimedFilmMark[];
  lengthS: number;
  /** Where the film stands now, seconds; null where it does not play. */
  atS?: number | null;
  onGo?: (atS: number) => void;
};

type Band = { key: string; fromS: number; toS: number; words: string; slipped: boolean };

/** A film from its beginning to its end: what was asked over what was ridden, darker where it slipped, and what was seen at a time. */
export function FilmRibbon({ marks, lengthS, atS = null, onGo }: FilmRibbonProps) {
  const say = useSay();
  const { asked, ridden } = useMemo(() => bandsOf(marks, lengthS), [marks, lengthS]);
  const ticks = marks.filter(({ kind }) => kind === 'lead' || kind === 'break' || kind === 'note');
  const share = (s: number) => `${(100 * Math.min(lengthS, Math.max(0, s))) / lengthS}%`;
  const told = ridden.filter(({ words }) => words !== '').map(band => `${filmTime(band.fromS)} ${band.words}`);
  return (
    <div
      className={classes.ribbon}
      role="img"
      aria-label={say(`The film in gaits: ${told.join(', ') || 'nothing is marked yet'}`)}
      onClick={event => {
        const { left, width } = event.currentTarget.getBoundingClientRect();
        onGo?.(((event.clientX - left) / width) * lengthS);
      }}
    >
      {asked.length > 0 && (
        <div className={classes.asked}>
          {asked.map(band => (
            <span
              key={band.key}
              style={{ insetInlineStart: share(band.fromS), inlineSize: share(band.toS - band.fromS) }}
            >
              {say(band.words)}
            </span>
          ))}
        </div>
      )}
      <div className={classes.ridden}>
        {ridden.map(band => (
          <span
            key={band.key}
            data-slipped={band.slipped || undefined}
            style={{ insetInlineStart: share(band.fromS), inlineSize: share(band.toS - band.fromS) }}
          >
            {say(band.words)}
          </span>
        ))}
      </div>
      <div className={classes.ticks}>
        {ticks.map(mark => (
          <span
            key={mark.id}
            data-kind={mark.kind}
            style={{ insetInlineStart: share(mark.atS) }}
            title={say(filmMarkWords(mark))}
          />
        ))}
      </div>
      {atS !== null && <span className={classes.now} style={{ insetInlineStart: share(atS) }} />}
    </div>
  );
}

function bandsOf(marks: readonly TimedFilmMark[], lengthS: number): { asked: Band[]; ridden: Band[] } {
  const { stretches } = filmReading(marks, lengthS);
  const band = (gait: FilmGait | null, fromS: number, toS: number, slipped: boolean): Band => ({
    ...{ key: String(fromS), fromS, toS, slipped },
    words: gait === null ? '' : gaitWord(gait),
  });
  const asked: Band[] = [];
  for (const { fromS, toS, asked: gait } of stretches) {
    const last = asked.at(-1);
    const next = band(gait, fromS, toS, false);
    if (last?.words === next.words) last.toS = toS;
    else asked.push(next);
  }
  return {
    asked: asked.some(({ words }) => words !== '') ? asked : [],
    ridden: stretches.map(one => band(one.ridden, one.fromS, one.toS, hasSlipped(one))),
  };
}
