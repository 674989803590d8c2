import 'server-only';
import type { RoanDatabase } from '@/data/database';
import { listLayouts } from '@/data/queries/layouts';
import { lessonsBetween, type Lesson } from '@/data/queries/lessons';
import { listPairs, type Pair } from '@/data/queries/pairs';
import type { Yard } from '@/data/queries/yards';
import type { KeepList, PageToKeep } from '@/files/keptPages';
import { isInstructor } from './access/isInstructor';
import type { Who } from './access/whoIsThere';
import { hashOf, lessonSetups } from './lessonSetup';
import { yardTime } from './yardTime';

const HOUR_MS = 3600 * 1000;
/** A lesson of this morning may still be ridden; those of the next days are kept too: a signal may not come back for long. */
const BACK_MS = 12 * HOUR_MS;
const AHEAD_MS = 4 * 24 * HOUR_MS;
/** So many lessons and horses are kept: a device has little room, and the server other work. */
const MOST_LESSONS = 12;
const MOST_HORSES = 12;

/** What a device keeps for whoever is signed in: the lessons of these days with all that is used in them. */
export async function pagesToKeep(db: RoanDatabase, yard: Yard, who: Who, nowMs: number): Promise<KeepList> {
  const coming = await lessonsBetween(db, yard.id, nowMs - BACK_MS, nowMs + AHEAD_MS);
  const lessons = coming.slice(0, MOST_LESSONS);
  const setups = await lessonSetups(db, yard.id, lessons);
  const pairs = await listPairs(db, yard.id);
  // Pages say which day is today.
  const day = yardTime(nowMs, yard.timeZone, 'YYYY-MM-DD');
  const all = hashOf([day, setups]);
  const known = { yard, lessons, setups, pairs, day, all };
  const isRider = !who.open && who.role === 'rider';
  const pages = isRider ? riderPages(known, who.id) : await teachingPages(db, known, isInstructor(who));
  return {
    owner: hashOf([yard.id, who.open ? 'open' : who.id]),
    pages: [...pages, { href: '/waiting', words: 'Not sent yet', stamp: day }],
  };
}

type Known = { yard: Yard; lessons: readonly Lesson[]; setups: string[]; pairs: Pair[]; day: string; all: string };

const riding = ({ lessons, pairs }: Known): Pair[] => {
  const ids = new Set(lessons.flatMap(({ plan }) => plan.pairIds));
  return pairs.filter(({ id }) => ids.has(id));
};
const horsesOf = (known: Known) => [...new Set(riding(known).map(({ horseId }) => horseId))].slice(0, MOST_HORSES);

async function teachingPages(db: RoanDatabase, known: Known, plans: boolean): Promise<PageToKeep[]> {
  const { yard, lessons, setups, day, all } = known;
  const when = ({ startsAtMs }: Lesson) => yardTime(startsAtMs, yard.timeZone, 'ddd D MMM, HH:mm');
  const ofLessons = lessons.flatMap((lesson, index): PageToKeep[] => {
    const stamp = hashOf([day, setups[index]]);
    const words = `${lesson.name}, ${when(lesson)}`;
    return [
      { href: `/ride/lessons/${lesson.id}/run`, words: `Teach: ${words}`, stamp },
      { href: `/ride/lessons/${lesson.id}`, words: `Plan: ${words}`, stamp },
    ];
  });
  const layoutIds = new Set(lessons.flatMap(({ plan }) => plan.stages.flatMap(({ layoutId }) => layoutId ?? [])));
  const layouts = (await listLayouts(db, yard.id)).filter(({ id }) => layoutIds.has(id));
  return [
    ...(plans ? [{ href: '/today', words: 'Today', stamp: all }] : []),
    ...ofLessons,
    ...layouts.map(({ id, name }) => ({ href: `/set/${id}`, words: `Set out: ${name}`, stamp: all })),
    ...(plans ? testPages(known) : []),
    { href: '/ride', words: 'Ride', stamp: all },
    { href: '/set', words: 'Set', stamp: all },
  ];
}

function testPages(known: Known): PageToKeep[] {
  const nameOf = (horseId: string) => known.pairs.find(pair => pair.horseId === horseId)!.horseName;
  return horsesOf(known).map(id => ({
    ...{ href: `/yard/horses/${id}/test`, words: `Stride test: ${nameOf(id)}` },
    stamp: known.all,
  }));
}

function riderPages({ yard, lessons, setups, pairs, day, all }: Known, riderId: string): PageToKeep[] {
  const own = new Set(pairs.filter(pair => pair.riderId === riderId).map(({ id }) => id));
  const ofLessons = lessons.flatMap(({ id, name, startsAtMs, plan }, index) =>
    plan.pairIds
      .filter(pairId => own.has(pairId))
      .map(pairId => ({
        href: `/ride/lessons/${id}/for/${pairId}`,
        words: `${name}, ${yardTime(startsAtMs, yard.timeZone, 'ddd D MMM, HH:mm')}`,
        stamp: hashOf([day, setups[index]]),
      })),
  );
  return [{ href: '/mine', words: 'Mine', stamp: all }, ...ofLessons];
}
