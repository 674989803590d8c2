import { lessonMinutes } from '@/core';
import { and, eq, isNull } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { arenas, lessons } from '../schema';
import { lessonOf } from './lessons';
import { listPairs } from './pairs';

/** Something that two lessons want at one time. */
export type Clash = { what: 'horse' | 'rider' | 'arena'; name: string; lessonId: string; lesson: string };

/** A lesson without planned minutes still takes some. */
const LEAST_MIN = 1;

/** The horses, riders and the arena of a lesson that another one wants at the same time. */
export async function lessonClashes(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  lessonId: string,
): Promise<Clash[]> {
  const rows = await db
    .select({ lesson: lessons, arena: arenas.name })
    .from(lessons)
    .innerJoin(arenas, eq(arenas.id, lessons.arenaId))
    .where(and(eq(lessons.yardId, yardId), isNull(lessons.archivedAt)));
  const all = rows.map(({ lesson, arena }) => ({ ...lessonOf(lesson), arena }));
  const own = all.find(({ id }) => id === lessonId);
  if (!own) return [];
  const pairs = await listPairs(db, yardId);
  const of = (ids: readonly string[]) => pairs.filter(({ id }) => ids.includes(id));
  const [from, to] = spanOf(own);
  return all.flatMap((other): Clash[] => {
    const [otherFrom, otherTo] = spanOf(other);
    if (other.id === lessonId || otherFrom >= to || otherTo <= from) return [];
    const [mine, theirs] = [of(own.plan.pairIds), of(other.plan.pairIds)];
    const at = { lessonId: other.id, lesson: other.name };
    const horses = mine.filter(({ horseId }) => theirs.some(pair => pair.horseId === horseId));
    const riders = mine.filter(({ riderId }) => theirs.some(pair => pair.riderId === riderId));
    return [
      ...unique(horses.map(({ horseName }) => horseName)).map(name => ({ what: 'horse' as const, name, ...at })),
      ...unique(riders.map(({ riderName }) => riderName)).map(name => ({ what: 'rider' as const, name, ...at })),
      ...(other.arenaId === own.arenaId ? [{ what: 'arena' as const, name: own.arena, ...at }] : []),
    ];
  });
}

const unique = (names: readonly string[]) => [...new Set(names)];

function spanOf({ startsAtMs, plan }: Pick<ReturnType<typeof lessonOf>, 'startsAtMs' | 'plan'>): [number, number] {
  return [startsAtMs, startsAtMs + Math.max(LEAST_MIN, lessonMinutes(plan)) * 60_000];
}
