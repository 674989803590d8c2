import { randomUUID } from 'node:crypto';
import { mergePlans, planDifference, type ChangedValue, type LessonPlan, type RecordChange } from '@/core';
import { and, eq } from 'drizzle-orm';
import { DatabaseRefused } from '../databaseRefused';
import { lessons, passes, recordChanges, walkBreaks } from '../schema';
import type { Transaction } from '../database';
import { findLesson, saveLesson, type Lesson } from './lessons';
import { listPairs } from './pairs';
import { keepChange } from './recordChanges';
import { beginRecording, type Recording } from './recording';
import { newRecordRevision } from './recordRevision';

export type LessonEdit = {
  name: string;
  arenaId: string;
  startsAtMs: number;
  plan: LessonPlan;
  /** The plan that this one was made from, and the revision that it had. */
  base: { revision: number; plan: LessonPlan };
  by: string | null;
  nowMs: number;
};

/**
 * Changes a planned lesson. What somebody else changed meanwhile stays where this change says nothing of it; stages that have a
 * record stay; what was ridden moves with its day. Returns what happened besides what was asked for, in sentences.
 * @throws {DatabaseRefused} where the lesson is gone, or what was ridden would lie in the future
 */
export async function changeLesson(tx: Transaction, yardId: string, id: string, edit: LessonEdit): Promise<string[]> {
  const lesson = await findLesson(tx, yardId, id);
  if (!lesson) throw new DatabaseRefused('This lesson is not in the yard any more.');
  const { name, arenaId, startsAtMs, base, by, nowMs } = edit;
  const recording = beginRecording(tx, yardId, nowMs);
  const merged =
    base.revision === lesson.revision ? { plan: edit.plan, both: [] } : mergePlans(base.plan, edit.plan, lesson.plan);
  const { plan, said } = await keepRidden(tx, yardId, lesson, merged.plan);
  const moved = await moveRidden(recording, lesson, startsAtMs, by);
  await saveLesson(tx, yardId, { id, name, arenaId, startsAtMs, plan });
  if (await isRecorded(tx, yardId, lesson)) {
    await sayPairs(recording, lesson, plan, by);
    await sayPlan(recording, lesson, plan, by);
  }
  await newRecordRevision(tx, yardId, [...recording.touched]);
  return [...merged.both, ...said, ...moved];
}

/** Whether a lesson was begun or has anything in its record: from then on its changes are told. */
async function isRecorded(tx: Transaction, yardId: string, { id, acknowledgedAtMs }: Lesson): Promise<boolean> {
  if (acknowledgedAtMs !== null) return true;
  const [pass] = await tx
    .select({ id: passes.id })
    .from(passes)
    .where(and(eq(passes.yardId, yardId), eq(passes.lessonId, id)))
    .limit(1);
  return pass !== undefined;
}

/** A plan with every stage that something was ridden in: it stays, and is said to. */
async function keepRidden(tx: Transaction, yardId: string, lesson: Lesson, plan: LessonPlan) {
  const rows = await tx
    .select({ stageId: passes.stageId })
    .from(passes)
    .where(and(eq(passes.yardId, yardId), eq(passes.lessonId, lesson.id)));
  const times = new Map<string, number>();
  for (const { stageId } of rows) if (stageId !== null) times.set(stageId, (times.get(stageId) ?? 0) + 1);
  const missing = lesson.plan.stages.filter(({ id }) => times.has(id) && !plan.stages.some(stage => stage.id === id));
  const said = missing.map(({ id, name }) => {
    const n = times.get(id)!;
    return `“${name}” stays: ${n === 1 ? 'one pass was' : `${n} passes were`} ridden in it.`;
  });
  const stages = [...plan.stages];
  // Each stays where it was.
  for (const stage of missing) stages.splice(lesson.plan.stages.indexOf(stage), 0, stage);
  return { plan: { ...plan, stages }, said };
}

const now = (recording: Recording, by: string | null) => ({
  ...{ id: randomUUID(), from: [], atMs: recording.nowMs, by, undoes: null },
});

