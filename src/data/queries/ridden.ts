import { and, asc, desc, eq, isNull, max, sql } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { horses, layoutVersions, pairs, passes, people } from '../schema';

export type RiddenLayout = {
  pairId: string;
  riderName: string;
  layoutId: string;
  layoutName: string;
  passes: number;
  lastMs: number;
};

/** What a horse has ridden, with whom: layouts, passes and the last day, the newest first. */
export async function riddenByHorse(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  horseId: string,
): Promise<RiddenLayout[]> {
  const last = max(passes.riddenAt);
  const rows = await db
    .select({
      pairId: pairs.id,
      riderName: people.name,
      layoutId: layoutVersions.layoutId,
      layoutName: max(layoutVersions.name),
      passes: sql<number>`count(*)`.mapWith(Number),
      last,
    })
    .from(passes)
    .innerJoin(pairs, eq(pairs.id, passes.pairId))
    .innerJoin(people, eq(people.id, pairs.riderId))
    .innerJoin(layoutVersions, eq(layoutVersions.id, passes.layoutVersionId))
    .where(and(eq(passes.yardId, yardId), eq(pairs.horseId, horseId), isNull(passes.undoneAt)))
    .groupBy(pairs.id, people.name, layoutVersions.layoutId)
    .orderBy(desc(last), asc(people.name));
  return rows.map(row => ({
    ...{ pairId: row.pairId, riderName: row.riderName, layoutId: row.layoutId, passes: row.passes },
    layoutName: row.layoutName ?? '',
    lastMs: row.last?.getTime() ?? 0,
  }));
}

/** How often each pair has ridden, and when last. */
export async function riddenByPair(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
): Promise<Map<string, { passes: number; lastMs: number }>> {
  const rows = await db
    .select({ pairId: passes.pairId, passes: sql<number>`count(*)`.mapWith(Number), last: max(passes.riddenAt) })
    .from(passes)
    .where(and(eq(passes.yardId, yardId), isNull(passes.undoneAt)))
    .groupBy(passes.pairId);
  return new Map(rows.map(({ pairId, passes: n, last }) => [pairId, { passes: n, lastMs: last?.getTime() ?? 0 }]));
}

/** The layouts that were ridden, those most often ridden first. */
export async function layoutsRidden(db: Pick<RoanDatabase, 'select'>, yardId: string) {
  const often = sql<number>`count(*)`.mapWith(Number);
  return db
    .select({
      layoutId: layoutVersions.layoutId,
      name: sql<string>`max(${layoutVersions.name})`,
      passes: often,
      pairs: sql<number>`count(distinct ${passes.pairId})`.mapWith(Number),
    })
    .from(passes)
    .innerJoin(layoutVersions, eq(layoutVersions.id, passes.layoutVersionId))
    .where(and(eq(passes.yardId, yardId), isNull(passes.undoneAt)))
    .groupBy(layoutVersions.layoutId)
    .orderBy(desc(often));
}

export type SingleRide = {
  pairId: string;
  versionId: string;
  horseName: string;
  riderName: string;
  layoutName: string;
  passes: number;
  lastMs: number;
};

/** What pairs rode by themselves, outside of a lesson: pair by pair over each kept layout, the latest first. */
export async function singleRides(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  most: number,
): Promise<SingleRide[]> {
  const last = max(passes.riddenAt);
  const rows = await db
    .select({
      ...{ pairId: passes.pairId, versionId: passes.layoutVersionId, layoutName: max(layoutVersions.name) },
      ...{ horseName: max(horses.name), riderName: max(people.name), last },
      passes: sql<number>`count(*)`.mapWith(Number),
    })
    .from(passes)
    .innerJoin(pairs, eq(pairs.id, passes.pairId))
    .innerJoin(horses, eq(horses.id, pairs.horseId))
    .innerJoin(people, eq(people.id, pairs.riderId))
    .innerJoin(layoutVersions, eq(layoutVersions.id, passes.layoutVersionId))
    .where(and(eq(passes.yardId, yardId), isNull(passes.lessonId), isNull(passes.undoneAt)))
    .groupBy(passes.pairId, passes.layoutVersionId)
    .orderBy(desc(last))
    .limit(most);
  return rows.map(({ last: at, layoutName, horseName, riderName, ...row }) => ({
    ...row,
    ...{ layoutName: layoutName ?? '', horseName: horseName ?? '', riderName: riderName ?? '' },
    lastMs: at?.getTime() ?? 0,
  }));
}
