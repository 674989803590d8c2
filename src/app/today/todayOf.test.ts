import { archiveLesson } from '@/data/queries/changeLesson';
import { listArenas } from '@/data/queries/arenas';
import { yardRules } from '@/data/queries/settings';
import { listLessons } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { currentYard } from '@/data/queries/yards';
import type { OpenDatabase } from '@/data/database';
import { withTestDatabase } from '@/data/testDatabase';
import { demoAt } from '@/data/testDemo';
import { todayOf } from './todayOf';

const NOW_MS = Date.parse('2026-06-03T12:00:00Z');
const HOUR_MS = 3600 * 1000;

type Asked = { database: OpenDatabase; yardId: string; today: (nowMs?: number) => ReturnType<typeof todayOf> };

async function onDemo(season: 'season' | 'no season', test: (asked: Asked) => Promise<void>): Promise<void> {
  await withTestDatabase(
    async database => {
      const { id: yardId } = await currentYard(database);
      const today = (nowMs = NOW_MS) => todayOf(database.db, { id: yardId, timeZone: 'UTC' }, nowMs);
      await test({ database, yardId, today });
    },
    demoAt(NOW_MS, season),
  );
}
const coming = async ({ database, yardId }: Asked) =>
  (await listLessons(database.db, yardId))
    .filter(({ startsAtMs, archived }) => startsAtMs > NOW_MS && !archived)
    .sort((a, b) => a.startsAtMs - b.startsAtMs);

test('the soonest lesson is there with who rides it, its stages and what it asks first', async () => {
  await onDemo('no season', async asked => {
    const [soonest] = await coming(asked);
    const { coming: shown } = await asked.today();
    expect(shown).toMatchObject({ id: soonest!.id, name: soonest!.name, isRunning: false });
    const pairs = await listPairs(asked.database.db, asked.yardId);
    const riding = soonest!.plan.pairIds.map(id => pairs.find(pair => pair.id === id)!);
    expect(shown!.pairs).toEqual(riding.map(({ horseName, riderName }) => `${horseName} with ${riderName}`));
    expect(shown!.stages).toHaveLength(soonest!.plan.stages.length);
  });
});

test('a lesson is shown half a day after its start, and then the next one; one that was put away never', async () => {
  await onDemo('no season', async asked => {
    const [soonest, second] = await coming(asked);
    expect((await asked.today(soonest!.startsAtMs + HOUR_MS)).coming?.id).toBe(soonest!.id);
    await asked.database.write(tx => archiveLesson(tx, asked.yardId, soonest!.id, true, { by: null, nowMs: NOW_MS }));
    expect((await asked.today()).coming?.id).toBe(second?.id);
  });
});

test('those who ride next come first among those for whom something is suggested, a day after that', async () => {
  await onDemo('no season', async asked => {
    const [soonest] = await coming(asked);
    const { suggest } = await asked.today();
    const first = suggest!.pairs.slice(0, soonest!.plan.pairIds.length).map(({ id }) => id);
    expect([...first].sort()).toEqual([...soonest!.plan.pairIds].sort());
    expect(suggest!.arenaId).toBe(soonest!.arenaId);
    expect(Date.parse(`${suggest!.startsAt}:00Z`)).toBe(soonest!.startsAtMs + 24 * HOUR_MS);
    expect(suggest!.pairs.length).toBeLessThanOrEqual(12);
  });
});

test('a horse that jumps on as many days as is the limit, or on more, is told with how many, and no other', async () => {
  await onDemo('season', async asked => {
    const { attention } = await asked.today();
    const limit = (await yardRules(asked.database.db, asked.yardId)).limits.jumpingDays;
    const told = attention.flatMap(words => {
      const said = /^\w+ jumps on (\d) days? of these seven, with what is planned: (that|\d) is the limit\.$/.exec(
        words,
      );
      return said ? [{ days: Number(said[1]), most: said[2] }] : [];
    });
    expect(told.length).toBeGreaterThan(0);
    for (const { days, most } of told) expect(most).toBe(days === limit ? 'that' : String(limit));
    for (const { days } of told) expect(days).toBeGreaterThanOrEqual(limit);
  });
});

test('after a season it knows what stands on each sand, since when, and only what has something on it', async () => {
  await onDemo('season', async asked => {
    const { stands } = await asked.today();
    const arenas = (await listArenas(asked.database.db, asked.yardId)).map(({ name }) => name);
    expect(stands.length).toBeGreaterThan(0);
    expect(new Set(stands.map(({ arena }) => arena)).size).toBe(stands.length);
    for (const { arena, words } of stands) {
      expect(arenas).toContain(arena);
      expect(words).toMatch(/^(set out|last ridden over) on \w+day \d+ \w+$/);
    }
  });
});

test('an empty yard has nothing that comes, and nothing to suggest', async () => {
  await withTestDatabase(async database => {
    const { id } = await currentYard(database);
    expect(await todayOf(database.db, { id, timeZone: 'UTC' }, NOW_MS)).toEqual({
      ...{ coming: null, attention: [], films: [], waiting: [], stands: [], suggest: null },
    });
  });
});
