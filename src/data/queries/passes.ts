import { assertNever, riddenRow, type PassMark, type PassRecord, type RecordEvent } from '@/core';
import type { RecordBatch } from '@/files/recordEvent';
import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { trustedTime } from '../trustedTime';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../openDatabase';
import { layoutVersions, marks, passes } from '../schema';
import type { Transaction } from '../writeQueue';
import { asVersion, findVersion, type LayoutVersion } from './layoutVersions';
import { findPair } from './pairs';

/** An event that can never be taken, however often it is sent. */
export class RecordRefused extends DatabaseRefused {
  override name = 'RecordRefused';
}

export type RiddenPass = PassRecord & { layoutVersionId: string };

/** The passes of a pair that were not taken back, oldest first; of one layout version if it is named. */
export async function listPasses(
  db: RoanDatabase,
  yardId: string,
  pairId: string,
  layoutVersionId?: string,
): Promise<RiddenPass[]> {
  const rows = await db
    .select()
    .from(passes)
    .where(
      and(
        eq(passes.yardId, yardId),
        eq(passes.pairId, pairId),
        isNull(passes.undoneAt),
        layoutVersionId === undefined ? undefined : eq(passes.layoutVersionId, layoutVersionId),
      ),
    )
    .orderBy(asc(passes.riddenAt), sql`rowid`);
  const marksOf = await liveMarks(
    db,
    rows.map(row => row.id),
  );
  return rows.map(row => ({
    id: row.id,
    layoutVersionId: row.layoutVersionId,
    rein: row.rein,
    direction: row.direction,
    stage: row.stage,
    riddenAtMs: row.riddenAt.getTime(),
    marks: marksOf.get(row.id) ?? [],
  }));
}

async function liveMarks(db: RoanDatabase, passIds: string[]): Promise<Map<string, PassMark[]>> {
  if (passIds.length === 0) return new Map();
  const rows = await db
    .select()
    .from(marks)
    .where(and(inArray(marks.passId, passIds), isNull(marks.undoneAt)))
    .orderBy(asc(marks.markedAt), sql`rowid`);
  return collect(rows);
}

function collect(rows: (typeof marks.$inferSelect)[]): Map<string, PassMark[]> {
  const byPass = new Map<string, PassMark[]>();
  for (const row of rows) {
    const list = byPass.get(row.passId) ?? [];
    list.push(asMark(row));
    byPass.set(row.passId, list);
  }
  return byPass;
}

function asMark(row: typeof marks.$inferSelect): PassMark {
  switch (row.kind) {
    case 'footfall':
      return { id: row.id, kind: 'footfall', place: row.place, fraction: row.fraction ?? 0.5 };
    case 'hit':
      return { id: row.id, kind: 'hit', place: row.place ?? 1 };
    case 'note':
      return { id: row.id, kind: 'note', words: row.words ?? '' };
  }
}

/** The layout versions that a pair has ridden, by id. */
export async function versionsRidden(
  db: RoanDatabase,
  yardId: string,
  versionIds: string[],
): Promise<Map<string, LayoutVersion>> {
  if (versionIds.length === 0) return new Map();
  const rows = await db
    .select()
    .from(layoutVersions)
    .where(and(eq(layoutVersions.yardId, yardId), inArray(layoutVersions.id, [...new Set(versionIds)])));
  return new Map(rows.map(row => [row.id, asVersion(row)]));
}

/**
 * Writes a batch of events, in order, all or none. An event that is there already (sent again after a lost answer)
 * changes nothing, so every event counts exactly once.
 * @throws {RecordRefused} a pair, layout or pass that is not there, or a place that the row does not have
 */
export async function recordBatch(tx: Transaction, yardId: string, batch: RecordBatch, nowMs: number): Promise<void> {
  const version = await findVersion(tx, yardId, batch.layoutVersionId);
  if (!version) throw new RecordRefused('This layout is not in the yard any more: go back and choose it again.');
  if (!(await findPair(tx, yardId, batch.pairId)))
    throw new RecordRefused('This pair is not in the yard any more: go back and choose it again.');
  const poles = riddenRow(version.layout)?.items ?? 0;
  for (const event of batch.events) await recordEvent(tx, { yardId, batch, poles, nowMs }, event);
}

type Recording = { yardId: string; batch: RecordBatch; poles: number; nowMs: number };

async function recordEvent(tx: Transaction, recording: Recording, event: RecordEvent): Promise<void> {
  const { yardId, batch, poles, nowMs } = recording;
  if (event.type === 'pass') {
    const { id, rein, direction, stage, riddenAtMs } = event.pass;
    const riddenAt = trustedTime(riddenAtMs, nowMs);
    const { pairId, layoutVersionId } = batch;
    await tx
      .insert(passes)
      .values({ id, yardId, pairId, layoutVersionId, stage, rein, direction, riddenAt })
      .onConflictDoNothing();
    return;
  }
  await requirePass(tx, recording, event.passId);
  switch (event.type) {
    case 'amend':
      await tx.update(passes).set({ rein: event.rein, direction: event.direction }).where(eq(passes.id, event.passId));
      return;
    case 'mark':
      refusePlace(event.mark, poles);
      await tx
        .insert(marks)
        .values({ ...markRow(event.mark), yardId, passId: event.passId, markedAt: trustedTime(event.atMs, nowMs) })
        .onConflictDoNothing();
      return;
    case 'undo-mark':
      await tx
        .update(marks)
        .set({ undoneAt: trustedTime(event.atMs, nowMs) })
        .where(and(eq(marks.id, event.markId), eq(marks.passId, event.passId), isNull(marks.undoneAt)));
      return;
    case 'undo-pass':
      await tx
        .update(passes)
        .set({ undoneAt: trustedTime(event.atMs, nowMs) })
        .where(and(eq(passes.id, event.passId), isNull(passes.undoneAt)));
      return;
    default:
      assertNever(event);
  }
}

async function requirePass(tx: Transaction, { yardId, batch }: Recording, passId: string): Promise<void> {
  const [found] = await tx
    .select({ id: passes.id })
    .from(passes)
    .where(and(eq(passes.id, passId), eq(passes.yardId, yardId), eq(passes.pairId, batch.pairId)));
  if (!found) throw new RecordRefused('A mark speaks of a pass that was never recorded.');
}

function refusePlace(mark: PassMark, poles: number): void {
  if (mark.kind === 'note' || mark.place === null) return;
  const most = mark.kind === 'hit' ? poles : poles - 1;
  if (mark.place > most)
    throw new RecordRefused(
      `The track goes over ${poles}: there is no ${mark.kind === 'hit' ? 'pole or fence' : 'gap'} ${mark.place}.`,
    );
}

function markRow(mark: PassMark) {
  const { id, kind } = mark;
  return {
    id,
    kind,
    place: kind === 'note' ? null : mark.place,
    fraction: kind === 'footfall' ? mark.fraction : null,
    words: kind === 'note' ? mark.words : null,
  };
}
