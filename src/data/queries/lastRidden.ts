import { and, eq, isNull, max } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { layoutVersions, passes } from '../schema';

/** When each layout of a yard was ridden last, by its id, epoch milliseconds; those that never were are not in it. */
export async function lastRiddenByLayout(db: RoanDatabase, yardId: string): Promise<Map<string, number>> {
  const rows = await db
    .select({ layoutId: layoutVersions.layoutId, last: max(passes.riddenAt) })
    .from(passes)
    .innerJoin(layoutVersions, eq(layoutVersions.id, passes.layoutVersionId))
    .where(and(eq(passes.yardId, yardId), isNull(passes.undoneAt)))
    .groupBy(layoutVersions.layoutId);
  return new Map(rows.flatMap(({ layoutId, last }) => (last ? [[layoutId, last.getTime()] as const] : [])));
}
