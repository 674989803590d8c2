import { randomUUID } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import type { RoanDatabase } from '../openDatabase';
import { settings } from '../schema';
import type { Transaction } from '../writeQueue';

const KEY = 'recordRevision';

/** Another one after every change of the record, whichever copy of Roan made it: what was reckoned from it holds until then. */
export async function recordRevision(db: Pick<RoanDatabase, 'select'>, yardId: string): Promise<string> {
  const [row] = await db
    .select({ value: settings.value })
    .from(settings)
    .where(and(eq(settings.yardId, yardId), eq(settings.key, KEY)));
  return typeof row?.value === 'string' ? row.value : '';
}

/** Says within a transaction that the record is another one now. */
export async function newRecordRevision(tx: Transaction, yardId: string): Promise<void> {
  const value = randomUUID();
  await tx
    .insert(settings)
    .values({ yardId, key: KEY, value })
    .onConflictDoUpdate({ target: [settings.yardId, settings.key], set: { value } });
}
