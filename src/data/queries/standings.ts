import { randomUUID } from 'node:crypto';
import { StandingOnPaper } from '@/files/standing';
import { and, desc, eq, isNull } from 'drizzle-orm';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../database';
import { standings } from '../schema';
import type { Transaction } from '../database';

/** What really stands on the sand, of one revision of a layout. */
export type Standing = { id: string; revision: number; createdAtMs: number; standing: StandingOnPaper };

/** How a layout stands, or null where it stands as planned. What stood of an older revision says nothing of this one. */
export async function findStanding(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  layoutId: string,
  revision: number,
): Promise<Standing | null> {
  const [row] = await db
    .select()
    .from(standings)
    .where(
      and(
        eq(standings.yardId, yardId),
        eq(standings.layoutId, layoutId),
        eq(standings.revision, revision),
        isNull(standings.putBackAt),
      ),
    )
    .orderBy(desc(standings.createdAt))
    .limit(1);
  if (!row) return null;
  const read = StandingOnPaper.safeParse(row.document);
  if (!read.success)
    throw new DatabaseRefused('What stands on the sand cannot be read: put it back and measure again.');
  return { id: row.id, revision: row.revision, createdAtMs: row.createdAt.getTime(), standing: read.data };
}

/** Keeps how a layout stands, in place of what was kept of it before. */
export async function keepStanding(
  tx: Transaction,
  yardId: string,
  layout: { id: string; revision: number },
  standing: StandingOnPaper,
  nowMs: number,
): Promise<string> {
  await putBack(tx, yardId, layout.id, nowMs);
  const id = randomUUID();
  const { revision } = layout;
  await tx
    .insert(standings)
    .values({ id, yardId, layoutId: layout.id, revision, document: standing, createdAt: new Date(nowMs) });
  return id;
}

/** It stands as planned again. */
export async function putBack(tx: Transaction, yardId: string, layoutId: string, nowMs: number): Promise<void> {
  await tx
    .update(standings)
    .set({ putBackAt: new Date(nowMs) })
    .where(and(eq(standings.yardId, yardId), eq(standings.layoutId, layoutId), isNull(standings.putBackAt)));
}
