import { createWriteStream, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import type { OpenDatabase } from '../openDatabase';
import { writeArchive } from './writeArchive';

const DAY_MS = 24 * 3600 * 1000;
/** So many days are kept. */
export const KEPT_BACKUPS = 14;
const NAME = /^roan-\d{4}-\d{2}-\d{2}\.zip$/;

export type Backup = { name: string; sizeBytes: number; madeAtMs: number };

/** The backups of a data folder, the latest first. */
export function listBackups(folder: string): Backup[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter(name => NAME.test(name))
    .map(name => {
      const { size, mtimeMs } = statSync(path.join(folder, name));
      return { name, sizeBytes: size, madeAtMs: mtimeMs };
    })
    .sort((a, b) => b.name.localeCompare(a.name));
}

/**
 * Keeps an archive of today in the data folder unless there is one, and lets those go that are older than two weeks of
 * backups. Nothing half-written is ever named as a backup.
 * @returns the name of the backup that was made, or null
 */
export async function backUpIfDue(
  { db }: Pick<OpenDatabase, 'db'>,
  folders: { backups: string; videos: string },
  nowMs: number,
): Promise<string | null> {
  const name = `roan-${new Date(nowMs).toISOString().slice(0, 10)}.zip`;
  const latest = listBackups(folders.backups)[0];
  if (latest && (latest.name >= name || nowMs - latest.madeAtMs < DAY_MS / 2)) return null;
  mkdirSync(folders.backups, { recursive: true });
  const file = path.join(folders.backups, name);
  try {
    const archive = await writeArchive(db as OpenDatabase['db'], folders.videos, new Date(nowMs).toISOString());
    await pipeline(archive, createWriteStream(`${file}.part`));
    renameSync(`${file}.part`, file);
  } catch (error) {
    rmSync(`${file}.part`, { force: true });
    throw error;
  }
  for (const old of listBackups(folders.backups).slice(KEPT_BACKUPS)) rmSync(path.join(folders.backups, old.name));
  return name;
}
