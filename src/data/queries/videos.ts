import type { TimedFilmMark } from '@/core';
import { filmMarkRow, readFilmMark } from '@/files/filmMarkRow';
import { and, asc, desc, eq, inArray, isNotNull, isNull, or } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { DatabaseRefused } from '../databaseRefused';
import { pairs, passes, strideTestPasses, strideTests, videoNotes, videos } from '../schema';
import type { Transaction } from '../database';

type Reader = Pick<RoanDatabase, 'select'>;

export type Film = typeof videos.$inferSelect;

/** The films of passes and stride tests that were not removed, oldest first. */
export async function listFilms(db: Reader, yardId: string, passIds: string[], testIds: string[]): Promise<Film[]> {
  const own = or(
    passIds.length > 0 ? inArray(videos.passId, passIds) : undefined,
    testIds.length > 0 ? inArray(videos.testId, testIds) : undefined,
  );
  if (!own) return [];
  return db
    .select()
    .from(videos)
    .where(and(eq(videos.yardId, yardId), isNull(videos.removedAt), own))
    .orderBy(asc(videos.createdAt));
}

/** The films of a pair on days without a lesson that were not removed, the latest day first. */
export async function filmsOfPair(db: Reader, yardId: string, pairId: string): Promise<Film[]> {
  return db
    .select()
    .from(videos)
    .where(and(eq(videos.yardId, yardId), eq(videos.pairId, pairId), isNull(videos.removedAt)))
    .orderBy(desc(videos.day), desc(videos.createdAt));
}

/** Films of pairs without a lesson that nobody answered yet, the longest waiting first. */
export async function filmsToAnswer(db: Reader, yardId: string): Promise<Film[]> {
  const waits = and(isNull(videos.answeredAt), isNull(videos.removedAt), isNotNull(videos.pairId));
  return db
    .select()
    .from(videos)
    .where(and(eq(videos.yardId, yardId), waits))
    .orderBy(asc(videos.createdAt));
}

/** A film, removed ones among them; null where there is none. */
export async function findFilm(db: Reader, yardId: string, videoId: string): Promise<Film | null> {
  const [film] = await db
    .select()
    .from(videos)
    .where(and(eq(videos.yardId, yardId), eq(videos.id, videoId)));
  return film ?? null;
}

/** Who rode what a film shows; null where nobody is known to have. */
export async function filmRider(db: Reader, { passId, testId, pairId }: Film): Promise<string | null> {
  if (pairId !== null) {
    const [row] = await db.select({ riderId: pairs.riderId }).from(pairs).where(eq(pairs.id, pairId));
    return row?.riderId ?? null;
  }
  if (passId !== null) {
    const [row] = await db
      .select({ riderId: pairs.riderId })
      .from(passes)
      .innerJoin(pairs, eq(pairs.id, passes.pairId))
      .where(eq(passes.id, passId));
    return row?.riderId ?? null;
  }
  if (testId === null) return null;
  const [row] = await db.select({ riderId: strideTests.riderId }).from(strideTests).where(eq(strideTests.id, testId));
  return row?.riderId ?? null;
}

/** The horse that a film shows; null where that is not known any more. */
export async function filmHorse(db: Reader, yardId: string, film: Film): Promise<string | null> {
  if (film.testId !== null) {
    const [test] = await db
      .select({ horseId: strideTests.horseId })
      .from(strideTests)
      .where(and(eq(strideTests.yardId, yardId), eq(strideTests.id, film.testId)));
    return test?.horseId ?? null;
  }
  const ofPair = { horseId: pairs.horseId };
  const [row] =
    film.passId !== null
      ? await db
          .select(ofPair)
          .from(passes)
          .innerJoin(pairs, eq(pairs.id, passes.pairId))
          .where(and(eq(passes.yardId, yardId), eq(passes.id, film.passId)))
      : await db
          .select(ofPair)
          .from(pairs)
          .where(and(eq(pairs.yardId, yardId), eq(pairs.id, film.pairId ?? '')));
  return row?.horseId ?? null;
}

/** The films of a rider's own passes and tests that were not removed, the newest first. */
export async function filmsOfRider(db: Reader, yardId: string, riderId: string): Promise<Film[]> {
  const kept = and(eq(videos.yardId, yardId), isNull(videos.removedAt));
  const ofPasses = await db
    .select({ film: videos })
    .from(videos)
    .innerJoin(passes, eq(passes.id, videos.passId))
    .innerJoin(pairs, eq(pairs.id, passes.pairId))
    .where(and(kept, eq(pairs.riderId, riderId)));
  const ofTests = await db
    .select({ film: videos })
    .from(videos)
    .innerJoin(strideTests, eq(strideTests.id, videos.testId))
    .where(and(kept, eq(strideTests.riderId, riderId)));
  const ofPairs = await db
    .select({ film: videos })
    .from(videos)
    .innerJoin(pairs, eq(pairs.id, videos.pairId))
    .where(and(kept, eq(pairs.riderId, riderId)));
  return [...ofPasses, ...ofTests, ...ofPairs]
    .map(({ film }) => film)
    .sort((a, b) => b.createdAt.getTime() - a.createdAt.getTime());
}

