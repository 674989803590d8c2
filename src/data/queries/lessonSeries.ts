import { randomUUID } from 'node:crypto';
import type { LessonPlan } from '@/core';
import { and, asc, eq, inArray, isNull } from 'drizzle-orm';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../database';
import { lessons } from '../schema';
import type { Transaction } from '../database';
import { changeLesson } from './changeLesson';
import { findLesson, lessonOf, saveLesson, type Lesson } from './lessons';

type Reader = Pick<RoanDatabase, 'select'>;

/** The lessons that belong with one: its series week by week, and the groups of its clinic; itself among them, the first one first. */
export type Together = { series: Lesson[]; groups: Lesson[] };

export async function lessonsTogether(db: Reader, yardId: string, lessonId: string): Promise<Together> {
  const [row] = await db
    .select({ seriesId: lessons.seriesId, groupsId: lessons.groupsId })
    .from(lessons)
    .where(and(eq(lessons.yardId, yardId), eq(lessons.id, lessonId)));
  const alike = async (column: typeof lessons.seriesId | typeof lessons.groupsId, word: string | null | undefined) => {
    if (!word) return [];
    const rows = await db
      .select()
      .from(lessons)
      .where(and(eq(lessons.yardId, yardId), eq(column, word), isNull(lessons.archivedAt)))
      .orderBy(asc(lessons.startsAt), lessons.id);
    return rows.map(lessonOf);
  };
  return { series: await alike(lessons.seriesId, row?.seriesId), groups: await alike(lessons.groupsId, row?.groupsId) };
}

/** A stage of another lesson is another stage: the records of one say nothing of the other. */
const asAnother = (plan: LessonPlan): LessonPlan => ({
  ...plan,
  stages: plan.stages.map(stage => ({ ...stage, id: randomUUID() })),
});

/**
 * Plans the same lesson again at other times; all of them are one series from then on. What a series has already at a time is
 * not planned twice. Returns how many are new.
 */
export async function repeatLesson(
  tx: Transaction,
  yardId: string,
  lessonId: string,
  atMs: readonly number[],
): Promise<number> {
  const lesson = await findLesson(tx, yardId, lessonId);
  if (!lesson) throw new DatabaseRefused('This lesson is not in the yard any more.');
  const { series } = await lessonsTogether(tx, yardId, lessonId);
  const [row] = await tx.select({ seriesId: lessons.seriesId }).from(lessons).where(eq(lessons.id, lessonId));
  const seriesId = row?.seriesId ?? randomUUID();
  const { name, arenaId, plan } = lesson;
  const ids = [lessonId];
  for (const startsAtMs of atMs)
    if (!series.some(other => other.startsAtMs === startsAtMs))
      ids.push(await saveLesson(tx, yardId, { name, arenaId, startsAtMs, plan: asAnother(plan) }));
  await tx.update(lessons).set({ seriesId }).where(inArray(lessons.id, ids));
  return ids.length - 1;
}

/**
 * Brings the plan of one lesson of a series to those that come after it and were not begun: who rides, and what. Days and times
 * stay as they are. Returns how many it was brought to.
 */
export async function bringToSeries(
  tx: Transaction,
  yardId: string,
  lessonId: string,
  { by, nowMs }: { by: string | null; nowMs: number },
): Promise<number> {
  const { series } = await lessonsTogether(tx, yardId, lessonId);
  const from = series.find(({ id }) => id === lessonId);
  if (!from) return 0;
  const after = comingAfter(series, from);
  for (const { id, startsAtMs, revision, plan: before } of after) {
    const edit = { name: from.name, arenaId: from.arenaId, startsAtMs, plan: asAnother(from.plan) };
    await changeLesson(tx, yardId, id, { ...edit, base: { revision, plan: before }, by, nowMs });
  }
  return after.length;
}

/** Lessons of a series that lie behind one of it and were not begun. */
export function comingAfter(
  series: readonly Lesson[],
  { id, startsAtMs }: Pick<Lesson, 'id' | 'startsAtMs'>,
): Lesson[] {
  return series.filter(
    other =>
      other.id !== id && other.startsAtMs > startsAtMs && other.acknowledgedAtMs === null && other.endedAtMs === null,
  );
}

/**
 * Rides a planned lesson in groups, one after the other over the same stages: the first group keeps the lesson, each other one has
 * a lesson of its own behind it. Returns the ids, in order.
 * @param groups - the pairs of each group
 * @param eachMin - how long a group rides
 */
export async function rideInGroups(
  tx: Transaction,
  yardId: string,
  lessonId: string,
  groups: readonly (readonly string[])[],
  eachMin: number,
): Promise<string[]> {
  const lesson = await findLesson(tx, yardId, lessonId);
  if (!lesson) throw new DatabaseRefused('This lesson is not in the yard any more.');
  if (lesson.acknowledgedAtMs !== null)
    throw new DatabaseRefused('This lesson has begun: pairs go out of it and into another one from the pad.');
  const { arenaId, startsAtMs, plan } = lesson;
  const groupsId = randomUUID();
  const whole = lesson.name.replace(/, group \d+$/, '');
  const ids: string[] = [];
  for (const [at, pairIds] of groups.entries()) {
    const own = at === 0 ? plan : asAnother(plan);
    ids.push(
      await saveLesson(tx, yardId, {
        ...(at === 0 ? { id: lessonId } : {}),
        ...{ name: `${whole}, group ${at + 1}`, arenaId, startsAtMs: startsAtMs + at * eachMin * 60_000 },
        plan: { ...own, pairIds: [...pairIds] },
      }),
    );
  }
  await tx.update(lessons).set({ groupsId }).where(inArray(lessons.id, ids));
  return ids;
}
