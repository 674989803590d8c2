import { eq } from 'drizzle-orm';
import { storeSecrets } from '../schema';
import type { Transaction } from '../database';

/**
 * What all processes of a store know: the first that asks says what it is.
 * @param made - what it is, should nobody have asked before
 */
export async function storeSecret(tx: Transaction, name: string, made: string): Promise<string> {
  await tx.insert(storeSecrets).values({ name, value: made }).onConflictDoNothing();
  const [row] = await tx.select({ value: storeSecrets.value }).from(storeSecrets).where(eq(storeSecrets.name, name));
  return row!.value;
}
