import { and, eq, isNull, max } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { layouts, layoutVersions, passes, settingTicks } from '../schema';

type Reader = Pick<RoanDatabase, 'select'>;

/** A layout that was ridden or set out on an arena, and when that was last. */
export type OnSand = { layoutId: string; name: string; arenaId: string; atMs: number; by: 'ridden' | 'set' };

/** What was ridden over or ticked off as set, layout by layout, the latest first: the first of an arena is what stands there, as far as Roan knows. */
export async function layoutsOnSand(db: Reader, yardId: string): Promise<OnSand[]> {
  const ridden = await db
    .select({ layoutId: layouts.id, name: layouts.name, arenaId: layouts.arenaId, at: max(passes.riddenAt) })
    .from(passes)
    .innerJoin(layoutVersions, eq(layoutVersions.id, passes.layoutVersionId))
    .innerJoin(layouts, eq(layouts.id, layoutVersions.layoutId))
    .where(and(eq(passes.yardId, yardId), isNull(passes.undoneAt), isNull(layouts.archivedAt)))
    .groupBy(layouts.id);
  const set = await db
    .select({ layoutId: layouts.id, name: layouts.name, arenaId: layouts.arenaId, at: max(settingTicks.tappedAt) })
    .from(settingTicks)
    .innerJoin(layouts, eq(layouts.id, settingTicks.layoutId))
    .where(and(eq(settingTicks.yardId, yardId), eq(settingTicks.ticked, true), isNull(layouts.archivedAt)))
    .groupBy(layouts.id);
  const told = (by: OnSand['by']) => (row: (typeof ridden)[number]) =>
    row.at === null
      ? []
      : [{ layoutId: row.layoutId, name: row.name, arenaId: row.arenaId, atMs: row.at.getTime(), by }];
  return [...ridden.flatMap(told('ridden')), ...set.flatMap(told('set'))].sort((a, b) => b.atMs - a.atMs);
}
