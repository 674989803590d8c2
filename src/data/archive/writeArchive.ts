import { createHash } from 'node:crypto';
import { createReadStream, existsSync } from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { sql } from 'drizzle-orm';
import JSZip from 'jszip';
import Papa from 'papaparse';
import type { RoanDatabase } from '../openDatabase';
import { archiveReadme } from './archiveDocs';
import { ARCHIVE_TABLES, archiveColumns, tableName, type ArchiveTable } from './archiveTables';
import { MANIFEST_FILE, type Manifest } from './manifest';

export type ArchiveRow = Record<string, string | number | null>;

/** The rows of a table as an archive has them. */
export async function archiveRows(db: Pick<RoanDatabase, 'all'>, table: ArchiveTable): Promise<ArchiveRow[]> {
  const columns = archiveColumns(table);
  const names = columns.map(({ name }) => `"${name}"`).join(', ');
  const rows = await db.all<Record<string, unknown>>(
    sql.raw(`select ${names} from "${tableName(table)}" order by rowid`),
  );
  return rows.map(row =>
    Object.fromEntries(
      columns.map(({ name, type }) => [name, type === 'bytes' ? base64(row[name]) : (row[name] as string)]),
    ),
  );
}

function base64(value: unknown): string | null {
  return value === null || value === undefined ? null : Buffer.from(value as ArrayBuffer).toString('base64');
}

export const sha256 = (text: string | Buffer) => createHash('sha256').update(text).digest('hex');

/**
 * One archive of everything: JSON to restore from, CSV for a spreadsheet, a README that says what is what. All tables are
 * read in one transaction, so that it is the yard of one moment.
 * @param videoFolder - where films lie; those that are not there any more are left out
 */
export async function writeArchive(db: RoanDatabase, videoFolder: string, madeAt: string): Promise<Readable> {
  const zip = new JSZip();
  const tables = await db.transaction(async tx => {
    const read: { name: string; rows: ArchiveRow[] }[] = [];
    for (const table of ARCHIVE_TABLES) read.push({ name: tableName(table), rows: await archiveRows(tx, table) });
    return read;
  });
  const files: Manifest['files'] = {};
  for (const { name, rows } of tables) {
    const json = `[\n${rows.map(row => JSON.stringify(row)).join(',\n')}\n]\n`;
    files[`tables/${name}.json`] = sha256(json);
    zip.file(`tables/${name}.json`, json);
    const fields = archiveColumns(ARCHIVE_TABLES.find(table => tableName(table) === name)!).map(column => column.name);
    zip.file(`csv/${name}.csv`, Papa.unparse({ fields, data: rows.map(row => fields.map(field => row[field] ?? '')) }));
  }
  const videos = tables.find(({ name }) => name === 'videos')!.rows;
  for (const { id, sha256: hash, removed_at: removedAt } of videos) {
    const file = path.join(videoFolder, String(id));
    if (removedAt !== null || !existsSync(file)) continue;
    files[`videos/${id}`] = String(hash);
    zip.file(`videos/${id}`, createReadStream(file), { compression: 'STORE' });
  }
  const yardName = String(tables[0]!.rows[0]?.name ?? 'Roan');
  const manifest: Manifest = {
    ...{ format: 'roan-archive', version: 3, madeAt, yard: yardName, files },
    rows: Object.fromEntries(tables.map(({ name, rows }) => [name, rows.length])),
  };
  zip.file(MANIFEST_FILE, `${JSON.stringify(manifest, null, 2)}\n`);
  zip.file('README.md', archiveReadme(yardName, madeAt));
  // The library's stream is of an old make; wrapped it can be read as any other.
  return new Readable().wrap(zip.generateNodeStream({ compression: 'DEFLATE', streamFiles: true }));
}
