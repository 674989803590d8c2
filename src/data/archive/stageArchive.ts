import path from 'node:path';
import { sql } from 'drizzle-orm';
import { openDatabase } from '../openDatabase';
import { forgetAll } from '../remembered';
import { upgradeRecords } from '../upgrade/upgradeRecords';
import { tableName } from './archiveTables';
import { insertRows } from './insertRows';
import { readArchive, refuseArchive, type ReadArchive } from './readArchive';
import { readEverything } from './readEverything';
import { STAGED_DB, type StagedStore } from './stagedStore';

/**
 * Makes the tables of an archive ready in a store of their own, in a folder that its caller takes away: all that takes long of restoring
 * it, with nobody waiting for it.
 * @throws {DatabaseRefused} where a row names another that is not there, or a document is not what this Roan reads
 */
export async function stageArchive(file: string, folder: string): Promise<StagedStore> {
  const archive = await readArchive(file);
  archive.close();
  const yards = yardsOf(archive);
  if (yards.length === 1) refuseStrangers(archive, yards[0]!.id);
  const storeFile = path.join(folder, STAGED_DB);
  const store = await openDatabase(`file:${storeFile}`);
  try {
    await store.write(async tx => {
      await tx.run(sql.raw('pragma defer_foreign_keys = on'));
      await insertRows(tx, archive.tables);
      const [broken] = await tx.all<{ table: string }>(sql.raw('pragma foreign_key_check'));
      if (broken) refuseArchive(`A row of ${broken.table} names another that is not in the archive.`);
      await upgradeRecords(tx);
      // What it says has to be read of it, and is nobody's but its own.
      forgetAll();
      await readEverything(tx);
    });
  } finally {
    forgetAll();
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
