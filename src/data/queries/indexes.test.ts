import { drizzle } from 'drizzle-orm/libsql';
import { createClient } from '@libsql/client';
import type { RoanDatabase } from '../database';
import * as schema from '../schema';
import { withTestDatabase } from '../testDatabase';
import { demoAt } from '../testDemo';
import { findLesson, lessonsBetween, listLessons, lessonRecord } from './lessons';
import { listLayouts } from './layouts';
import { listPairs } from './pairs';
import { listPasses, passesOfLesson } from './passes';
import { lessonLog, rideLog } from './recordLog';
import { reviewPasses, type ReviewWish } from './reviewPasses';
import { listTicks } from './settingTicks';
import { currentYard } from './yards';

/** Tables that grow with every lesson: none of them is read from its first row to its last. */
const GROWING = [
  'passes',
  'marks',
  'walk_breaks',
  'lesson_asks',
  'record_changes',
  'setting_ticks',
  'saves',
  'lessons',
];

const filled = demoAt(Date.parse('2026-11-20T12:00:00Z'), 'season');

const isGrowing = (detail: string) => GROWING.some(table => detail.replace(/"/g, '').startsWith(`SCAN ${table}`));

const clock = { timeZone: 'UTC', dayOf: (atMs: number) => new Date(atMs).toISOString().slice(0, 10) };

test('no question of a lesson or of the review reads a growing table row by row', async () => {
  await withTestDatabase(async (database, url) => {
    const yard = await currentYard(database);
    const asked: { sql: string; params: unknown[] }[] = [];
    const client = createClient({ url });
    const db = drizzle(client, {
      schema,
      logger: { logQuery: (sql, params) => void asked.push({ sql, params }) },
    }) as unknown as RoanDatabase;
    const [pair] = await listPairs(db, yard.id);
    const [layout] = await listLayouts(db, yard.id);
    const lessonId = (await listLessons(db, yard.id))[0]!.id;
    const lesson = (await findLesson(db, yard.id, lessonId))!;
    asked.length = 0;
    await lessonRecord(db, yard.id, lesson);
    await lessonsBetween(db, yard.id, 0, Date.now());
    await lessonLog(db, yard.id, lessonId);
    await lessonLog(db, yard.id, lessonId, 0);
    await rideLog(db, yard.id, pair!.id, 'a version');
    await listPasses(db, yard.id, pair!.id, 'a version');
    await passesOfLesson(db, yard.id, lessonId);
    await listTicks(db, yard.id, layout!.id);
    for (const wish of [
      { pairIds: [pair!.id] },
      { layoutId: layout!.id },
      { arenaId: 'any' },
      'all',
    ] satisfies ReviewWish[])
      await reviewPasses(db, yard.id, wish, clock);
    expect(asked.length).toBeGreaterThan(15);
    const scansOf = async ({ sql, params }: { sql: string; params: unknown[] }) => {
      const plan = await client.execute({ sql: `explain query plan ${sql}`, args: params as never[] });
      return plan.rows
        .map(({ detail }) => String(detail))
        .filter(detail => !detail.includes(' USING ') && isGrowing(detail));
    };
    const scans: string[] = [];
    for (const one of asked) for (const detail of await scansOf(one)) scans.push(`${detail}: ${one.sql.slice(0, 300)}`);
    // It would be seen.
    expect(await scansOf({ sql: 'select * from passes where stage = ?', params: ['any'] })).toEqual(['SCAN passes']);
    client.close();
    expect(scans).toEqual([]);
  }, filled);
}, 120_000);
