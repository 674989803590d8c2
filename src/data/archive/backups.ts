import {
  copyFileSync,
  createWriteStream,
  existsSync,
  linkSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import type { OpenDatabase } from '../database';
import type { Manifest } from './manifest';
import { archiveManifest, verifyArchive } from './readArchive';
import { backupsToDrop } from './thinOut';
import { writeArchive, type ArchiveFilm } from './writeArchive';

const HOUR_MS = 3600 * 1000;
/** A server that is started every morning keeps one a day. */
const DUE_AFTER_MS = 20 * HOUR_MS;
/** A clock that is put right by a little has not gone back. */
const CLOCK_SLACK_MS = 5 * 60 * 1000;

const NAME = /^roan-(\d{6})-(\d{4})(\d{2})(\d{2})T(\d{2})(\d{2})(\d{2})Z\.zip$/;
/** As an older Roan named them: by their day alone, with their films inside. */
const OLDER_NAME = /^roan-(\d{4}-\d{2}-\d{2})\.zip$/;

/** `madeAtMs`: by the clock of then, which may have been wrong; `sequence` tells which came after which. */
export type Backup = { name: string; sequence: number; sizeBytes: number; madeAtMs: number };

export type BackupFolders = {
  backups: string;
  videos: string;
  /** Where each backup is kept once more; null for nowhere. */
  second?: string | null;
};

/** Where the films of all backups lie, each once, by their hash. */
export const backupFilms = (backups: string): string => path.join(backups, 'films');

/** The backups of a folder, the latest first. */
export function listBackups(folder: string): Backup[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap(name => {
      const told = nameTells(name);
      const sizeBytes = told && statSync(path.join(folder, name), { throwIfNoEntry: false })?.size;
      return told && sizeBytes !== undefined ? [{ name, sizeBytes: sizeBytes!, ...told }] : [];
    })
    .sort((a, b) => b.sequence - a.sequence || b.madeAtMs - a.madeAtMs);
}

function nameTells(name: string): Pick<Backup, 'sequence' | 'madeAtMs'> | null {
  const [, sequence, year, month, day, hour, minute, second] = NAME.exec(name) ?? [];
  if (sequence !== undefined)
    return { sequence: Number(sequence), madeAtMs: Date.UTC(+year!, +month! - 1, +day!, +hour!, +minute!, +second!) };
  const [, older] = OLDER_NAME.exec(name) ?? [];
  return older === undefined ? null : { sequence: 0, madeAtMs: Date.parse(`${older}T12:00:00Z`) };
}

function backupName(sequence: number, nowMs: number): string {
  const time = new Date(nowMs).toISOString().replace(/[-:]|\.\d+/g, '');
  return `roan-${String(sequence).padStart(6, '0')}-${time}.zip`;
}

/** Whether another backup is due: a good part of a day after the last one, or where the clock has gone back behind it. */
export function isBackupDue(latest: Pick<Backup, 'madeAtMs'> | undefined, nowMs: number): boolean {
  return !latest || nowMs - latest.madeAtMs > DUE_AFTER_MS || nowMs < latest.madeAtMs - CLOCK_SLACK_MS;
}

/**
 * Keeps an archive in the data folder where one is due, with its films beside it, each once for all backups; and lets old ones go.
 * It is read back to its end before it is called a backup.
 * @returns the name of the backup that was made, or null
 */
export async function backUpIfDue(
  { db }: Pick<OpenDatabase, 'db'>,
  folders: BackupFolders,
  nowMs: number,
): Promise<string | null> {
  const latest = listBackups(folders.backups)[0];
  if (!isBackupDue(latest, nowMs)) return null;
  const films = backupFilms(folders.backups);
  mkdirSync(films, { recursive: true });
  const name = backupName((latest?.sequence ?? 0) + 1, nowMs);
  const file = path.join(folders.backups, name);
  try {
    const written = await writeArchive(
      db as OpenDatabase['db'],
      folders.videos,
      new Date(nowMs).toISOString(),
      'beside',
    );
    await pipeline(written.zip, createWriteStream(`${file}.part`));
    for (const film of written.films) keepFilm(film, films);
    const manifest = await verifyArchive(`${file}.part`, [films]);
    renameSync(`${file}.part`, file);
    if (folders.second) copyBackup(folders.backups, folders.second, name, manifest);
  } catch (error) {
    rmSync(`${file}.part`, { force: true });
    throw error;
  }
  for (const folder of [folders.backups, folders.second]) if (folder) await letGo(folder);
  return name;
}

/** Keeps a film beside the backups: the same bytes on the disk where that can be, else a copy. */
function keepFilm({ hash, file, sizeBytes }: ArchiveFilm, folder: string): void {
  const kept = path.join(folder, hash);
  if (statSync(kept, { throwIfNoEntry: false })?.size === sizeBytes) return;
  rmSync(kept, { force: true });
  try {
    linkSync(file, kept);
  } catch {
    copyFileSync(file, `${kept}.part`);
    renameSync(`${kept}.part`, kept);
  }
}

/** Keeps a backup and its films in a second folder, which may be on another disk. */
function copyBackup(from: string, to: string, name: string, manifest: Manifest): void {
  mkdirSync(backupFilms(to), { recursive: true });
  for (const [hash, sizeBytes] of Object.entries(manifest.films))
    keepFilm({ hash, sizeBytes, file: path.join(backupFilms(from), hash) }, backupFilms(to));
  copyFileSync(path.join(from, name), path.join(to, `${name}.part`));
  renameSync(path.join(to, `${name}.part`), path.join(to, name));
}

/** Lets old backups go, and the films that none of those that are left names. */
async function letGo(folder: string): Promise<void> {
  for (const name of backupsToDrop(listBackups(folder))) rmSync(path.join(folder, name), { force: true });
  const needed = new Set<string>();
  for (const { name } of listBackups(folder)) {
    // Of a backup that cannot be read nobody knows which films it needs: then all are kept.
    const manifest = await archiveManifest(path.join(folder, name)).catch(() => null);
    if (!manifest) return;
    Object.keys(manifest.films).forEach(hash => needed.add(hash));
  }
  const films = backupFilms(folder);
  for (const hash of readdirSync(films)) if (!needed.has(hash)) rmSync(path.join(films, hash), { force: true });
}
