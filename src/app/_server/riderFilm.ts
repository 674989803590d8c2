import 'server-only';
import { dayInWords, dayNumber, type TimedFilmMark } from '@/core';
import type { RoanDatabase } from '@/data/database';
import { stillsOf, type FilmStill } from '@/data/queries/filmStills';
import { findPair } from '@/data/queries/pairs';
import { filmMarks, findFilm } from '@/data/queries/videos';
import { yardTime } from './yardTime';

/** A film of a pair and a day as its rider reads it: until it is answered, what was sent alone. */
export type RiderFilm = {
  id: string;
  horse: string;
  riderId: string;
  day: string;
  asks: string | null;
  /** Whether the film itself lies there still. */
  isThere: boolean;
  lengthS: number | null;
  answered: { words: string; on: string; marks: TimedFilmMark[]; stills: FilmStill[] } | null;
};

/** Null where there is no such film of a pair. */
export async function riderFilm(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  videoId: string,
): Promise<RiderFilm | null> {
  const film = await findFilm(db, yard.id, videoId);
  const pair = film?.pairId ? await findPair(db, yard.id, film.pairId) : null;
  if (!film || !pair || film.day === null) return null;
  const { id, asks, lengthS, answer, answeredAt } = film;
  return {
    ...{ id, asks, lengthS, horse: pair.horseName, riderId: pair.riderId, isThere: film.removedAt === null },
    day: dayInWords(dayNumber(film.day)),
    answered: answeredAt && {
      ...{ words: answer ?? '', on: yardTime(answeredAt.getTime(), yard.timeZone, 'D MMMM YYYY') },
      ...{ marks: await filmMarks(db, yard.id, id), stills: await stillsOf(db, yard.id, id) },
    },
  };
}
