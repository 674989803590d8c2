import { eq } from 'drizzle-orm';
import { changedDays, keptBy, keptDays, passes } from '../schema';
import { withTestDatabase } from '../testDatabase';
import { demoAt } from '../testDemo';
import { pairDays } from './kept/pairDays';
import { keepChangedDays } from './keepChangedDays';
import { reviewPasses } from './reviewPasses';
import { currentYard } from './yards';

const NOW_MS = Date.parse('2026-06-03T12:00:00Z');
const CLOCK = { timeZone: 'UTC', dayOf: (atMs: number) => new Date(atMs).toISOString().slice(0, 10) };

test('what every pair rode is kept day by day, and where nothing changed nothing is written', async () => {
  await withTestDatabase(async database => {
    const { id: yardId } = await currentYard(database);
    const rows = await database.db.select().from(passes);
    const ridden = new Set(rows.map(({ pairId, riddenAt }) => `${pairId} ${CLOCK.dayOf(riddenAt.getTime())}`));
    const keep = async () => {
      let writes = 0;
      const write: typeof database.write = Object.assign((work: Parameters<typeof database.write>[0]) => {
        writes += 1;
        return database.write(work);
      }, database.write) as typeof database.write;
      await keepChangedDays({ ...database, write }, yardId, CLOCK);
      return writes;
    };
    expect(await keep()).toBeGreaterThan(0);
    const kept = await database.db.select().from(keptDays);
    // A day with nothing on it is kept as one with nothing.
    const full = kept.filter(({ document }) => document !== '');
    expect(new Set(full.map(({ pairId, day }) => `${pairId} ${day}`))).toEqual(ridden);
    expect(await database.db.select().from(changedDays)).toEqual([]);
    expect(await keep()).toBe(0);
    expect(await database.db.select().from(keptDays)).toEqual(kept);
    // What another Roan kept is kept anew: that one may have reckoned otherwise.
    await database.write(tx => tx.update(keptBy).set({ madeBy: 'another' }));
    expect(await keep()).toBeGreaterThan(0);
    const anew = await database.db.select().from(keptDays);
    expect(anew.map(({ document }) => document).sort()).toEqual(kept.map(({ document }) => document).sort());
    expect(Math.min(...anew.map(({ no }) => no))).toBeGreaterThan(Math.max(...kept.map(({ no }) => no)));
  }, demoAt(NOW_MS));
});

test('what was known before it was begun anew is not believed', async () => {
  await withTestDatabase(async database => {
    const { id: yardId } = await currentYard(database);
    const [pass] = await database.db.select().from(passes).where(eq(passes.yardId, yardId));
    const pairId = pass!.pairId;
    const stale = new Map([[pairId, { last: 1_000_000, days: new Map([['1999-01-01', []]]) }]]);
    const days = (await pairDays(database.db, yardId, CLOCK, stale))!.get(pairId)!.days;
    expect(days.has('1999-01-01')).toBe(false);
    expect(days.has(CLOCK.dayOf(pass!.riddenAt.getTime()))).toBe(true);
  }, demoAt(NOW_MS));
});

test('the day of a pass is asked for once for each quarter of an hour', async () => {
  await withTestDatabase(async database => {
    const { id: yardId } = await currentYard(database);
    const asked: number[] = [];
    const clock = { timeZone: 'UTC', dayOf: (atMs: number) => (asked.push(atMs), CLOCK.dayOf(atMs)) };
    const found = await reviewPasses(database.db, yardId, 'all', clock);
    const quarters = new Set(found.map(({ riddenAtMs }) => Math.floor(riddenAtMs / 900_000)));
    expect(quarters.size).toBeLessThan(found.length);
    expect(asked).toHaveLength(quarters.size);
  }, demoAt(NOW_MS));
});
