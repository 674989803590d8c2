import { sql } from 'drizzle-orm';
import type { OpenDatabase, Transaction } from '../database';
import { openDatabase } from '../openDatabase';
import type { Yard } from '../queries/yards';
import { ARCHIVE_TABLES, archiveColumns, tableName, type ArchiveTable } from './archiveTables';
import { insertRows } from './insertRows';
import { archiveRows, ofYard, type ArchiveRow } from './writeArchive';

/** The file of a store that is made ready, in a folder of its own. */
export const STAGED_DB = 'staged.db';

/** A store that was made ready beside the one it is for: with nothing in it that this Roan could not read. */
export type StagedStore = { storeFile: string; yards: Pick<Yard, 'id' | 'name'>[] };

/** Its rows, table by table; `storeFile` where they can be taken over from file to file. */
export type StagedRows = { of: (table: ArchiveTable) => Promise<ArchiveRow[]>; storeFile: string | null };

/**
 * Opens what was made ready.
 * @param database - the store that it is for
 */
export async function withStaged<Result>(
  { storeFile }: StagedStore,
  database: Pick<OpenDatabase, 'file'>,
  work: (rows: StagedRows) => Promise<Result>,
): Promise<Result> {
  const store = await openDatabase(`file:${storeFile}`);
  const of = (table: ArchiveTable) => archiveRows(store.db, table);
  try {
    return await work({ of, storeFile: database.file ? storeFile : null });
  } finally {
    await store.close();
  }
}

/**
 * Puts what was made ready into a store: from file to file at once, into a server row by row.
 * @param yardId - the yard whose rows go; left out where all go
 */
export async function takeOver(tx: Transaction, { of, storeFile }: StagedRows, yardId?: string): Promise<void> {
  if (storeFile) await tx.run(sql`attach ${storeFile} as staged`);
  await tx.run(sql.raw('pragma defer_foreign_keys = on'));
  for (const table of [...ARCHIVE_TABLES].reverse())
    await tx.run(sql`${sql.raw(`delete from "${tableName(table)}"`)} ${ofYard(table, yardId)}`);
  for (const table of ARCHIVE_TABLES) {
    if (!storeFile) {
      await insertRows(tx, [{ table, rows: await of(table) }]);
      continue;
    }
    const [name, columns] = [tableName(table), archiveColumns(table).map(column => `"${column.name}"`)];
    await tx.run(
      sql.raw(
        `insert into "${name}" (${columns.join()}) select ${columns.join()} from staged."${name}" order by rowid`,
      ),
    );
  }
}
