import { and, asc, desc, eq, getTableColumns, gt, is, isNotNull, isNull, sql } from 'drizzle-orm';
import { SQLiteTable } from 'drizzle-orm/sqlite-core';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase, Transaction } from '../database';
import { saveSetting, setting } from '../oneSetting';
import * as schema from '../schema';

const KEY = 'sample';
/** Of the demo's layouts the one with most to show. */
const SAMPLE_COURSE = 'Course of eight, low';

/** Whether a yard is a sample: made to try things with, and thrown away when one likes. */
export async function isSample(db: Pick<RoanDatabase, 'select'>, yardId: string): Promise<boolean> {
  return (await setting(db, yardId, KEY)) === true;
}

/** From now on a yard is a sample. */
export async function markSample(tx: Transaction, yardId: string): Promise<void> {
  await saveSetting(tx, yardId, KEY, true);
}

/** A sample is a yard as any other from now on, and cannot be thrown away. */
export async function keepSample(tx: Transaction, yardId: string): Promise<void> {
  await tx.delete(schema.settings).where(and(eq(schema.settings.yardId, yardId), eq(schema.settings.key, KEY)));
}

/** What a way round a sample leads to; null where it is not there any more. */
export type SampleWay = {
  layoutId: string | null;
  lessonId: string | null;
  riddenId: string | null;
  pairId: string | null;
};

/** Where a sample shows best what Roan does: a course, the lesson to come, the one that was ridden last, and a pair of it. */
export async function sampleWay(db: Pick<RoanDatabase, 'select'>, yardId: string, nowMs: number): Promise<SampleWay> {
  const { layouts, lessons, passes } = schema;
  const [layout] = await db
    .select({ id: layouts.id })
    .from(layouts)
    .where(and(eq(layouts.yardId, yardId), isNull(layouts.archivedAt)))
    .orderBy(desc(eq(layouts.name, SAMPLE_COURSE)), asc(layouts.createdAt), asc(layouts.id))
    .limit(1);
  const [lesson] = await db
    .select({ id: lessons.id })
    .from(lessons)
    .where(and(eq(lessons.yardId, yardId), isNull(lessons.archivedAt), gt(lessons.startsAt, new Date(nowMs))))
    .orderBy(asc(lessons.startsAt))
    .limit(1);
  const [pass] = await db
    .select({ lessonId: passes.lessonId, pairId: passes.pairId })
    .from(passes)
    .where(and(eq(passes.yardId, yardId), isNotNull(passes.lessonId)))
    .orderBy(desc(passes.riddenAt))
    .limit(1);
  return {
    ...{ layoutId: layout?.id ?? null, lessonId: lesson?.id ?? null },
    ...{ riddenId: pass?.lessonId ?? null, pairId: pass?.pairId ?? null },
  };
}

/** Tables of a yard, and of them last those that triggers write to while others go. */
const TABLES = Object.values(schema)
  .filter((table): table is typeof table & SQLiteTable => is(table, SQLiteTable) && 'yardId' in getTableColumns(table))
  .sort((a, b) => Number(a === schema.changedDays) - Number(b === schema.changedDays));

/**
 * Throws a sample away, with all that was entered there.
 * @returns the ids of its films, whose files can go now
 * @throws {DatabaseRefused} where the yard is no sample
 */
export async function removeSample(tx: Transaction, yardId: string): Promise<string[]> {
  if (!(await isSample(tx, yardId)))
    throw new DatabaseRefused('This yard is no sample: it is not thrown away. Nothing was changed.');
  const films = await tx.select({ id: schema.videos.id }).from(schema.videos).where(eq(schema.videos.yardId, yardId));
  // Rows name each other both ways: whether none names one that is gone is looked at when all of them are.
  await tx.run(sql.raw('pragma defer_foreign_keys = on'));
  for (const table of TABLES) {
    const { yardId: column } = getTableColumns(table) as { yardId: typeof schema.settings.yardId };
    await tx.delete(table).where(eq(column, yardId));
  }
  await tx.delete(schema.yards).where(eq(schema.yards.id, yardId));
  return films.map(({ id }) => id);
}
