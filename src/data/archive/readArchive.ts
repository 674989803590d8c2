import { createHash } from 'node:crypto';
import { createReadStream, existsSync, statSync } from 'node:fs';
import path from 'node:path';
import type { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { DatabaseRefused } from '../databaseRefused';
import { ARCHIVE_TABLES, archiveColumns, tableName, type ArchiveColumn, type ArchiveTable } from './archiveTables';
import { filmEntry, Manifest, MANIFEST_FILE, NEWEST_VERSION } from './manifest';
import { valueFault } from './rowChecks';
import { sha256, type ArchiveRow } from './writeArchive';
import { openZip, type OpenZip } from './zipFile';

type ReadTable = { table: ArchiveTable; rows: ArchiveRow[] };

/** A film of an archive; `open` is null where it is neither in the archive nor beside it. */
export type ReadFilm = { hash: string; sizeBytes: number; open: (() => Promise<Readable>) | null };

/** An archive whose tables nobody has looked at yet. */
export type OpenArchive = { file: string; manifest: Manifest; films: ReadFilm[]; close: () => void };

export type ReadArchive = OpenArchive & { tables: ReadTable[] };

export type ArchiveLimits = { tablesBytes: number; manifestBytes: number };

/** Forty seasons of a busy yard are a tenth of it; what unpacks to more is no archive of a yard. */
const USUAL_LIMITS: ArchiveLimits = { tablesBytes: 256 * 1024 ** 2, manifestBytes: 16 * 1024 ** 2 };

export const refuseArchive = (reason: string): never => {
  throw new DatabaseRefused(`${reason} Nothing was changed.`);
};
const refuse = refuseArchive;

/**
 * Opens an archive and looks at all of its rows; films are read when they are asked for. Close it afterwards.
 * @param filmFolders - where films lie that are not in the archive, by their hash
 * @throws {DatabaseRefused} with a sentence: no archive, a damaged one, one of another version, one that unpacks to more than an
 *   archive has, or rows that do not fit
 */
export const readArchive = (
  file: string,
  filmFolders: readonly string[] = [],
  limits: ArchiveLimits = USUAL_LIMITS,
): Promise<ReadArchive> =>
  withZip(file, async zip => {
    const archive = await opened(zip, file, filmFolders, limits);
    const tables: ReadTable[] = [];
    let left = limits.tablesBytes;
    for (const table of ARCHIVE_TABLES) {
      left -= zip.sizes.get(`tables/${tableName(table)}.json`) ?? 0;
      if (left < 0) refuse('This archive unpacks to more than a yard’s records can be.');
      tables.push({ table, rows: await readTable(zip, archive.manifest, table) });
    }
    return { ...archive, tables };
  });

/** As `readArchive`, without looking at its rows. */
export const openArchive = (file: string, filmFolders: readonly string[] = []): Promise<OpenArchive> =>
  withZip(file, zip => opened(zip, file, filmFolders, USUAL_LIMITS));

/** The zip stays open where the archive is one. */
async function withZip<Archive>(file: string, read: (zip: OpenZip) => Promise<Archive>): Promise<Archive> {
  const zip = await openZip(file).catch(() => refuse('This file is no archive of Roan, or it is damaged.'));
  try {
    return await read(zip);
  } catch (error) {
    zip.close();
    throw error;
  }
}

async function opened(
  zip: OpenZip,
  file: string,
  filmFolders: readonly string[],
  limits: ArchiveLimits,
): Promise<OpenArchive> {
  const manifest = await readManifest(zip, limits);
  refuseStrange(manifest);
  return { file, manifest, films: filmsOf(zip, manifest, filmFolders), close: zip.close };
}

/**
 * What an archive says of itself, without its tables.
 * @throws {DatabaseRefused} where it is none of Roan's
 */
export async function archiveManifest(file: string): Promise<Manifest> {
  const zip = await openZip(file).catch(() => refuse('This file is no archive of Roan, or it is damaged.'));
  return readManifest(zip, USUAL_LIMITS).finally(zip.close);
}

async function readManifest(zip: OpenZip, { manifestBytes }: ArchiveLimits): Promise<Manifest> {
  const size = zip.sizes.get(MANIFEST_FILE);
  if (size === undefined) return refuse(`This archive has no ${MANIFEST_FILE}: it is not one of Roan’s.`);
  if (size > manifestBytes) return refuse(`${MANIFEST_FILE} is longer than one can be.`);
  let json: unknown;
  try {
    json = JSON.parse((await buffer(await zip.stream(MANIFEST_FILE))).toString('utf8'));
  } catch {
    return refuse(`${MANIFEST_FILE} cannot be read: the archive is damaged.`);
  }
  const version = (json as { version?: unknown } | null)?.version;
  if (typeof version === 'number' && !(version >= 1 && version <= NEWEST_VERSION))
    return refuse(
      `This archive is of version ${version}, which this Roan does not know: it reads versions 1 to ${NEWEST_VERSION}.`,
    );
  const read = Manifest.safeParse(json);
  return read.success
    ? read.data
    : refuse(`${MANIFEST_FILE} is not understood at “${read.error.issues[0]?.path.join('.') ?? ''}”.`);
}

const OLDER_FILM = /^videos\/[\w-]{1,60}$/;

function refuseStrange({ files, version }: Manifest): void {
  const known = new Set(ARCHIVE_TABLES.map(table => `tables/${tableName(table)}.json`));
  const strange = Object.keys(files).find(name => !known.has(name) && !(version < 4 && OLDER_FILM.test(name)));
  if (strange !== undefined)
    refuse(`This archive has “${strange}”, which this Roan does not know: it may be of a newer one.`);
}

/** The films that an archive names, each with where it is. */
function filmsOf(zip: OpenZip, { files, films, version }: Manifest, folders: readonly string[]): ReadFilm[] {
  if (version < 4)
    return Object.entries(files)
      .filter(([name]) => OLDER_FILM.test(name))
      .map(([name, hash]) => {
        const sizeBytes = zip.sizes.get(name) ?? refuse(`The archive has no ${name}: it is damaged.`);
        return { hash, sizeBytes, open: () => zip.stream(name) };
      });
  return Object.entries(films).map(([hash, sizeBytes]) => {
    const inside = zip.sizes.get(filmEntry(hash));
    if (inside !== undefined && inside !== sizeBytes)
      refuse(`${filmEntry(hash)} is not as long as it was when the archive was made: it is damaged.`);
    if (inside !== undefined) return { hash, sizeBytes, open: () => zip.stream(filmEntry(hash)) };
    const beside = folders.map(folder => path.join(folder, hash)).find(file => existsSync(file));
    const isWhole = beside !== undefined && statSync(beside).size === sizeBytes;
    return { hash, sizeBytes, open: isWhole ? async () => createReadStream(beside) : null };
  });
}

async function fileOf(zip: OpenZip, { files }: Manifest, name: string): Promise<Buffer> {
  if (!zip.sizes.has(name) || files[name] === undefined) return refuse(`The archive has no ${name}: it is damaged.`);
  const bytes = await zip
    .stream(name)
    .then(buffer)
    .catch(() => refuse(`${name} cannot be unpacked: the archive is damaged.`));
  if (sha256(bytes) !== files[name]) refuse(`${name} is not what it was when the archive was made: it is damaged.`);
  return bytes;
}

/** Since which version an archive has a table, where that was not the first. */
const SINCE: Readonly<Record<string, number>> = {
  ...{ questions: 2, lesson_asks: 2 },
  ...{ record_changes: 3, lesson_joins: 3, former_states: 3 },
  ...{ rider_words: 5, goals: 7, refusals: 7, film_stills: 8 },
};

async function readTable(zip: OpenZip, manifest: Manifest, table: ArchiveTable): Promise<ArchiveRow[]> {
  const name = tableName(table);
  const file = `tables/${name}.json`;
  if (manifest.version < (SINCE[name] ?? 1)) return [];
  const text = (await fileOf(zip, manifest, file)).toString('utf8');
  let rows: unknown;
  try {
    rows = JSON.parse(text);
  } catch {
    return refuse(`${file} is no JSON: the archive is damaged.`);
  }
  if (!Array.isArray(rows) || rows.length !== manifest.rows[name])
    return refuse(`${file} should have ${manifest.rows[name] ?? 'some'} rows: the archive is damaged.`);
  const columns = archiveColumns(table);
  const isOld = manifest.version < NEWEST_VERSION;
  return rows.map((row, index) => checkedRow(row, name, columns, `${file}, row ${index + 1}`, isOld));
}

function checkedRow(
  row: unknown,
  table: string,
  columns: readonly ArchiveColumn[],
  where: string,
  isOld: boolean,
): ArchiveRow {
  if (typeof row !== 'object' || row === null) return refuse(`${where} is no row.`);
  const own = { ...(row as Record<string, unknown>) };
  // What an older Roan did not know of a row is as it is where nobody says otherwise.
  if (isOld) for (const { name, unsaid } of columns) if (unsaid !== null) own[name] ??= unsaid;
  const strange = Object.keys(own).find(key => !columns.some(({ name }) => name === key));
  if (strange !== undefined) refuse(`${where} has “${strange}”, which this Roan does not know.`);
  for (const column of columns) {
    const fault = valueFault(table, column, own[column.name] ?? null);
    if (fault !== null) refuse(`${where}: “${column.name}” ${fault}.`);
  }
  return own as ArchiveRow;
}

/**
 * Reads an archive to its end as it would be restored, its films too.
 * @throws {DatabaseRefused} where anything of it is missing or is not what it was
 */
export async function verifyArchive(file: string, filmFolders: readonly string[]): Promise<Manifest> {
  const archive = await readArchive(file, filmFolders);
  try {
    for (const { hash, open } of archive.films) {
      if (!open) refuse(`The film ${hash} is not there any more.`);
      const read = createHash('sha256');
      for await (const chunk of await open!()) read.update(chunk as Buffer);
      if (read.digest('hex') !== hash) refuse(`The film ${hash} is not what it was: it is damaged.`);
    }
    return archive.manifest;
  } finally {
    archive.close();
  }
}
