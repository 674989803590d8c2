/** An archive of a gigabyte of films is made, and restored into an empty built Roan: how much memory it takes, and how long. */
import { createHash, randomBytes } from 'node:crypto';
import { createReadStream, createWriteStream, mkdirSync, mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { seedDemo } from '@/data/demo/seedDemo';
import { archiveTexts, packArchive } from '@/data/archive/writeArchive';
import { openDatabase } from '@/data/openDatabase';
import { addFilm } from '@/data/queries/videos';
import { currentYard } from '@/data/queries/yards';
import { passes } from '@/data/schema';
import { RoanServer } from '../e2e/support/roanServer';
import { residentMb } from './processOf';

type Report = (what: string, measured: string, target: string, met: boolean) => void;

const MB = 1024 ** 2;
const FILM_MB = 64;
const MOST_MB = 400;
const SIZES_MB = [64, 256, 1024];

export async function benchRestore(report: Report): Promise<void> {
  for (const sizeMb of SIZES_MB) {
    const folder = mkdtempSync(path.join(tmpdir(), 'roan-restore-'));
    try {
      const archive = await archiveOf(folder, sizeMb);
      const { mostMb, restMb, seconds } = await restored(path.join(folder, 'empty'), archive);
      report(
        `an archive of ${sizeMb} MB of films restored (${seconds.toFixed(1)} s): the most memory`,
        `${mostMb.toFixed(0)} MB (${restMb.toFixed(0)} MB before)`,
        `${MOST_MB} MB`,
        mostMb < MOST_MB,
      );
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  }
}

/** A season with so many films, in one file. */
async function archiveOf(folder: string, sizeMb: number): Promise<string> {
  const database = await openDatabase(`file:${path.join(folder, 'roan.db')}`);
  const videos = path.join(folder, 'videos');
  mkdirSync(videos);
  await seedDemo(database, Date.now(), true);
  const { id: yardId } = await currentYard(database);
  const ridden = await database.db
    .select({ id: passes.id })
    .from(passes)
    .limit(sizeMb / FILM_MB);
  for (const [at, { id: passId }] of ridden.entries()) {
    const film = randomBytes(FILM_MB * MB);
    const id = `film-${at}`;
    writeFileSync(path.join(videos, id), film);
    const sha256 = createHash('sha256').update(film).digest('hex');
    const row = { id, passId, testId: null, fileName: `${id}.mp4`, mime: 'video/mp4', sizeBytes: film.length, sha256 };
    await database.write(tx => addFilm(tx, yardId, row));
  }
  const { zip } = packArchive(await archiveTexts(database.db, yardId), videos, new Date().toISOString(), 'inside');
  const file = path.join(folder, 'archive.zip');
  await pipeline(zip, createWriteStream(file));
  await database.close();
  return file;
}

async function restored(folder: string, archive: string) {
  mkdirSync(folder);
  const roan = await RoanServer.start('empty', folder);
  try {
    await fetch(`${roan.url}/yard/archive`);
    const restMb = residentMb(roan.pid);
    let mostMb = restMb;
    const watch = setInterval(() => (mostMb = Math.max(mostMb, residentMb(roan.pid))), 50);
    const beganMs = performance.now();
    const { status, body } = await sendFile(`${roan.url}/api/archive`, archive, roan.url);
    const seconds = (performance.now() - beganMs) / 1000;
    clearInterval(watch);
    if (status !== 200) throw new Error(`Not restored: ${status} ${body}`);
    return { mostMb, restMb, seconds };
  } finally {
    await roan.stop();
  }
}

function sendFile(url: string, file: string, origin: string): Promise<{ status: number; body: string }> {
  return new Promise((resolve, reject) => {
    const headers = { origin, 'content-type': 'application/zip', 'content-length': statSync(file).size };
    const asked = request(url, { method: 'POST', headers }, answer => {
      let body = '';
      answer.setEncoding('utf8').on('data', chunk => (body += chunk));
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0, body }));
    });
    asked.on('error', reject);
    createReadStream(file).pipe(asked);
  });
}
