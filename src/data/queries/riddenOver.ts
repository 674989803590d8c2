import type { RiddenOver } from '@/core';
import { upgradedPlan } from '@/files/planDocument';
import { and, eq, inArray } from 'drizzle-orm';
import { z } from 'zod';
import type { RoanDatabase } from '../database';
import { remembered } from '../remembered';
import { layoutVersions } from '../schema';

const WithExercises = z.object({ exercises: z.array(z.object({ id: z.string(), kind: z.string() })) });

/** A version never changes, so what stands on it holds as long as Roan runs. */
const known = remembered<{ layoutId: string; kinds: ReadonlyMap<string, string> }>(10_000);

/** Which exercises stand on the layout versions that were ridden, and of which layout each is. */
export async function riddenOver(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  versionIds: readonly string[],
): Promise<RiddenOver> {
  return known.each(yardId, versionIds, async missing => {
    const { id, layoutId, document } = layoutVersions;
    const rows = await db
      .select({ id, layoutId, document })
      .from(layoutVersions)
      .where(and(eq(layoutVersions.yardId, yardId), inArray(layoutVersions.id, missing)));
    return rows.map(row => [row.id, { layoutId: row.layoutId, kinds: exerciseKinds(row.document) }] as const);
  });
}

/** The kinds of the exercises of a stored plan, by their ids. */
export function exerciseKinds(document: unknown): Map<string, string> {
  const read = WithExercises.safeParse(upgradedPlan(document, () => 1));
  return new Map(read.success ? read.data.exercises.map(({ id, kind }) => [id, kind]) : []);
}
