import { and, asc, desc, eq, inArray, isNull, or } from 'drizzle-orm';
import type { RoanDatabase } from '../openDatabase';
import { DatabaseRefused } from '../databaseRefused';
import { pairs, passes, strideTestPasses, strideTests, videoNotes, videos } from '../schema';
import type { Transaction } from '../writeQueue';

type Reader = Pick<RoanDatabase, 'select'>;

export type Film = typeof videos.$inferSelect;
export type FilmNote = { id: string; atS: number; kind: 'note' | 'stride'; words: string };

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

/** A film, removed ones among them; null where there is none. */
export async function findFilm(db: Reader, yardId: string, videoId: string): Promise<Film | null> {
  const [film] = await db
    .select()
    .from(videos)
    .where(and(eq(videos.yardId, yardId), eq(videos.id, videoId)));
  return film ?? null;
}

/** Who rode what a film shows; null where nobody is known to have. */
export async function filmRider(db: Reader, { passId, testId }: Film): Promise<string | null> {
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
  return [...ofPasses, ...ofTests]
    .map(({ film }) => film)
    .sort((a, b) => b.createdAt.getTime() - a.createdAt.getTime());
}

/** What was noted and counted in a film, in its order. */
export async function filmNotes(db: Reader, yardId: string, videoId: string): Promise<FilmNote[]> {
  return db
    .select({ id: videoNotes.id, atS: videoNotes.atS, kind: videoNotes.kind, words: videoNotes.words })
    .from(videoNotes)
    .where(and(eq(videoNotes.yardId, yardId), eq(videoNotes.videoId, videoId), isNull(videoNotes.undoneAt)))
    .orderBy(asc(videoNotes.atS), asc(videoNotes.id));
}

/** @throws {DatabaseRefused} where the pass or test is not there */
export async function addFilm(
  tx: Transaction,
  yardId: string,
  film: Omit<typeof videos.$inferInsert, 'yardId'>,
): Promise<void> {
  const there = film.passId
    ? await tx
        .select({ id: passes.id })
        .from(passes)
        .where(and(eq(passes.yardId, yardId), eq(passes.id, film.passId)))
    : await tx
        .select({ id: strideTests.id })
        .from(strideTests)
        .where(and(eq(strideTests.yardId, yardId), eq(strideTests.id, film.testId ?? '')));
  if (there.length === 0) throw new DatabaseRefused('What this film is of is not in the yard any more.');
  await tx.insert(videos).values({ ...film, yardId });
}

/** Says that a film is gone; its notes and counts stay with the record. */
export async function removeFilm(tx: Transaction, yardId: string, videoId: string): Promise<void> {
  await tx
    .update(videos)
    .set({ removedAt: new Date() })
    .where(and(eq(videos.yardId, yardId), eq(videos.id, videoId), isNull(videos.removedAt)));
}

export async function addFilmNote(tx: Transaction, yardId: string, videoId: string, note: FilmNote): Promise<void> {
  if (!(await findFilm(tx, yardId, videoId))) throw new DatabaseRefused('This film is not in the yard any more.');
  await tx
    .insert(videoNotes)
    .values({ ...note, yardId, videoId })
    .onConflictDoNothing();
}

export async function undoFilmNote(tx: Transaction, yardId: string, noteId: string): Promise<void> {
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
