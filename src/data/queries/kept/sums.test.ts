import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import type { DayPass } from '@/core';
import type { OpenDatabase } from '../../database';
import { keptSums } from '../../schema';
import * as schema from '../../schema';
import { withTestDatabase } from '../../testDatabase';
import { demoAt } from '../../testDemo';
import { keepChangedDays } from '../keepChangedDays';
import { listPairs } from '../pairs';
import { recordBatch } from '../recordEvents';
import { reviewPasses } from '../reviewPasses';
import { currentYard } from '../yards';

const NOW_MS = Date.parse('2026-06-03T12:00:00Z');
const CLOCK = { timeZone: 'UTC', dayOf: (atMs: number) => new Date(atMs).toISOString().slice(0, 10) };

jest.setTimeout(120_000);

/** What a Roan that has just been started says, and how often it reckoned for it. */
async function afterAStart<Value>(
  { db }: OpenDatabase,
  yardId: string,
  wish: import('./sums').SumsWish,
  reckon: (passes: readonly DayPass[]) => Value,
): Promise<{ value: Value; times: number }> {
  let times = 0;
  let value: Value;
  await jest.isolateModulesAsync(async () => {
    const { sumsOf } = await import('./sums');
    const look = () => sumsOf(db, yardId, CLOCK, wish, passes => ((times += 1), reckon(passes)));
    value = await look();
    // Who looks again is told from memory.
    expect(await look()).toBe(value);
  });
  return { value: value!, times };
}

/** All that a sum may be made of: also what JSON cannot say. */
const sum = (passes: readonly DayPass[]) => ({
  many: passes.length,
  first: passes[0]?.riddenAtMs ?? null,
  none: undefined,
  endless: Infinity,
  byPair: new Map(passes.map(({ pairId }) => [pairId, pairId.length])),
});

async function withSeason(test: (database: OpenDatabase, yardId: string) => Promise<void>): Promise<void> {
  await withTestDatabase(async database => {
    await test(database, (await currentYard(database)).id);
    await database.write.idle();
  }, KEPT_SEASON);
}

const KEPT_SEASON = Object.assign(
  async (database: OpenDatabase) => {
    await keepChangedDays(database, (await currentYard(database)).id, CLOCK);
    await database.write.idle();
  },
  { on: demoAt(NOW_MS, 'season') },
);

/** Waits until sums of a name are kept, other than those that were. */
async function isKept({ db }: OpenDatabase, name: string, before = ''): Promise<string> {
  for (let time = 0; time < 100; time += 1) {
    const [row] = await db.select().from(keptSums).where(eq(keptSums.name, name));
    if (row && row.stands !== before) return row.stands;
    await new Promise(resolve => setTimeout(resolve, 50));
  }
  throw new Error(`${name} was never kept.`);
}

const mark = async ({ write }: OpenDatabase, yardId: string, passId: string) => {
  const noted = { id: randomUUID(), kind: 'note' as const, words: 'one more' };
  const events = [{ type: 'mark' as const, id: randomUUID(), passId, mark: noted, atMs: NOW_MS }];
  await write(tx => recordBatch(tx, yardId, { events, lessonId: null }, NOW_MS));
};

test('what was reckoned is told after a start without being reckoned, until something that it stands on changes', async () => {
  await withSeason(async (database, yardId) => {
    const pairs = await listPairs(database.db, yardId);
    const [one, other] = await Promise.all(
      pairs.slice(0, 2).map(({ id }) => reviewPasses(database.db, yardId, { pairIds: [id] }, CLOCK)),
    );
    const wish = { of: { pairIds: [pairs[0]!.id] }, name: 'sum of one', key: 'metres' };
    const first = await afterAStart(database, yardId, wish, sum);
    expect(first).toMatchObject({ times: 1, value: { many: one!.length } });
    const stands = await isKept(database, wish.name);
    expect(await afterAStart(database, yardId, wish, sum)).toEqual({ ...first, times: 0 });

    // Of another pair nothing is in it.
    await mark(database, yardId, other![0]!.id);
    expect((await afterAStart(database, yardId, wish, sum)).times).toBe(0);
    await mark(database, yardId, one![0]!.id);
    expect((await afterAStart(database, yardId, wish, sum)).times).toBe(1);
    const later = await isKept(database, wish.name, stands);
    expect((await afterAStart(database, yardId, wish, sum)).times).toBe(0);

    // Another unit, another Roan, another clock, and a row that nobody can read: it is reckoned again.
    expect((await afterAStart(database, yardId, { ...wish, key: 'feet' }, sum)).times).toBe(1);
    await isKept(database, wish.name, later);
    await database.write(tx => tx.update(keptSums).set({ document: 'AAAA' }));
    expect((await afterAStart(database, yardId, { ...wish, key: 'feet' }, sum)).times).toBe(1);
    await database.write(tx => tx.update(schema.keptBy).set({ madeBy: 'another Roan' }));
    expect((await afterAStart(database, yardId, { ...wish, key: 'feet' }, sum)).times).toBe(1);
  });
});

test('what is large, and what was reckoned while somebody tapped, is not kept', async () => {
  await withSeason(async (database, yardId) => {
    const kept = () => database.db.select().from(keptSums);
    await afterAStart(database, yardId, { of: 'all', name: 'large', key: '' }, passes =>
      'x'.repeat(80).repeat(passes.length * 40),
    );
    const [pass] = await reviewPasses(database.db, yardId, 'all', CLOCK);
    await afterAStart(database, yardId, { of: 'all', name: 'tapped', key: '' }, sum);
    await mark(database, yardId, pass!.id);
    await new Promise(resolve => setTimeout(resolve, 1000));
    expect(await kept()).toEqual([]);
  });
});
