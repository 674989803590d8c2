import { createHash, randomUUID } from 'node:crypto';
import { createWriteStream, mkdirSync, renameSync, rmSync, statfsSync } from 'node:fs';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { sql } from 'drizzle-orm';
import { DatabaseRefused, StoreFault } from '../databaseRefused';
import { filmFile } from '../films/filmFile';
import type { OpenDatabase } from '../openDatabase';
import { upgradeRecords } from '../upgrade/upgradeRecords';
import type { Transaction } from '../writeQueue';
import { ARCHIVE_TABLES, archiveColumns, tableName } from './archiveTables';
import { refuseArchive, type ReadArchive, type ReadFilm } from './readArchive';
import { readEverything } from './readEverything';

/** Whether nothing was ever entered: a yard has its own name and clock from the start, and nothing else. */
export async function isEmptyYard({ db }: Pick<OpenDatabase, 'db'>): Promise<boolean> {
  for (const table of ARCHIVE_TABLES) {
    if (tableName(table) === 'yards' || tableName(table) === 'settings') continue;
    const [row] = await db.all<{ n: number }>(sql.raw(`select count(*) as n from "${tableName(table)}"`));
    if ((row?.n ?? 0) > 0) return false;
  }
  return true;
}

/** What is left free beside what is restored, bytes. */
const SPARE_BYTES = 64 * 1024 ** 2;
const ROWS = 200;

/**
 * Restores an archive into a Roan that is empty, all of it or nothing. Films are written first, each looked at on its way, and
 * taken away again where the rest cannot be restored.
 * @throws {DatabaseRefused} where something was entered already, a row names another that is not there, a document is not what
 *   this Roan reads, or a film is not what it was
 */
export async function restoreArchive(database: OpenDatabase, archive: ReadArchive, videoFolder: string): Promise<void> {
  if (!(await isEmptyYard(database)))
    refuseArchive(
      'This Roan has a yard with things in it: an archive is restored into an empty one, so that nothing is mixed.',
    );
  const written: string[] = [];
  try {
    await restoreFilms(archive, videoFolder, written);
    await database.write(async tx => {
      await insertAll(tx, archive);
      await upgradeRecords(tx);
      await readEverything(tx);
    });
  } catch (error) {
    for (const file of written) rmSync(file, { force: true });
    if (
      error instanceof DatabaseRefused &&
      !(error instanceof StoreFault) &&
      !/Nothing was changed/.test(error.message)
    )
      throw new DatabaseRefused(`${error.message} Nothing was changed.`, { cause: error });
    throw error;
  }
}

/** Writes the films that rows name; one that the archive does not have is missing afterwards, as it was when it was made. */
async function restoreFilms({ films, tables }: ReadArchive, folder: string, written: string[]): Promise<void> {
  const rows = tables.find(({ table }) => tableName(table) === 'videos')!.rows;
  const wanted = rows.flatMap(({ id, sha256: hash, removed_at: removedAt }) => {
    const film = removedAt === null ? films.find(one => one.hash === hash && one.open) : undefined;
    return film ? [{ film, file: filmFile(folder, String(id)) }] : [];
  });
  if (wanted.length === 0) return;
  mkdirSync(folder, { recursive: true });
  const { bavail, bsize } = statfsSync(folder);
  const neededBytes = wanted.reduce((sum, { film }) => sum + film.sizeBytes, SPARE_BYTES);
  if (neededBytes > bavail * bsize)
    throw new StoreFault(
      `The films of this archive need ${Math.ceil(neededBytes / 1024 ** 2)} MB, and the disk has ${Math.floor((bavail * bsize) / 1024 ** 2)} MB free. Nothing was changed.`,
    );
  for (const { film, file } of wanted) {
    const part = `${file}.${randomUUID().slice(0, 8)}.part`;
    written.push(part);
    await writeFilm(film, part);
    renameSync(part, file);
    written.push(file);
  }
}

async function writeFilm({ hash, open }: ReadFilm, file: string): Promise<void> {
  const read = createHash('sha256');
  const look = new Transform({
    transform(chunk: Buffer, _, done) {
      read.update(chunk);
      done(null, chunk);
    },
  });
  await pipeline(await open!(), look, createWriteStream(file, { flags: 'wx' })).catch(
    (error: NodeJS.ErrnoException) => {
      // What the disk does not take is told as such; all else is the archive's.
      if (error.syscall !== undefined) throw error;
      refuseArchive(`The film ${hash} cannot be unpacked: the archive is damaged.`);
    },
  );
  if (read.digest('hex') !== hash)
    refuseArchive(`The film ${hash} is not what it was when the archive was made: it is damaged.`);
}

async function insertAll(tx: Transaction, { tables }: ReadArchive): Promise<void> {
  await tx.run(sql.raw('pragma defer_foreign_keys = on'));
  for (const { table } of [...tables].reverse()) await tx.run(sql.raw(`delete from "${tableName(table)}"`));
  for (const { table, rows } of tables) {
    const columns = archiveColumns(table);
    const into = sql.raw(
      `insert into "${tableName(table)}" (${columns.map(({ name }) => `"${name}"`).join(', ')}) values `,
    );
    for (let first = 0; first < rows.length; first += ROWS) {
      const values = rows.slice(first, first + ROWS).map(row => {
        const cells = columns.map(({ name, type }) => {
          const value = row[name] ?? null;
          return sql`${type === 'bytes' && value !== null ? Buffer.from(String(value), 'base64') : value}`;
        });
        return sql`(${sql.join(cells, sql`, `)})`;
      });
      await tx.run(sql`${into}${sql.join(values, sql`, `)}`);
    }
  }
  const [broken] = await tx.all<{ table: string }>(sql.raw('pragma foreign_key_check'));
  if (broken) refuseArchive(`A row of ${broken.table} names another that is not in the archive.`);
}
