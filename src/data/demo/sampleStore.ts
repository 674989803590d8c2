import path from 'node:path';
import { eq } from 'drizzle-orm';
import { STAGED_DB, type StagedStore } from '../archive/stagedStore';
import { openDatabase } from '../openDatabase';
import { currentYard } from '../queries/yards';
import { markSample } from '../queries/sampleYard';
import { yards } from '../schema';
import { seedDemo } from './seedDemo';

/**
 * A yard to try everything with: the demo yard and a season behind it, made ready in a store of its own. It takes seconds, and is for a
 * worker.
 * @param nowMs - the season is dated backwards from here
 * @param timeZone - of the yard beside which it is
 * @param folder - where the store is made; its caller takes it away
 */
export async function sampleStore({
  nowMs,
  timeZone,
  folder,
}: {
  nowMs: number;
  timeZone: string;
  folder: string;
}): Promise<StagedStore> {
  const storeFile = path.join(folder, STAGED_DB);
  const database = await openDatabase(`file:${storeFile}`);
  try {
    await seedDemo(database, nowMs, true);
    const { id, name } = await currentYard(database);
    await database.write(async tx => {
      await tx.update(yards).set({ timeZone }).where(eq(yards.id, id));
      await markSample(tx, id);
    });
    return { storeFile, yards: [{ id, name }] };
  } finally {
    await database.close();
  }
}
