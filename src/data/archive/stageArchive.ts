import path from 'node:path';
import { sql } from 'drizzle-orm';
import type { Transaction } from '../database';
import { openDatabase } from '../openDatabase';
import { upgradeRecords } from '../upgrade/upgradeRecords';
import type { Yard } from '../queries/yards';
import { ARCHIVE_TABLES, archiveColumns, tableName, type ArchiveTable } from './archiveTables';
import { insertRows } from './insertRows';
import { readArchive, refuseArchive, type ReadArchive } from './readArchive';
import { readEverything } from './readEverything';
import { archiveRows, ofYard, type ArchiveRow } from './writeArchive';

/** The tables of an archive in a store of their own: as this Roan has them, and read as its pages read them. */
export type StagedTables = { storeFile: string; yards: Pick<Yard, 'id' | 'name'>[] };

/** The rows of a store that was made ready, table by table. */
export type StagedRows = { of: (table: ArchiveTable) => Promise<ArchiveRow[]> };

/**
 * Makes the tables of an archive ready in a store of their own, in a folder that its caller takes away: all that takes long of restoring
 * it, with nobody waiting for it.
 * @throws {DatabaseRefused} where a row names another that is not there, or a document is not what this Roan reads
 */
export async function stageArchive(file: string, folder: string): Promise<StagedTables> {
  const archive = await readArchive(file);
  archive.close();
  const yards = yardsOf(archive);
  if (yards.length === 1) refuseStrangers(archive, yards[0]!.id);
  const storeFile = path.join(folder, 'staged.db');
  const store = await openDatabase(`file:${storeFile}`);
  try {
    await store.write(async tx => {
      await tx.run(sql.raw('pragma defer_foreign_keys = on'));
      await insertRows(tx, archive.tables);
      const [broken] = await tx.all<{ table: string }>(sql.raw('pragma foreign_key_check'));
      if (broken) refuseArchive(`A row of ${broken.table} names another that is not in the archive.`);
      await upgradeRecords(tx);
      await readEverything(tx);
    });
  } finally {
    await store.close();
  }
  return { storeFile, yards };
}

const yardsOf = ({ tables }: ReadArchive) =>
  (tables.find(({ table }) => tableName(table) === 'yards')?.rows ?? []).map(({ id, name }) => ({
    ...{ id: String(id), name: String(name) },
  }));

/** What a row says of whose it is would be believed from then on. */
function refuseStrangers({ tables }: ReadArchive, yardId: string): void {
  for (const { table, rows } of tables)
    if (tableName(table) !== 'yards' && rows.some(row => row.yard_id !== yardId))
      refuseArchive(`A row of ${tableName(table)} is of another yard than the archive.`);
}

/** Reads what was made ready. */
export async function withStaged<Result>(
  { storeFile }: StagedTables,
  work: (rows: StagedRows) => Promise<Result>,
): Promise<Result> {
  const store = await openDatabase(`file:${storeFile}`);
  try {
    return await work({ of: table => archiveRows(store.db, table) });
  } finally {
    await store.close();
  }
}

/**
 * Puts what was made ready into a store: from file to file at once, into a server row by row.
 * @param yardId - the yard whose rows go; left out where all go
 */
export async function takeOver(tx: Transaction, from: StagedTables | StagedRows, yardId?: string): Promise<void> {
  if ('storeFile' in from) await tx.run(sql`attach ${from.storeFile} as staged`);
  await tx.run(sql.raw('pragma defer_foreign_keys = on'));
  for (const table of [...ARCHIVE_TABLES].reverse())
    await tx.run(sql`${sql.raw(`delete from "${tableName(table)}"`)} ${ofYard(table, yardId)}`);
  for (const table of ARCHIVE_TABLES) {
    if (!('storeFile' in from)) {
      await insertRows(tx, [{ table, rows: await from.of(table) }]);
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
