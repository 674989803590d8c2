import { mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import JSZip from 'jszip';
import { DatabaseRefused } from '../databaseRefused';
import type { OpenDatabase } from '../openDatabase';
import { upgradeRecords } from '../upgrade/upgradeRecords';
import type { Transaction } from '../writeQueue';
import { ARCHIVE_TABLES, archiveColumns, tableName, type ArchiveColumn, type ArchiveTable } from './archiveTables';
import { Manifest, MANIFEST_FILE } from './manifest';
import { sha256, type ArchiveRow } from './writeArchive';

type ReadTable = { table: ArchiveTable; rows: ArchiveRow[] };
export type ReadArchive = { manifest: Manifest; tables: ReadTable[]; videos: { id: string; bytes: Buffer }[] };

const refuse = (reason: string): never => {
  throw new DatabaseRefused(`${reason} Nothing was changed.`);
};

/**
 * Reads an archive and looks at all of it before anything is written.
 * @throws {DatabaseRefused} with a sentence: no archive, a damaged one, one of another version, or rows that do not fit
 */
export async function readArchive(bytes: Uint8Array): Promise<ReadArchive> {
  const zip = await JSZip.loadAsync(bytes).catch(() => refuse('This file is no archive of Roan, or it is damaged.'));
  const text = await zip.file(MANIFEST_FILE)?.async('string');
  if (text === undefined) return refuse(`This archive has no ${MANIFEST_FILE}: it is not one of Roan’s.`);
  const manifest = readManifest(text);
  const tables: ReadTable[] = [];
  for (const table of ARCHIVE_TABLES) tables.push({ table, rows: await readTable(zip, manifest, table) });
  const known = new Set(ARCHIVE_TABLES.map(table => `tables/${tableName(table)}.json`));
  const strange = Object.keys(manifest.files).find(name => !known.has(name) && !/^videos\/[\w-]{1,60}$/.test(name));
  if (strange !== undefined)
    refuse(`This archive has “${strange}”, which this Roan does not know: it may be of a newer one.`);
  const videos: ReadArchive['videos'] = [];
  for (const name of Object.keys(manifest.files).filter(one => one.startsWith('videos/'))) {
    const film = await fileOf(zip, manifest, name);
    videos.push({ id: name.slice('videos/'.length), bytes: film });
  }
  return { manifest, tables, videos };
}

function readManifest(text: string): Manifest {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refuse(`${MANIFEST_FILE} cannot be read: the archive is damaged.`);
  }
  const version = (json as { version?: unknown } | null)?.version;
  if (typeof version === 'number' && ![1, 2, 3].includes(version))
    return refuse(`This archive is of version ${version}, which this Roan does not know: it reads versions 1 to 3.`);
  const read = Manifest.safeParse(json);
  return read.success
    ? read.data
    : refuse(`${MANIFEST_FILE} is not understood at “${read.error.issues[0]?.path.join('.') ?? ''}”.`);
}

async function fileOf(zip: JSZip, { files }: Manifest, name: string): Promise<Buffer> {
  const file = zip.file(name);
  if (!file || files[name] === undefined) return refuse(`The archive has no ${name}: it is damaged.`);
  const bytes = await file
    .async('nodebuffer')
    .catch(() => refuse(`${name} cannot be unpacked: the archive is damaged.`));
  if (sha256(bytes) !== files[name]) refuse(`${name} is not what it was when the archive was made: it is damaged.`);
  return bytes;
}

/** Since which version an archive has a table, where that was not the first. */
const SINCE: Readonly<Record<string, number>> = {
  ...{ questions: 2, lesson_asks: 2 },
  ...{ record_changes: 3, lesson_joins: 3, former_states: 3 },
};
const NEWEST = 3;

async function readTable(zip: JSZip, manifest: Manifest, table: ArchiveTable): Promise<ArchiveRow[]> {
  const name = tableName(table);
  const file = `tables/${name}.json`;
  if (manifest.version < (SINCE[name] ?? 1)) return [];
  let rows: unknown;
  try {
    rows = JSON.parse((await fileOf(zip, manifest, file)).toString('utf8'));
  } catch (error) {
    if (error instanceof DatabaseRefused) throw error;
    return refuse(`${file} is no JSON: the archive is damaged.`);
  }
  if (!Array.isArray(rows) || rows.length !== manifest.rows[name])
    return refuse(`${file} should have ${manifest.rows[name] ?? 'some'} rows: the archive is damaged.`);
  const columns = archiveColumns(table);
  const isOld = manifest.version < NEWEST;
  return rows.map((row, index) => checkedRow(row, columns, `${file}, row ${index + 1}`, isOld));
}

function checkedRow(row: unknown, columns: readonly ArchiveColumn[], where: string, isOld: boolean): ArchiveRow {
  if (typeof row !== 'object' || row === null) return refuse(`${where} is no row.`);
  const own = { ...(row as Record<string, unknown>) };
  // What an older Roan did not know of a row is as it is where nobody says otherwise.
  if (isOld) for (const { name, unsaid } of columns) if (unsaid !== null) own[name] ??= unsaid;
  const strange = Object.keys(own).find(key => !columns.some(({ name }) => name === key));
  if (strange !== undefined) refuse(`${where} has “${strange}”, which this Roan does not know.`);
  for (const { name, type, nullable } of columns) {
    const value = own[name] ?? null;
    const wanted = type === 'number' ? 'number' : 'string';
    if (value === null ? !nullable : typeof value !== wanted)
      refuse(`${where}: “${name}” is ${value === null ? 'missing' : 'of the wrong kind'}.`);
  }
  return own as ArchiveRow;
}

/** Whether nothing was ever entered: a yard has its own name and clock from the start, and nothing else. */
export async function isEmptyYard({ db }: Pick<OpenDatabase, 'db'>): Promise<boolean> {
  for (const table of ARCHIVE_TABLES) {
    if (tableName(table) === 'yards' || tableName(table) === 'settings') continue;
    const [row] = await db.all<{ n: number }>(sql.raw(`select count(*) as n from "${tableName(table)}"`));
    if ((row?.n ?? 0) > 0) return false;
  }
  return true;
}

const ROWS = 200;

/**
 * Restores an archive into a Roan that is empty, all of it or nothing.
 * @throws {DatabaseRefused} where something was entered already, or a row names another that is not there
 */
export async function restoreArchive(database: OpenDatabase, archive: ReadArchive, videoFolder: string): Promise<void> {
  if (!(await isEmptyYard(database)))
    refuse(
      'This Roan has a yard with things in it: an archive is restored into an empty one, so that nothing is mixed.',
    );
  const written = keepVideos(archive, videoFolder);
  try {
    await database.write(async tx => {
      await insertAll(tx, archive);
      await upgradeRecords(tx);
    });
  } catch (error) {
    for (const file of written) rmSync(file, { force: true });
    throw error;
  }
}

function keepVideos({ videos }: ReadArchive, folder: string): string[] {
  if (videos.length > 0) mkdirSync(folder, { recursive: true });
  return videos.map(({ id, bytes }) => {
    const file = path.join(folder, id);
    writeFileSync(`${file}.part`, bytes);
    renameSync(`${file}.part`, file);
    return file;
  });
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
  if (broken) refuse(`A row of ${broken.table} names another that is not in the archive.`);
}
