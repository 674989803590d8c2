import { createHash } from 'node:crypto';
import { createReadStream, statSync } from 'node:fs';
import { Readable } from 'node:stream';
import { sql, type SQL } from 'drizzle-orm';
import Papa from 'papaparse';
import yazl from 'yazl';
import { filmFile, isSafeName } from '../films/filmFile';
import type { RoanDatabase } from '../database';
import { archiveReadme } from './archiveDocs';
import { ARCHIVE_TABLES, archiveColumns, tableName, type ArchiveTable } from './archiveTables';
import { filmEntry, MANIFEST_FILE, NEWEST_VERSION, type Manifest } from './manifest';

export type ArchiveRow = Record<string, string | number | null>;

/**
 * The rows of a table as an archive has them.
 * @param yardId - of this yard alone; left out for the whole store
 */
export async function archiveRows(
  db: Pick<RoanDatabase, 'all'>,
  table: ArchiveTable,
  yardId?: string,
): Promise<ArchiveRow[]> {
  const columns = archiveColumns(table);
  const names = columns.map(({ name }) => `"${name}"`).join(', ');
  const all = sql.raw(`select ${names} from "${tableName(table)}"`);
  const rows = await db.all<Record<string, unknown>>(sql`${all} ${ofYard(table, yardId)} order by rowid`);
  return rows.map(row =>
    Object.fromEntries(
      columns.map(({ name, type }) => [name, type === 'bytes' ? base64(row[name]) : (row[name] as string)]),
    ),
  );
}

/** What a statement on a table says to be of one yard; nothing where it is of all. */
export function ofYard(table: ArchiveTable, yardId: string | undefined): SQL {
  if (yardId === undefined) return sql``;
  return sql`where ${sql.raw(tableName(table) === 'yards' ? 'id' : 'yard_id')} = ${yardId}`;
}

function base64(value: unknown): string | null {
  return value === null || value === undefined ? null : Buffer.from(value as ArrayBuffer).toString('base64');
}

export const sha256 = (text: string | Buffer) => createHash('sha256').update(text).digest('hex');

/** A film of an archive: its hash, its length, and the file that it lies in. */
export type ArchiveFilm = { hash: string; sizeBytes: number; file: string };

export type WrittenArchive = { zip: Readable; films: ArchiveFilm[] };

/**
 * One archive of everything: JSON to restore from, CSV for a spreadsheet, a README that says what is what. All tables are
 * read in one transaction, so that it is the yard of one moment.
 * @param videoFolder - where films lie; those that are not there any more are left out
 * @param films - whether films are in it, or are kept beside it by their hash
 * @param yardId - of this yard alone; left out for all yards of the store, as a backup has them
 * @returns the archive as a stream, and the films that it names
 */
export async function writeArchive(
  db: RoanDatabase,
  videoFolder: string,
  madeAt: string,
  films: 'inside' | 'beside' = 'inside',
  yardId?: string,
): Promise<WrittenArchive> {
  return packArchive(await archiveTexts(db, yardId), videoFolder, madeAt, films);
}

/** What an archive has of the tables, as it is packed: the part that takes long. */
export type ArchiveTexts = {
  yardName: string;
  texts: { name: string; bytes: Uint8Array }[];
  files: Manifest['files'];
  rows: Manifest['rows'];
  videos: ArchiveRow[];
};

/** Reads all tables, of one moment, and writes them down. */
export async function archiveTexts(db: RoanDatabase, yardId?: string): Promise<ArchiveTexts> {
  const tables = await db.transaction(async tx => {
    const read: { table: ArchiveTable; rows: ArchiveRow[] }[] = [];
    for (const table of ARCHIVE_TABLES) read.push({ table, rows: await archiveRows(tx, table, yardId) });
    return read;
  });
  const texts: ArchiveTexts['texts'] = [];
  const files: Manifest['files'] = {};
  for (const { table, rows } of tables) {
    const name = tableName(table);
    const json = Buffer.from(`[\n${rows.map(row => JSON.stringify(row)).join(',\n')}\n]\n`);
    files[`tables/${name}.json`] = sha256(json);
    texts.push({ name: `tables/${name}.json`, bytes: json });
    const fields = archiveColumns(table).map(column => column.name);
    const data = rows.map(row => fields.map(field => row[field] ?? ''));
    texts.push({
      name: `csv/${name}.csv`,
      bytes: Buffer.from(Papa.unparse({ fields, data }, { escapeFormulae: true })),
    });
  }
  return {
    yardName: String(tables[0]!.rows[0]?.name ?? 'Roan'),
    ...{ texts, files, rows: Object.fromEntries(tables.map(({ table, rows }) => [tableName(table), rows.length])) },
    videos: tables.find(({ table }) => tableName(table) === 'videos')!.rows,
  };
}

/** Packs what was written down, with its films; it is packed while it is read. */
export function packArchive(
  { yardName, texts, files, rows, videos }: ArchiveTexts,
  videoFolder: string,
  madeAt: string,
  films: 'inside' | 'beside',
): WrittenArchive {
  const zip = new yazl.ZipFile();
  for (const { name, bytes } of texts)
    zip.addReadStreamLazy(name, { size: bytes.length }, ready => ready(null, Readable.from(pieces(bytes))));
  const named = filmsOf(videos, videoFolder);
  const manifest: Manifest = {
    ...{ format: 'roan-archive', version: NEWEST_VERSION, madeAt, yard: yardName, files },
    films: Object.fromEntries(named.map(({ hash, sizeBytes }) => [hash, sizeBytes])),
    rows,
  };
  zip.addBuffer(Buffer.from(`${JSON.stringify(manifest, null, 2)}\n`), MANIFEST_FILE);
  zip.addBuffer(Buffer.from(archiveReadme(yardName, madeAt)), 'README.md');
  if (films === 'inside') addFilms(zip, named);
  return { zip: streamOf(zip), films: named };
}

const PIECE_BYTES = 64 * 1024;

/** A long text piece by piece: what it sums up to is reckoned of each by itself, and a tap has its turn in between. */
function* pieces(bytes: Uint8Array): Generator<Buffer> {
  for (let from = 0; from < bytes.length; from += PIECE_BYTES)
    yield Buffer.from(bytes.buffer, bytes.byteOffset + from, Math.min(PIECE_BYTES, bytes.length - from));
}

/** Adds films to an archive as they are: they are packed already. */
export function addFilms(zip: yazl.ZipFile, films: readonly ArchiveFilm[]): void {
  for (const { hash, sizeBytes, file } of films)
    zip.addReadStreamLazy(filmEntry(hash), { compress: false, size: sizeBytes }, ready =>
      ready(null, createReadStream(file)),
    );
}

/** The archive as it is read; what goes wrong inside it ends the stream too. */
export function streamOf(zip: yazl.ZipFile): Readable {
  const stream = zip.outputStream as unknown as Readable;
  zip.on('error', (error: Error) => stream.destroy(error));
  zip.end();
  return stream;
}

/** The films that are there, each once however many rows name it. */
function filmsOf(rows: readonly ArchiveRow[], folder: string): ArchiveFilm[] {
  const films = new Map<string, ArchiveFilm>();
  for (const { id, sha256: hash, removed_at: removedAt, size_bytes: size } of rows) {
    if (removedAt !== null || !isSafeName(String(id))) continue;
    const file = filmFile(folder, String(id));
    if (statSync(file, { throwIfNoEntry: false })?.size === size)
      films.set(String(hash), { hash: String(hash), sizeBytes: Number(size), file });
  }
  return [...films.values()];
}
