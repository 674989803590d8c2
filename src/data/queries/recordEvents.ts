import { askedLayout, assertNever, eventAtMs, UNTOLD_QUESTION, type Join, type RecordEvent } from '@/core';
import type { RecordBatch } from '@/files/recordEvent';
import { and, eq, isNull } from 'drizzle-orm';
import { horses, lessonAsks, lessonJoins, lessons, marks, pairs, passes, people, walkBreaks } from '../schema';
import { versionQuestion } from '../upgrade/versionQuestion';
import type { Transaction } from '../database';
import { findVersion } from './layoutVersions';
import { markRow } from './markRow';
import { keepQuestion } from './questions';
import { keepChange, pairsRiding } from './recordChanges';
import {
  beginRecording,
  knownPair,
  passRow,
  RecordRefused,
  refuseFuture,
  refuseWrongPlace,
  touchPass,
  type Recording,
} from './recording';
import { newRecordRevision } from './recordRevision';

/**
 * Writes a batch of events, in order, all or none. An event that is there already (sent again after a lost answer)
 * changes nothing, so every event counts exactly once.
 * @throws {RecordRefused} a pair, layout, lesson or pass that is not there, or a place that the layout does not have
 */
export async function recordBatch(tx: Transaction, yardId: string, batch: RecordBatch, nowMs: number): Promise<void> {
  const saidMs = batch.events.map(eventAtMs);
  const recording = beginRecording(tx, yardId, nowMs, { sentAtMs: batch.sentAtMs, saidMs });
  for (const event of batch.events) await recordEvent(recording, event);
  await newRecordRevision(tx, yardId, [...recording.touched]);
}

async function recordEvent(recording: Recording, event: RecordEvent): Promise<void> {
  const { tx, yardId, at, numberOf } = recording;
  switch (event.type) {
    case 'pass':
      return recordPass(recording, event);
    case 'mark':
      return recordMark(recording, event);
    case 'break': {
      const { id, lessonId, pairId, stageId = null, atMs, by: saidBy = null } = event;
      await tx
        .insert(walkBreaks)
        .values({
          ...{ id, yardId, lessonId, stageId, saidBy, walkedAt: at(atMs) },
          pairId: await knownPair(tx, yardId, pairId),
          recordNumber: await numberOf(lessonId),
        })
        .onConflictDoNothing();
      return;
    }
    case 'ask': {
      const { id, lessonId, stageId, pairId, question, atMs, by: saidBy = null } = event;
      await tx
        .insert(lessonAsks)
        .values({
          ...{ id, yardId, lessonId, stageId, saidBy, askedAt: at(atMs) },
          pairId: pairId === null ? null : await knownPair(tx, yardId, pairId),
          questionId: await keepQuestion(tx, yardId, question),
          recordNumber: await numberOf(lessonId),
        })
        .onConflictDoNothing();
      return;
    }
    case 'join':
      return recordJoin(recording, event.lessonId, event.join);
    case 'acknowledge':
      await numberOf(event.lessonId);
      await tx
        .update(lessons)
        .set({ acknowledgedAt: at(event.atMs) })
        .where(and(eq(lessons.yardId, yardId), eq(lessons.id, event.lessonId), isNull(lessons.acknowledgedAt)));
      return;
    case 'change':
      return keepChange(recording, event.lessonId, event.change);
    default:
      assertNever(event);
  }
}

async function recordPass(recording: Recording, event: RecordEvent & { type: 'pass' }): Promise<void> {
  const { tx, yardId, nowMs, at, numberOf, touched } = recording;
  const { id, layoutVersionId, lessonId, stageId, stage, rein, direction, riddenAtMs } = event.pass;
  const version = await findVersion(tx, yardId, layoutVersionId);
  if (!version) throw new RecordRefused('This layout is not in the yard any more: go back and choose it again.');
  const { pass } = event;
  const question = pass.question.id === UNTOLD_QUESTION.id ? versionQuestion(version.layout, null, id) : pass.question;
  if (question && !askedLayout(version.layout, question))
    throw new RecordRefused('What was asked goes over something that this layout does not have.');
  const pairId = await knownPair(tx, yardId, pass.pairId);
  const { saidAtMs } = event;
  if (saidAtMs !== undefined) refuseFuture(riddenAtMs, nowMs);
  // What is written down afterwards has the time that it is given; what is tapped while it is ridden has the device's.
  const riddenAt = saidAtMs === undefined ? at(riddenAtMs) : new Date(riddenAtMs);
  await tx
    .insert(passes)
    .values({
      ...{ id, yardId, pairId, layoutVersionId, lessonId, stageId, stage, rein, direction, riddenAt },
      ...{ saidAt: saidAtMs === undefined ? null : at(saidAtMs), saidBy: event.by ?? null },
      recordNumber: await numberOf(lessonId),
      questionId: question && (await keepQuestion(tx, yardId, question)),
    })
    .onConflictDoNothing();
  touched.add(id);
}

async function recordMark(recording: Recording, event: RecordEvent & { type: 'mark' }): Promise<void> {
  const { tx, yardId, at } = recording;
  const pass = await passRow(recording, event.passId);
  if (!pass) throw new RecordRefused('A mark speaks of a pass that was never recorded.');
  await refuseWrongPlace(recording, pass, event.mark);
  await tx
    .insert(marks)
    .values({
      ...{ ...markRow(event.mark), yardId, passId: event.passId, markedAt: at(event.atMs) },
      saidBy: event.by ?? null,
    })
    .onConflictDoNothing();
  await touchPass(recording, pass);
}

/** A pair comes into a lesson: its horse, its rider and the pair are added where the yard does not have them yet. */
async function recordJoin(recording: Recording, lessonId: string, join: Join): Promise<void> {
  const { tx, yardId, at, numberOf } = recording;
  const recordNumber = await numberOf(lessonId);
  const { horse, rider } = join;
  await tx
    .insert(horses)
    .values({ ...horse, yardId, type: 'all-round' })
    .onConflictDoNothing();
  await tx
    .insert(people)
    .values({ ...rider, yardId, role: 'rider' })
    .onConflictDoNothing();
  const ofBoth = and(eq(pairs.yardId, yardId), eq(pairs.riderId, rider.id), eq(pairs.horseId, horse.id));
  const [there] = await tx.select({ id: pairs.id }).from(pairs).where(ofBoth);
  const pairId = there?.id ?? join.pairId;
  if (there) await tx.update(pairs).set({ archivedAt: null }).where(eq(pairs.id, pairId));
  else await tx.insert(pairs).values({ id: pairId, yardId, riderId: rider.id, horseId: horse.id });
  await tx
    .insert(lessonJoins)
    .values({
      ...{ id: join.id, yardId, lessonId, pairId, saidPairId: join.pairId, saidBy: join.by, recordNumber },
      ...{ insteadOf: join.insteadOf, joinedAt: at(join.atMs) },
    })
    .onConflictDoNothing();
  await pairsRiding(recording, lessonId);
}
