/**
 * What the server needs for a review of a season (5,000 passes, 40,000 marks) and of ten times that, and for saving a tap
 * in a long lesson. The database is the demo yard's season, copied with new ids until it is as large.
 */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { seedDemo } from '@/data/demo/seedDemo';
import { openDatabase, type OpenDatabase } from '@/data/openDatabase';
import { listArenas } from '@/data/queries/arenas';
import { findLesson, lessonRecord, listLessons } from '@/data/queries/lessons';
import { pairRecord } from '@/data/queries/pairRecord';
import { listPairs } from '@/data/queries/pairs';
import { recordBatch } from '@/data/queries/recordEvents';
import { reviewPasses } from '@/data/queries/reviewPasses';
import { sandRecord } from '@/data/queries/sandRecord';
import { currentYard } from '@/data/queries/yards';
import { settings } from '@/data/schema';
import { eq, sql } from 'drizzle-orm';

type Report = (name: string, value: string, target: string, met: boolean) => void;

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');
const ROUNDS = 9;
const CLOCK = { timeZone: 'UTC', dayOf: (atMs: number) => new Date(atMs).toISOString().slice(0, 10) };

async function medianMs(task: (round: number) => Promise<unknown>): Promise<number> {
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const start = performance.now();
    await task(round);
    times.push(performance.now() - start);
  }
  return times.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)]!;
}

async function timeMs(task: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await task();
  return performance.now() - start;
}

/** One more mark in the last pass of a pair. */
async function markOne({ db, write }: OpenDatabase, yardId: string, pairId: string): Promise<void> {
  const passes = await reviewPasses(db, yardId, { pairIds: [pairId] }, CLOCK);
  const passId = passes[passes.length - 1]?.id;
  // A pair that never rode has nothing to be marked.
  if (passId === undefined) return;
  // Passes of the bench have ids that are no UUIDs; the record takes them as they are.
  const mark = { id: randomUUID(), kind: 'note' as const, words: 'one more' };
  const events = [{ type: 'mark' as const, id: randomUUID(), passId, mark, atMs: NOW_MS }];
  await write(tx => recordBatch(tx, yardId, { events, lessonId: null }, NOW_MS));
}

async function countOf({ db }: OpenDatabase, table: string): Promise<number> {
  const [row] = await db.all<{ n: number }>(sql.raw(`select count(*) as n from ${table}`));
  return row!.n;
}

/** Copies every pass and its marks under new ids, a second later, until there are so many. */
async function growTo(database: OpenDatabase, passes: number): Promise<void> {
  const columns = 'yard_id, pair_id, layout_version_id, lesson_id, stage, rein, direction';
  const markColumns = 'yard_id, kind, place, fraction, words, document';
  const size = await countOf(database, 'passes');
  await database.write(async tx => {
    for (const table of ['first_passes', 'first_marks']) await tx.run(sql.raw(`drop table if exists ${table}`));
    await tx.run(sql.raw('create temp table first_passes as select * from passes'));
    await tx.run(sql.raw('create temp table first_marks as select * from marks'));
    // Rows that come past the record's own door: what was read before does not hold.
    await tx.update(settings).set({ value: randomUUID() }).where(eq(settings.key, 'recordRevision'));
    for (let copy = 1; copy * size < passes; copy += 1) {
      await tx.run(
        sql.raw(
          `insert into passes (id, ${columns}, ridden_at) select id || '-${size}-${copy}', ${columns}, ridden_at + ${copy * 1000} from first_passes`,
        ),
      );
      await tx.run(
        sql.raw(
          `insert into marks (id, pass_id, ${markColumns}, marked_at) select id || '-${size}-${copy}', pass_id || '-${size}-${copy}', ${markColumns}, marked_at from first_marks`,
        ),
      );
    }
  });
}

const WORDS = { horse: 'x', format: String, formatChange: String, entryName: String, dayName: String };

/** What the page of a pair is made from. */
const reviewPair = ({ db }: OpenDatabase, yardId: string, pair: { id: string; horseId: string }) =>
  pairRecord(db, yardId, pair, CLOCK, WORDS);

async function tapMs(database: OpenDatabase, yardId: string): Promise<number> {
  const { db, write } = database;
  const lessons = await listLessons(db, yardId);
  const records = await Promise.all(
    lessons.map(async lesson => ({ lesson, record: await lessonRecord(db, yardId, lesson) })),
  );
  const { lesson, record } = records.sort((a, b) => b.record.passes.length - a.record.passes.length)[0]!;
  const passId = record.passes[0]!.id;
  return medianMs(async () => {
    const mark = { id: randomUUID(), kind: 'quality' as const, value: 4 };
    const events = [{ type: 'mark' as const, id: randomUUID(), passId, mark, atMs: NOW_MS }];
    await write(tx => recordBatch(tx, yardId, { events, lessonId: lesson.id }, NOW_MS));
    // The answer brings the whole record of the lesson along.
    await lessonRecord(db, yardId, (await findLesson(db, yardId, lesson.id))!);
  });
}

export async function benchSeason(report: Report): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'roan-bench-'));
  const database = await openDatabase(`file:${path.join(folder, 'roan.db')}`);
  try {
    await seedDemo(database, NOW_MS, true);
    const yard = await currentYard(database);
    for (const [passes, most] of [
      [5_000, 50],
      [50_000, 250],
    ] as const) {
      const first = await tapMs(database, yard.id);
      if (passes === 5_000)
        report('a tap saved in a lesson, with its record', `${first.toFixed(1)} ms`, '30 ms', first <= 30);
      await growTo(database, passes);
      const size = `${await countOf(database, 'passes')} passes, ${await countOf(database, 'marks')} marks`;
      for (const pair of await listPairs(database.db, yard.id)) {
        const anew = await timeMs(() => reviewPair(database, yard.id, pair));
        await markOne(database, yard.id, pair.id);
        const changed = await timeMs(() => reviewPair(database, yard.id, pair));
        const ms = await medianMs(() => reviewPair(database, yard.id, pair));
        const told = `${ms.toFixed(0)} ms; ${changed.toFixed(0)} ms after a mark, ${anew.toFixed(0)} ms after a start`;
        report(`review of ${pair.horseName}, ${size}`, told, `${most} ms`, Math.max(ms, changed) <= most);
      }
      for (const arena of await listArenas(database.db, yard.id)) {
        const sand = () => sandRecord(database.db, yard.id, arena, CLOCK);
        const anew = await timeMs(sand);
        await markOne(database, yard.id, (await listPairs(database.db, yard.id))[0]!.id);
        const changed = await timeMs(sand);
        const ms = await medianMs(sand);
        const told = `${ms.toFixed(0)} ms; ${changed.toFixed(0)} ms after a mark, ${anew.toFixed(0)} ms after a start`;
        report(`the sand of ${arena.name}, ${size}`, told, `${most} ms`, Math.max(ms, changed) <= most);
      }
    }
  } finally {
    await database.close();
    rmSync(folder, { recursive: true, force: true });
  }
}
