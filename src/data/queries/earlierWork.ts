import { NO_EARLIER_WORK, passWork, workOfPasses, type EarlierWork, type PassRecord, type PassWork } from '@/core';
import { and, eq, gte, isNull, lt } from 'drizzle-orm';
import type { RoanDatabase } from '../openDatabase';
import { pairs, passes } from '../schema';
import { passesWithMarks, versionsRidden } from './passes';

/** The days that count, each from its first instant up to the next: the last one is the day of the lesson. */
export type DaysMs = readonly number[];

/**
 * What each horse did before a lesson: on its day, and on how many of the days before it jumped. Horses without a row did
 * nothing.
 * @param daysMs - the first instant of each day, oldest first, and the end of the last one
 * @param notLessonId - the lesson that is being ridden: its own passes are counted there
 */
export async function earlierWork(
  db: RoanDatabase,
  yardId: string,
  daysMs: DaysMs,
  notLessonId: string,
): Promise<Map<string, EarlierWork>> {
  const [startMs, todayMs, endMs] = [daysMs[0]!, daysMs[daysMs.length - 2]!, daysMs[daysMs.length - 1]!];
  const rows = await db
    .select({ pass: passes, horseId: pairs.horseId })
    .from(passes)
    .innerJoin(pairs, eq(pairs.id, passes.pairId))
    .where(
      and(
        ...[eq(passes.yardId, yardId), isNull(passes.undoneAt)],
        ...[gte(passes.riddenAt, new Date(startMs)), lt(passes.riddenAt, new Date(endMs))],
      ),
    );
  const others = rows.filter(({ pass }) => pass.lessonId !== notLessonId);
  const ridden = await passesWithMarks(
    db,
    others.map(({ pass }) => pass),
  );
  const works = await worksOfVersions(db, yardId, ridden);
  const byHorse = new Map<string, PassRecord[]>();
  others.forEach(({ horseId }, index) => byHorse.set(horseId, [...(byHorse.get(horseId) ?? []), ridden[index]!]));
  return new Map([...byHorse].map(([horseId, own]) => [horseId, earlierOf(own, works, daysMs, todayMs)]));
}

function earlierOf(
  own: readonly PassRecord[],
  works: ReadonlyMap<string, PassWork>,
  daysMs: DaysMs,
  todayMs: number,
): EarlierWork {
  const workOf = (version: string) => works.get(version) ?? null;
  const before = daysMs.slice(0, -2);
  const otherJumpingDays = before.filter((startMs, day) => {
    const endMs = daysMs[day + 1]!;
    const { lowEfforts, highEfforts } = workOfPasses(
      own.filter(({ riddenAtMs }) => riddenAtMs >= startMs && riddenAtMs < endMs),
      workOf,
    );
    return lowEfforts + highEfforts > 0;
  }).length;
  const today = own.filter(({ riddenAtMs }) => riddenAtMs >= todayMs);
  return { ...NO_EARLIER_WORK, ...workOfPasses(today, workOf), otherJumpingDays };
}

/** The work of one pass over each layout version that was ridden. */
export async function worksOfVersions(
  db: RoanDatabase,
  yardId: string,
  ridden: readonly Pick<PassRecord, 'layoutVersionId'>[],
): Promise<Map<string, PassWork>> {
  const versions = await versionsRidden(
    db,
    yardId,
    ridden.map(({ layoutVersionId }) => layoutVersionId),
  );
  return new Map([...versions].map(([id, { layout }]) => [id, passWork(layout)]));
}
