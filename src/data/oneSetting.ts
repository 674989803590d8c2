import { and, eq } from 'drizzle-orm';
import type { RoanDatabase, Transaction } from './database';
import { onceARequest } from './onceARequest';
import { settings } from './schema';

type Reader = Pick<RoanDatabase, 'select'>;

/** One setting of a yard, by its key; undefined where nobody set it. */
export const setting = onceARequest(async (db: Reader, yardId: string, key: string): Promise<unknown> => {
  const [row] = await db
    .select({ value: settings.value })
    .from(settings)
    .where(and(eq(settings.yardId, yardId), eq(settings.key, key)));
  return row?.value;
});

/** Sets one setting of a yard. */
export async function saveSetting(tx: Transaction, yardId: string, key: string, value: unknown): Promise<void> {
  await tx
    .insert(settings)
    .values({ yardId, key, value })
    .onConflictDoUpdate({ target: [settings.yardId, settings.key], set: { value } });
}
