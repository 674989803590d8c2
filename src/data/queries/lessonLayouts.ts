import { and, eq, inArray, isNull, max } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { arenas, layouts, standings } from '../schema';
import type { Lesson } from './lessons';

/** In what state the layouts of a lesson are: their revisions, their arenas, and what was last set elsewhere than planned. */
export async function lessonLayouts(db: Pick<RoanDatabase, 'select'>, yardId: string, { plan }: Pick<Lesson, 'plan'>) {
  const ids = [...new Set(plan.stages.flatMap(({ layoutId }) => layoutId ?? []))];
  if (ids.length === 0) return [];
  const rows = await db
    .select({
      ...{ id: layouts.id, revision: layouts.revision, name: layouts.name },
      ...{ widthM: arenas.widthM, lengthM: arenas.lengthM, letters: arenas.letters },
      stoodAt: max(standings.createdAt),
    })
    .from(layouts)
    .innerJoin(arenas, eq(arenas.id, layouts.arenaId))
    .leftJoin(standings, and(eq(standings.layoutId, layouts.id), isNull(standings.putBackAt)))
    .where(and(eq(layouts.yardId, yardId), inArray(layouts.id, ids)))
    .groupBy(layouts.id);
  return rows.sort((a, b) => (a.id < b.id ? -1 : 1));
}