/** What was seen in a film, in its order. */
export async function filmMarks(db: Reader, yardId: string, videoId: string): Promise<TimedFilmMark[]> {
  const rows = await db
    .select({ id: videoNotes.id, atS: videoNotes.atS, kind: videoNotes.kind, words: videoNotes.words })
    .from(videoNotes)
    .where(and(eq(videoNotes.yardId, yardId), eq(videoNotes.videoId, videoId), isNull(videoNotes.undoneAt)))
    .orderBy(asc(videoNotes.atS), asc(videoNotes.id));
  return rows.flatMap(({ id, atS, ...row }) => {
    const mark = readFilmMark(row);
    return mark ? [{ id, atS, ...mark }] : [];
  });
}

const GONE = 'What this film is of is not in the yard any more.';

/** @throws {DatabaseRefused} where the pass, the test or the pair is not there */
export async function addFilm(
  tx: Transaction,
  yardId: string,
  film: Omit<typeof videos.$inferInsert, 'yardId'>,
): Promise<void> {
  if (!(await isThere(tx, yardId, film))) throw new DatabaseRefused(GONE);
  await tx.insert(videos).values({ ...film, yardId });
}

async function isThere(
  tx: Transaction,
  yardId: string,
  { passId, testId, pairId }: Partial<Pick<Film, 'passId' | 'testId' | 'pairId'>>,
): Promise<boolean> {
  const of = passId ? { table: passes, id: passId } : testId ? { table: strideTests, id: testId } : null;
  if (of) {
    const { table, id } = of;
    const rows = await tx
      .select({ id: table.id })
      .from(table)
      .where(and(eq(table.yardId, yardId), eq(table.id, id)));
    return rows.length > 0;
  }
  const rows = await tx
    .select({ id: pairs.id })
    .from(pairs)
    .where(and(eq(pairs.yardId, yardId), eq(pairs.id, pairId ?? ''), isNull(pairs.archivedAt)));
  return rows.length > 0;
}

/** Keeps how long a film is, once a player has said so. */
export async function keepFilmLength(tx: Transaction, yardId: string, videoId: string, lengthS: number): Promise<void> {
  await tx
    .update(videos)
    .set({ lengthS })
    .where(and(eq(videos.yardId, yardId), eq(videos.id, videoId)));
}

/**
 * Gives an answer to whoever rode, or puts another in its place.
 * @param given.was - the answer that it is put in the place of, as whoever writes saw it; null for none
 * @throws {DatabaseRefused} where the film is of no pair, is gone, or was answered by somebody else meanwhile
 */
export async function answerFilm(
  tx: Transaction,
  yardId: string,
  videoId: string,
  { answer, was, atMs }: { answer: string; was: string | null; atMs: number },
): Promise<void> {
  const film = await findFilm(tx, yardId, videoId);
  if (!film || film.pairId === null) throw new DatabaseRefused('This film is not in the yard any more.');
  if (film.answer !== was && film.answer !== answer)
    throw new DatabaseRefused('Somebody else answered meanwhile: look at that first.');
  await tx
    .update(videos)
    .set({ answer, answeredAt: new Date(atMs) })
    .where(and(eq(videos.yardId, yardId), eq(videos.id, videoId)));
}

/** Says that a film is gone; its notes and counts stay with the record. */
export async function removeFilm(tx: Transaction, yardId: string, videoId: string): Promise<void> {
  await tx
    .update(videos)
    .set({ removedAt: new Date() })
    .where(and(eq(videos.yardId, yardId), eq(videos.id, videoId), isNull(videos.removedAt)));
}

export async function addFilmMark(
  tx: Transaction,
  yardId: string,
  videoId: string,
  { id, atS, ...mark }: TimedFilmMark,
): Promise<void> {
  if (!(await findFilm(tx, yardId, videoId))) throw new DatabaseRefused('This film is not in the yard any more.');
  await tx
    .insert(videoNotes)
    .values({ id, atS, ...filmMarkRow(mark), yardId, videoId })
    .onConflictDoNothing();
}

export async function undoFilmMark(tx: Transaction, yardId: string, noteId: string): Promise<void> {
  await tx
    .update(videoNotes)
    .set({ undoneAt: new Date() })
    .where(and(eq(videoNotes.yardId, yardId), eq(videoNotes.id, noteId), isNull(videoNotes.undoneAt)));
}

/**
 * Adds a pass with a count from a film to the stride test that the film is of. The same film counts once at a pace: sent
 * again, the count is corrected.
 */
export async function countIntoTest(
  tx: Transaction,
  yardId: string,
  film: Film,
  { pace, count }: { pace: 'normal' | 'short' | 'long'; count: number },
): Promise<void> {
  if (film.testId === null) throw new DatabaseRefused('This film is not of a stride test.');
  const id = `${film.id}-${pace}`;
  const [last] = await tx
    .select({ position: strideTestPasses.position })
    .from(strideTestPasses)
    .where(eq(strideTestPasses.testId, film.testId))
    .orderBy(desc(strideTestPasses.position))
    .limit(1);
  await tx
    .insert(strideTestPasses)
    .values({
      ...{ id, yardId, testId: film.testId, pace, count, behind: null, part: null },
      position: (last?.position ?? -1) + 1,
    })
    .onConflictDoUpdate({ target: strideTestPasses.id, set: { count } });
}
