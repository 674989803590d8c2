import { Card } from '@/components/Card/Card';
import { FilmRibbon } from '@/components/film/FilmRibbon';
import { Said } from '@/components/Lengths/LengthsProvider';
import { dayInWords, dayNumber, filmReading, filmSentences } from '@/core';
import type { RoanDatabase } from '@/data/database';
import { filmMarks, filmsOfPair } from '@/data/queries/videos';
import Link from 'next/link';
import classes from '../_components/Pictures.module.css';

/** The latest say how it goes now; the others are on their own page. */
const SHOWN = 3;

type FilmsCardProps = {
  db: RoanDatabase;
  yardId: string;
  pairId: string;
  /** Where a film is looked at: an instructor judges it, a rider reads what was said. */
  hrefOf: (filmId: string) => string;
  /** Whether films that were not answered are shown too. */
  showsAll: boolean;
};

/** Films of a pair without a lesson: its gaits as it went, and what that comes to. */
export async function FilmsCard({ db, yardId, pairId, hrefOf, showsAll }: FilmsCardProps) {
  const all = (await filmsOfPair(db, yardId, pairId)).filter(({ answeredAt }) => showsAll || answeredAt !== null);
  const films = await Promise.all(
    all.slice(0, SHOWN).map(async film => ({ ...film, marks: await filmMarks(db, yardId, film.id) })),
  );
  if (films.length === 0) return null;
  return (
    <Card label="Films with no lesson" title="Films with no lesson">
      <ul className={classes.list}>
        {films.map(({ id, day, lengthS, marks, answeredAt }) => (
          <li key={id}>
            <Link href={hrefOf(id)}>{dayInWords(dayNumber(day!))}</Link>
            {answeredAt ? '' : ', not answered yet'}
            {lengthS !== null && marks.length > 0 && (
              <>
                <FilmRibbon marks={marks} lengthS={lengthS} />
                {filmSentences(filmReading(marks, lengthS)).map(sentence => (
                  <div key={sentence}>
                    <Said>{sentence}</Said>
                  </div>
                ))}
              </>
            )}
          </li>
        ))}
      </ul>
      {all.length > SHOWN && <p>{all.length - SHOWN} more lie with the films of the pair.</p>}
    </Card>
  );
}