/** Moves what was ridden and walked in a lesson with its day. */
async function moveRidden(
  recording: Recording,
  lesson: Lesson,
  startsAtMs: number,
  by: string | null,
): Promise<string[]> {
  const { tx, yardId, nowMs } = recording;
  const byMs = startsAtMs - lesson.startsAtMs;
  if (byMs === 0) return [];
  const ridden = await tx
    .select({ id: passes.id, at: passes.riddenAt })
    .from(passes)
    .where(and(eq(passes.yardId, yardId), eq(passes.lessonId, lesson.id)));
  const walked = await tx
    .select({ id: walkBreaks.id, at: walkBreaks.walkedAt })
    .from(walkBreaks)
    .where(and(eq(walkBreaks.yardId, yardId), eq(walkBreaks.lessonId, lesson.id)));
  if (ridden.some(({ at }) => at.getTime() + byMs > nowMs))
    throw new DatabaseRefused('What was ridden in this lesson cannot lie in the future: choose a day that has been.');
  const move = async (on: 'pass' | 'break', rows: readonly { id: string; at: Date }[]) => {
    for (const { id: of, at } of rows) {
      const [was, to] = [at.getTime(), at.getTime() + byMs];
      const from = await madeBefore(recording, lesson.id, { on, of, what: 'time' });
      await keepChange(recording, lesson.id, { ...now(recording, by), on, what: 'time', of, was, to, from });
    }
  };
  await move('pass', ridden);
  await move('break', walked);
  if (lesson.acknowledgedAtMs !== null || ridden.length > 0) {
    await say(recording, lesson.id, { on: 'lesson', what: 'day', was: lesson.startsAtMs, to: startsAtMs }, by);
    const shift = (ms: number | null) => (ms === null ? null : new Date(ms + byMs));
    await tx
      .update(lessons)
      .set({ acknowledgedAt: shift(lesson.acknowledgedAtMs), endedAt: shift(lesson.endedAtMs) })
      .where(eq(lessons.id, lesson.id));
  }
  if (ridden.length === 0) return [];
  return [`${ridden.length === 1 ? 'Its pass was' : `Its ${ridden.length} passes were`} moved with it.`];
}

/** The changes that were made of a thing before in a lesson, which the next one is made over. */
async function madeBefore(
  { tx, yardId }: Recording,
  lessonId: string,
  { on, of, what }: Pick<RecordChange, 'on' | 'of' | 'what'>,
): Promise<string[]> {
  const rows = await tx
    .select({ id: recordChanges.id })
    .from(recordChanges)
    .where(
      and(
        ...[eq(recordChanges.yardId, yardId), eq(recordChanges.lessonId, lessonId), eq(recordChanges.subject, on)],
        ...[eq(recordChanges.subjectId, of), eq(recordChanges.what, what)],
      ),
    );
  return rows.map(({ id }) => id);
}

type OfLesson = ChangedValue & { on: 'lesson' };

/** Says a change of a lesson that the server itself makes. */
async function say(recording: Recording, lessonId: string, value: OfLesson, by: string | null): Promise<void> {
  const from = await madeBefore(recording, lessonId, { ...value, of: lessonId });
  await keepChange(recording, lessonId, { ...now(recording, by), ...value, of: lessonId, from });
}

/** Pairs that were put into or taken out of a lesson that has begun. */
async function sayPairs(recording: Recording, lesson: Lesson, plan: LessonPlan, by: string | null): Promise<void> {
  const before = lesson.plan.pairIds;
  const changed = [
    ...before.filter(id => !plan.pairIds.includes(id)).map(of => ({ of, to: false })),
    ...plan.pairIds.filter(id => !before.includes(id)).map(of => ({ of, to: true })),
  ];
  for (const { of, to } of changed) {
    const value = { on: 'pair', what: 'rides', of, was: !to, to } as const;
    const from = await madeBefore(recording, lesson.id, value);
    await keepChange(recording, lesson.id, { ...now(recording, by), ...value, from });
  }
}

async function sayPlan(recording: Recording, lesson: Lesson, plan: LessonPlan, by: string | null): Promise<void> {
  const pairs = await listPairs(recording.tx, recording.yardId);
  const pairOf = (id: string) => {
    const pair = pairs.find(one => one.id === id);
    return pair ? `${pair.horseName} with ${pair.riderName}` : 'a pair';
  };
  const pairIds = plan.pairIds;
  const difference = planDifference({ ...lesson.plan, pairIds }, plan, pairOf);
  if (difference) {
    const cut = (words: string) => words.slice(0, MOST_WORDS);
    const value = { on: 'lesson', what: 'plan', was: cut(difference.was), to: cut(difference.to) } as const;
    await say(recording, lesson.id, value, by);
  }
}

const MOST_WORDS = 2000;

/** Puts a lesson away, or takes it out again; its record stays as it is. */
export async function archiveLesson(
  tx: Transaction,
  yardId: string,
  id: string,
  archived: boolean,
  { by, nowMs }: { by: string | null; nowMs: number },
): Promise<void> {
  const lesson = await findLesson(tx, yardId, id);
  if (!lesson) throw new DatabaseRefused('This lesson is not in the yard any more.');
  if (lesson.archived === archived) return;
  await tx
    .update(lessons)
    .set({ archivedAt: archived ? new Date(nowMs) : null })
    .where(and(eq(lessons.yardId, yardId), eq(lessons.id, id)));
  const recording = beginRecording(tx, yardId, nowMs);
  await say(recording, id, { on: 'lesson', what: 'archived', was: !archived, to: archived }, by);
}
