import { eq } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { layouts, layoutVersions } from '../schema';

/** The layout of each version that was kept, by the id of the version. */
export async function layoutsOfVersions(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
): Promise<Map<string, { id: string; name: string }>> {
  const rows = await db
    .select({ versionId: layoutVersions.id, id: layouts.id, name: layouts.name })
    .from(layoutVersions)
    .innerJoin(layouts, eq(layouts.id, layoutVersions.layoutId))
    .where(eq(layoutVersions.yardId, yardId));
  return new Map(rows.map(({ versionId, id, name }) => [versionId, { id, name }]));
}
