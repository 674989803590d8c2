import { randomUUID } from 'node:crypto';
import { and, asc, eq, gt } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { inBatches } from '../manyRows';
import { formerStates } from '../schema';
import type { Transaction } from '../database';

type Subject = (typeof formerStates.$inferInsert)['subject'];

/** Keeps what something was until now, before it is changed: what was ridden before is looked at with it. */
export async function keepFormer(
  tx: Transaction,
  yardId: string,
  subject: Subject,
  subjectId: string,
  was: unknown,
): Promise<void> {
  await keepFormers(tx, yardId, subject, [{ subjectId, was }]);
}

/** As `keepFormer`, of many. */
export async function keepFormers(
  tx: Transaction,
  yardId: string,
  subject: Subject,
  former: readonly { subjectId: string; was: unknown }[],
): Promise<void> {
  const until = new Date();
  const rows = former.map(one => ({ ...one, id: randomUUID(), yardId, subject, until }));
  await inBatches(rows, some => tx.insert(formerStates).values(some));
}

/** What things of a kind were at an instant, by their ids; a thing that was not changed since has no entry. */
export async function formerAt(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  subject: Subject,
  atMs: number,
): Promise<Map<string, unknown>> {
  const rows = await db
    .select()
    .from(formerStates)
    .where(
      and(
        ...[eq(formerStates.yardId, yardId), eq(formerStates.subject, subject)],
        gt(formerStates.until, new Date(atMs)),
      ),
    )
    .orderBy(asc(formerStates.until));
  const first = new Map<string, unknown>();
  for (const { subjectId, was } of rows) if (!first.has(subjectId)) first.set(subjectId, was);
  return first;
}

/** Everything that one thing was before, with until when, the oldest first. */
export async function formerStatesOf(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  subject: Subject,
  subjectId: string,
): Promise<{ was: unknown; untilMs: number }[]> {
  const rows = await db
    .select()
    .from(formerStates)
    .where(
      and(
        ...[eq(formerStates.yardId, yardId), eq(formerStates.subject, subject)],
        eq(formerStates.subjectId, subjectId),
      ),
    )
    .orderBy(asc(formerStates.until));
  return rows.map(({ was, until }) => ({ was, untilMs: until.getTime() }));
}
