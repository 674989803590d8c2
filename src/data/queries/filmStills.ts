import { and, asc, count, eq } from 'drizzle-orm';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../database';
import { filmStills } from '../schema';
import type { Transaction } from '../database';
import { findFilm } from './videos';

type Reader = Pick<RoanDatabase, 'select'>;

/** A picture out of a film, without its bytes. */
export type FilmStill = { id: string; atS: number };

/** So many pictures show what there is to be seen; a film is the rest. */
const MOST_STILLS = 40;

/** The pictures out of a film, in its order. */
export async function stillsOf(db: Reader, yardId: string, videoId: string): Promise<FilmStill[]> {
  return db
    .select({ id: filmStills.id, atS: filmStills.atS })
    .from(filmStills)
    .where(and(eq(filmStills.yardId, yardId), eq(filmStills.videoId, videoId)))
    .orderBy(asc(filmStills.atS), asc(filmStills.id));
}

/** A picture out of a film with its bytes; null where there is none. */
export async function findStill(db: Reader, yardId: string, videoId: string, stillId: string) {
  const [still] = await db
    .select({ mime: filmStills.mime, bytes: filmStills.bytes })
    .from(filmStills)
    .where(and(eq(filmStills.yardId, yardId), eq(filmStills.videoId, videoId), eq(filmStills.id, stillId)));
  return still ?? null;
}

/** @throws {DatabaseRefused} where the film is gone, or has as many pictures as one may have */
export async function addStill(
  tx: Transaction,
  yardId: string,
  videoId: string,
  still: FilmStill & { bytes: Buffer },
): Promise<void> {
  if (!(await findFilm(tx, yardId, videoId))) throw new DatabaseRefused('This film is not in the yard any more.');
  const [kept] = await tx.select({ many: count() }).from(filmStills).where(eq(filmStills.videoId, videoId));
  if ((kept?.many ?? 0) >= MOST_STILLS)
    throw new DatabaseRefused(`A film has at most ${MOST_STILLS} pictures: take one of them out first.`);
  await tx
    .insert(filmStills)
    .values({ ...still, yardId, videoId, mime: 'image/jpeg' })
    .onConflictDoNothing();
}

/** A picture is no record: it can be taken away. */
export async function removeStill(tx: Transaction, yardId: string, videoId: string, stillId: string): Promise<void> {
  await tx
    .delete(filmStills)
    .where(and(eq(filmStills.yardId, yardId), eq(filmStills.videoId, videoId), eq(filmStills.id, stillId)));
}
