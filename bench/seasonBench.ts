/**
 * What the server needs for a review of a season (5,000 passes, 40,000 marks), of three and of ten, for the first look at them after
 * a start, and for saving a tap in a long lesson. The database is the demo yard's season, copied with new ids into the years before
 * until it is as large.
 */
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { seedDemo } from '@/data/demo/seedDemo';
import { openDatabase } from '@/data/openDatabase';
import type { OpenDatabase } from '@/data/database';
import { listArenas } from '@/data/queries/arenas';
import { findLesson, lessonRecord, listLessons } from '@/data/queries/lessons';
import { keepChangedDays } from '@/data/queries/keepChangedDays';
import { pairRecord } from '@/data/queries/pairRecord';
import { listPairs } from '@/data/queries/pairs';
import { recordBatch } from '@/data/queries/recordEvents';
import { newRecordRevision } from '@/data/queries/recordRevision';
import { reviewPasses } from '@/data/queries/reviewPasses';
import { sandRecord } from '@/data/queries/sandRecord';
import { currentYard } from '@/data/queries/yards';
import { sql } from 'drizzle-orm';
import { look, type FirstLook } from './firstLook';

type Report = (name: string, value: string, target: string, met: boolean) => void;

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');
const ROUNDS = 9;
// The zone of the demo's yard: what is kept is kept by it.
const CLOCK = { timeZone: 'Europe/London', dayOf: (atMs: number) => new Date(atMs).toISOString().slice(0, 10) };

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

const DAY_MS = 24 * 3600 * 1000;
/** A season of a busy yard has so many passes, a pair a dozen in a day; the demo's has a tenth of them. */
const SEASON_PASSES = 5000;
/** Seasons lie so many days apart: on the same days of the week, a year before. */
const APART_DAYS = 364;

/** Copies every pass and its marks under new ids, a second later until a season is full, then a year before, until there are so many. */
async function growTo(database: OpenDatabase, yardId: string, passes: number): Promise<void> {
  const columns = 'yard_id, pair_id, layout_version_id, lesson_id, question_id, stage_id, stage, rein, direction';
  const markColumns = 'yard_id, kind, place, fraction, words, document';
  const size = await countOf(database, 'first_passes').catch(() => 0);
  await database.write(async tx => {
    const run = (text: string) => tx.run(sql.raw(text));
    if (size === 0) {
      await run('create table first_passes as select * from passes');
      await run('create table first_marks as select * from marks');
    }
    const there = await tx.all<{ n: number; first: number }>(
      sql.raw('select (select count(*) from passes) as n, (select count(*) from first_passes) as first'),
    );
    const { n, first } = there[0]!;
    // Rows that come past the record's own door: what was read before does not hold.
    await newRecordRevision(tx, yardId, []);
    for (let copy = Math.round(n / first); copy * first < passes; copy += 1) {
      const inSeason = Math.ceil(SEASON_PASSES / first);
      const backMs = Math.floor(copy / inSeason) * APART_DAYS * DAY_MS - (copy % inSeason) * 1000;
      await run(
        `insert into passes (id, ${columns}, ridden_at) select id || '-${copy}', ${columns}, ridden_at - ${backMs} from first_passes`,
      );
      await run(
        `insert into marks (id, pass_id, ${markColumns}, marked_at) select id || '-${copy}', pass_id || '-${copy}', ${markColumns}, marked_at - ${backMs} from first_marks`,
      );
    }
  });
}

/** How long the first look takes in a process of its own, once what passes say was kept and whoever taught looked at it in the evening. */
async function firstLook(database: OpenDatabase, url: string): Promise<FirstLook> {
  const { id, timeZone } = await currentYard(database);
  await keepChangedDays(database, id, { ...CLOCK, timeZone });
  await database.write.idle();
  await look(database.db);
  // What was reckoned is kept behind the answer.
  await new Promise(resolve => setTimeout(resolve, 1500));
  await database.write.idle();
  const told = spawnSync(process.execPath, ['--import', 'tsx', 'bench/firstLook.ts', url], { encoding: 'utf8' });
  if (told.status !== 0) throw new Error(told.stderr);
  return JSON.parse(told.stdout) as FirstLook;
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
  const url = `file:${path.join(folder, 'roan.db')}`;
  const database = await openDatabase(url);
  try {
    await seedDemo(database, NOW_MS, true);
    const yard = await currentYard(database);
    for (const [passes, most] of [
      [5_000, 50],
      [15_000, 150],
      [50_000, 250],
    ] as const) {
      const first = await tapMs(database, yard.id);
      if (passes === 5_000)
        report('a tap saved in a lesson, with its record', `${first.toFixed(1)} ms`, '30 ms', first <= 30);
      await growTo(database, yard.id, passes);
      const size = `${await countOf(database, 'passes')} passes, ${await countOf(database, 'marks')} marks`;
      const looked = await firstLook(database, url);
      for (const [what, ms] of Object.entries(looked))
        report(`the first look after a start, ${what}, ${size}`, `${ms.toFixed(0)} ms`, `${most} ms`, ms <= most);
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
