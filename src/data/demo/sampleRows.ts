import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { eq } from 'drizzle-orm';
import { ARCHIVE_TABLES, tableName } from '../archive/archiveTables';
import { archiveRows, type ArchiveRow } from '../archive/writeArchive';
import { openDatabase } from '../openDatabase';
import { currentYard } from '../queries/yards';
import { markSample } from '../queries/sampleYard';
import { yards } from '../schema';
import { seedDemo } from './seedDemo';

/** The rows of a sample yard, by the table that they go into: none of them is in any store yet. */
export type SampleRows = { yardId: string; tables: { name: string; rows: ArchiveRow[] }[] };

/**
 * A yard to try everything with: the demo yard and a season behind it, made in a store of its own that is gone afterwards. It takes
 * seconds, and is for a worker.
 * @param nowMs - the season is dated backwards from here
 * @param timeZone - of the yard beside which it is
 */
export async function sampleRows({ nowMs, timeZone }: { nowMs: number; timeZone: string }): Promise<SampleRows> {
  const folder = mkdtempSync(path.join(tmpdir(), 'roan-sample-'));
  try {
    const database = await openDatabase(`file:${path.join(folder, 'sample.db')}`);
    try {
      await seedDemo(database, nowMs, true);
      const { id } = await currentYard(database);
      await database.write(async tx => {
        await tx.update(yards).set({ timeZone }).where(eq(yards.id, id));
        await markSample(tx, id);
      });
      const tables: SampleRows['tables'] = [];
      for (const table of ARCHIVE_TABLES)
        tables.push({ name: tableName(table), rows: await archiveRows(database.db, table) });
      return { yardId: id, tables };
    } finally {
      await database.close();
    }
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
