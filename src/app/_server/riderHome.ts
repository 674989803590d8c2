import 'server-only';
import { dayInWords, dayNumber } from '@/core';
import type { RoanDatabase } from '@/data/database';
import { listLessons, lessonTimes } from '@/data/queries/lessons';
import { filmsOfRider } from '@/data/queries/videos';
import { listPairs } from '@/data/queries/pairs';
import { isComing } from './comingLessons';
import { lessonSheet } from './lessonSheet';
import { yardTime } from './yardTime';

/** A lesson of a rider on one of their horses. */
export type RiderLessonLine = { lessonId: string; pairId: string; name: string; when: string; horse: string };

export type RiderHome = {
  coming: RiderLessonLine[];
  ridden: RiderLessonLine[];
  /** What comes next by the last lesson that was ridden, horse by horse. */
  next: { horse: string; words: string[] }[];
  /** Films of what they rode, the newest first. */
  films: RiderFilmLine[];
  /** Who they ride, to send a film of. */
  pairs: { id: string; name: string }[];
  /** Today on the yard’s calendar. */
  today: string;
};

/** A film of a rider; `isAlone`: of no pass and no test, so that it has a page of its own. */
export type RiderFilmLine = { id: string; name: string; when: string; isAlone: boolean; isAnswered: boolean };

/** So many lessons that lie back are listed. */
const SHOWN = 20;

/** What belongs to a rider: lessons to come and ridden, and what to ride next. */
export async function riderHome(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  riderId: string,
  nowMs: number,
): Promise<RiderHome> {
  const own = (await listPairs(db, yard.id)).filter(pair => pair.riderId === riderId);
  const lessons = (await listLessons(db, yard.id)).sort((a, b) => a.startsAtMs - b.startsAtMs);
  const lines = lessons.flatMap(lesson =>
    own
      .filter(({ id }) => lesson.plan.pairIds.includes(id))
      .map(pair => ({ lesson, pair, line: lineOf(lesson, pair, yard.timeZone) })),
  );
  const past = lines.filter(({ lesson }) => !isComing(lesson, nowMs)).reverse();
  const next: RiderHome['next'] = [];
  for (const { id, horseName } of own) {
    const last = await lastRidden(db, yard, past, id);
    if (last) next.push({ horse: horseName, words: last });
  }
  const films = (await filmsOfRider(db, yard.id, riderId)).slice(0, SHOWN);
  return {
    films: films.map(({ id, fileName, createdAt, day, answeredAt }) => ({
      ...{ id, name: fileName, isAlone: day !== null, isAnswered: answeredAt !== null },
      when: day === null ? yardTime(createdAt.getTime(), yard.timeZone, 'D MMMM') : dayInWords(dayNumber(day)),
    })),
    pairs: own.filter(({ archived }) => !archived).map(({ id, horseName }) => ({ id, name: horseName })),
    today: yardTime(nowMs, yard.timeZone, 'YYYY-MM-DD'),
    coming: lines.filter(({ lesson }) => isComing(lesson, nowMs)).map(({ line }) => line),
    ridden: past.slice(0, SHOWN).map(({ line }) => line),
    next,
  };
}

type Lesson = Awaited<ReturnType<typeof listLessons>>[number];
type Line = { lesson: Lesson; pair: { id: string; horseName: string }; line: RiderLessonLine };

const lineOf = (
  { id, name, startsAtMs }: Lesson,
  pair: { id: string; horseName: string },
  timeZone: string,
): RiderLessonLine => ({
  ...{ lessonId: id, pairId: pair.id, name, horse: pair.horseName },
  when: yardTime(startsAtMs, timeZone, 'dddd D MMMM YYYY, HH:mm'),
});

/** What the last lesson in which a pair rode says of the next one; null where it rode in none. */
async function lastRidden(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  past: readonly Line[],
  pairId: string,
): Promise<string[] | null> {
  for (const { lesson, pair } of past) {
    if (pair.id !== pairId) continue;
    const { lastRiddenAtMs } = await lessonTimes(db, yard.id, lesson);
    if (lastRiddenAtMs === null) continue;
    const sheet = await lessonSheet(db, yard, lesson);
    const found = sheet.pairs.find(({ id }) => id === pairId);
    if (found && found.end.next.length > 0) return found.end.next;
  }
  return null;
}
