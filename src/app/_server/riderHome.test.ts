import { setArchived } from '@/data/queries/archive';
import { listLessons } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { currentYard } from '@/data/queries/yards';
import type { OpenDatabase } from '@/data/database';
import { withTestDatabase } from '@/data/testDatabase';
import { demoAt } from '@/data/testDemo';
import { riderHome } from './riderHome';

const NOW_MS = Date.parse('2026-06-03T12:00:00Z');
const DAY_MS = 24 * 3600 * 1000;

type Asked = {
  database: OpenDatabase;
  yardId: string;
  home: (rider: string, nowMs?: number) => ReturnType<typeof riderHome>;
};

async function onDemo(season: 'season' | 'no season', test: (asked: Asked) => Promise<void>): Promise<void> {
  await withTestDatabase(
    async database => {
      const { id: yardId } = await currentYard(database);
      const home = async (rider: string, nowMs = NOW_MS) => {
        const pairs = await listPairs(database.db, yardId);
        const riderId = pairs.find(({ riderName }) => riderName === rider)?.riderId ?? 'nobody';
        return riderHome(database.db, { id: yardId, timeZone: 'UTC' }, riderId, nowMs);
      };
      await test({ database, yardId, home });
    },
    demoAt(NOW_MS, season),
  );
}

test('a rider finds the lessons of their own pairs, the next one first, and nobody else’s', async () => {
  await onDemo('no season', async ({ database, yardId, home }) => {
    const { coming, ridden, pairs } = await home('Ode Quillan');
    const own = (await listPairs(database.db, yardId)).filter(({ riderName }) => riderName === 'Ode Quillan');
    expect(pairs.map(({ name }) => name).sort()).toEqual(own.map(({ horseName }) => horseName).sort());
    const lessons = await listLessons(database.db, yardId);
    for (const line of [...coming, ...ridden]) {
      expect(own.map(({ id }) => id)).toContain(line.pairId);
      expect(lessons.find(({ id }) => id === line.lessonId)!.plan.pairIds).toContain(line.pairId);
    }
    const starts = coming.map(({ lessonId }) => lessons.find(({ id }) => id === lessonId)!.startsAtMs);
    expect(starts).toEqual([...starts].sort((a, b) => a - b));
    expect(coming.length).toBeGreaterThan(0);
  });
});

test('what was to come has been ridden when it lies back', async () => {
  await onDemo('no season', async ({ home }) => {
    const before = await home('Ode Quillan');
    const after = await home('Ode Quillan', NOW_MS + 60 * DAY_MS);
    expect(after.coming).toEqual([]);
    expect(after.ridden.map(({ lessonId }) => lessonId).sort()).toEqual(
      [...before.coming, ...before.ridden].map(({ lessonId }) => lessonId).sort(),
    );
  });
});

test('a pair that was put away sends no film, and keeps its lessons', async () => {
  await onDemo('no season', async ({ database, yardId, home }) => {
    const before = await home('Ode Quillan');
    const away = before.pairs[0]!;
    await database.write(tx => setArchived(tx, yardId, 'pair', away.id, true));
    const after = await home('Ode Quillan');
    expect(after.pairs.map(({ id }) => id)).not.toContain(away.id);
    expect([...after.coming, ...after.ridden]).toHaveLength(before.coming.length + before.ridden.length);
  });
});

test('after a season it says horse by horse what comes next, of the last lesson that was ridden; at most twenty lie back', async () => {
  await onDemo('season', async ({ home }) => {
    const { next, ridden, today } = await home('Ode Quillan');
    expect(today).toBe('2026-06-03');
    expect(ridden.length).toBeLessThanOrEqual(20);
    expect(ridden.length).toBeGreaterThan(5);
    expect(next.length).toBeGreaterThan(0);
    for (const { horse, words } of next) {
      expect(ridden.concat().some(line => line.horse === horse)).toBe(true);
      expect(words.length).toBeGreaterThan(0);
    }
  });
});

test('somebody who rides nothing has nothing, and nothing breaks', async () => {
  await onDemo('no season', async ({ home }) => {
    expect(await home('A stranger')).toMatchObject({ coming: [], ridden: [], next: [], films: [], pairs: [] });
  });
});
