import { createHash, randomUUID } from 'node:crypto';
import { createWriteStream, mkdirSync, mkdtempSync, renameSync, rmSync, statfsSync } from 'node:fs';
import path from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { and, eq, isNull, sql } from 'drizzle-orm';
import { DatabaseRefused, StoreFault } from '../databaseRefused';
import { filmFile } from '../films/filmFile';
import type { OpenDatabase } from '../database';
import { listYards, type Yard } from '../queries/yards';
import { forgetAll } from '../remembered';
import { passphrases, people, sessions, videos } from '../schema';
import type { Transaction } from '../database';
import { ARCHIVE_TABLES, tableName } from './archiveTables';
import { refuseArchive, type OpenArchive, type ReadFilm } from './readArchive';
import { stageArchive } from './stageArchive';
import { takeOver, withStaged, type StagedStore } from './stagedStore';
import { ofYard, type ArchiveRow } from './writeArchive';

/** Where an archive is restored to: the yard, and who restores it there, null where nobody is known. */
export type RestoredInto = { yardId: string; personId: string | null };

/** Whether nothing was ever entered: a yard has its own name and clock from the start, whoever began it, and nothing else. */
export async function isEmptyYard({ db }: Pick<OpenDatabase, 'db'>, into?: RestoredInto): Promise<boolean> {
  for (const table of ARCHIVE_TABLES) {
    if (tableName(table) === 'yards' || tableName(table) === 'settings') continue;
    const count = sql.raw(`select count(*) as n from "${tableName(table)}"`);
    const [row] = await db.all<{ n: number }>(sql`${count} ${ofYard(table, into?.yardId)}`);
    const begun = tableName(table) === 'people' && into?.personId ? 1 : 0;
    if ((row?.n ?? 0) > begun) return false;
  }
  return true;
}

/** What is left free beside what is restored, bytes. */
const SPARE_BYTES = 64 * 1024 ** 2;

/** Makes the tables of an archive file ready in a folder: beside the thread that takes taps, where there is one. */
export type Stage = (file: string, folder: string) => Promise<StagedStore>;

/**
 * Restores an archive into a Roan that is empty, all of it or nothing. Its tables are made ready in a store of their own, and films are
 * written, each looked at on its way, and taken away again where the rest cannot be restored; those who write meanwhile wait only for
 * the rows to be taken over.
 * @param into - the yard that it takes the place of, where others may lie beside it; left out for a store of its own
 * @throws {DatabaseRefused} where something was entered already, a row names another that is not there, a document is not what
 *   this Roan reads, or a film is not what it was
 */
export async function restoreArchive(
  database: OpenDatabase,
  archive: OpenArchive,
  videoFolder: string,
  into?: RestoredInto,
  stage: Stage = stageArchive,
): Promise<void> {
  await refuseMixed(database, into);
  const written: string[] = [];
  const folder = mkdtempSync(path.join(path.dirname(archive.file), 'restore-'));
  try {
    const staged = await stage(archive.file, folder);
    refuseBeside(staged, await othersThan(database.db, into));
    await withStaged(staged, database, async rows => {
      await restoreFilms(archive.films, await rows.of(videos), videoFolder, written);
      await database.write(async tx => {
        // Somebody may have entered something, or begun another yard, while it was made ready.
        const db = tx as unknown as OpenDatabase['db'];
        await refuseMixed({ db }, into);
        const others = await othersThan(db, into);
        refuseBeside(staged, others);
        const person = into?.personId ? await personNamed(tx, into.personId) : null;
        await takeOver(tx, rows, others.length === 0 ? undefined : into?.yardId);
        if (person) await keepRestorer(tx, person, staged.yards[0]!.id);
      });
      forgetAll();
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
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

async function refuseMixed(database: Pick<OpenDatabase, 'db'>, into?: RestoredInto): Promise<void> {
  if (!(await isEmptyYard(database, into)))
    refuseArchive(
      'This Roan has a yard with things in it: an archive is restored into an empty one, so that nothing is mixed.',
    );
}

/** Writes the films that rows name; one that the archive does not have is missing afterwards, as it was when it was made. */
async function restoreFilms(
  films: readonly ReadFilm[],
  rows: readonly ArchiveRow[],
  folder: string,
  written: string[],
): Promise<void> {
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

/** The yards that lie beside the one that an archive takes the place of; none where it takes the place of all. */
const othersThan = async (db: OpenDatabase['db'], into?: RestoredInto): Promise<Yard[]> =>
  into === undefined ? [] : (await listYards(db)).filter(({ id }) => id !== into.yardId);

/** Beside other yards one yard is restored, and one that is not there already. */
function refuseBeside({ yards }: StagedStore, others: readonly Yard[]): void {
  if (others.length === 0) return;
  if (yards.length !== 1)
    refuseArchive('This is a backup of a whole store: it is restored into a store that has no other yards.');
  const there = others.find(({ id }) => id === yards[0]!.id);
  if (there) refuseArchive(`The yard of this archive is here already: “${there.name}”.`);
}

type Restorer = { id: string; name: string };

async function personNamed(tx: Transaction, personId: string): Promise<Restorer | null> {
  const [person] = await tx.select({ id: people.id, name: people.name }).from(people).where(eq(people.id, personId));
  return person ?? null;
}

/** Whoever restores a yard is in it afterwards, by the passphrase and on the devices that they have. */
async function keepRestorer(tx: Transaction, { id, name }: Restorer, yardId: string): Promise<void> {
  const plain = (text: string) => text.trim().toLowerCase();
  const there = await tx
    .select({ id: people.id, name: people.name })
    .from(people)
    .where(and(eq(people.yardId, yardId), eq(people.role, 'instructor'), isNull(people.archivedAt)));
  const known = there.find(one => plain(one.name) === plain(name));
  const personId = known?.id ?? randomUUID();
  if (!known) await tx.insert(people).values({ id: personId, yardId, name, role: 'instructor' });
  if (personId !== id) await tx.delete(passphrases).where(eq(passphrases.personId, personId));
  await tx.update(passphrases).set({ personId, yardId }).where(eq(passphrases.personId, id));
  await tx.update(sessions).set({ personId, yardId }).where(eq(sessions.personId, id));
}
