import { saveHorse } from '@/data/queries/saveHorses';
import { lessonsBetween, listLessons } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { currentYard } from '@/data/queries/yards';
import { withTestDatabase } from '@/data/testDatabase';
import { demoAt } from '@/data/testDemo';
import { pagesToKeep } from './pagesToKeep';

const NOW_MS = Date.parse('2026-06-01T07:00:00Z');
const DAY_MS = 24 * 3600 * 1000;

const demo = demoAt(NOW_MS);

test('an instructor keeps the lessons of these days with all that is used in them; a helper no stride tests; a rider what is theirs', async () => {
  await withTestDatabase(async database => {
    const { db } = database;
    const yard = await currentYard(database);
    const [lesson] = await lessonsBetween(db, yard.id, NOW_MS, NOW_MS + 3 * DAY_MS);
    const who = (role: 'instructor' | 'helper' | 'rider', id = 'x') =>
      ({ open: false, yardId: yard.id, sessionId: 's', id, name: 'n', role }) as const;
    const hrefs = async (...given: Parameters<typeof who>) =>
      (await pagesToKeep(db, yard, who(...given), NOW_MS)).pages.map(({ href }) => href);
    const run = `/ride/lessons/${lesson!.id}/run`;
    const all = await hrefs('instructor');
    expect(all).toEqual(
      expect.arrayContaining(['/today', run, `/ride/lessons/${lesson!.id}`, '/ride', '/set', '/waiting']),
    );
    const stage = lesson!.plan.stages.find(({ layoutId }) => layoutId !== null)!;
    expect(all).toContain(`/set/${stage.layoutId}`);
    const riding = (await listPairs(db, yard.id)).filter(({ id }) => lesson!.plan.pairIds.includes(id));
    expect(all.filter(href => href.endsWith('/test')).sort()).toEqual(
      [...new Set(riding.map(({ horseId }) => `/yard/horses/${horseId}/test`))].sort(),
    );
    const helper = await hrefs('helper');
    expect(helper).toContain(run);
    expect(helper.filter(href => href.endsWith('/test') || href === '/today')).toEqual([]);
    const rider = riding[0]!;
    const own = riding.filter(({ riderId }) => riderId === rider.riderId);
    expect(await hrefs('rider', rider.riderId)).toEqual([
      '/mine',
      ...own.map(({ id }) => `/ride/lessons/${lesson!.id}/for/${id}`),
      '/waiting',
    ]);
    // Of days that are far nothing is kept.
    expect((await pagesToKeep(db, yard, who('instructor'), NOW_MS + 30 * DAY_MS)).pages).toHaveLength(4);
    expect(await listLessons(db, yard.id)).not.toHaveLength(0);
  }, demo);
});

test('a page is another one as soon as its lesson, a horse or the day is another; each person and yard is an owner', async () => {
  await withTestDatabase(async database => {
    const { db, write } = database;
    const yard = await currentYard(database);
    const who = { open: true, yardId: yard.id } as const;
    const stamps = async (nowMs = NOW_MS) => (await pagesToKeep(db, yard, who, nowMs)).pages.map(({ stamp }) => stamp);
    const before = await stamps();
    expect(await stamps()).toEqual(before);
    expect(await stamps(NOW_MS + DAY_MS / 3)).toEqual(before);
    expect((await stamps(NOW_MS + DAY_MS)).some(stamp => before.includes(stamp))).toBe(false);
    const [pair] = await listPairs(db, yard.id);
    await write(tx =>
      saveHorse(tx, yard.id, {
        ...{ id: pair!.horseId, name: 'Another name', heightM: 1.6, type: 'cob', bornYear: null, level: 'novice' },
        ...{ stiffSide: null, notes: '', normalStridesM: {} },
      }),
    );
    const after = await stamps();
    expect(after.slice(0, -1).some(stamp => before.includes(stamp))).toBe(false);
    const owner = async (yardId: string, one: Parameters<typeof pagesToKeep>[2]) =>
      (await pagesToKeep(db, { ...yard, id: yardId }, one, NOW_MS)).owner;
    const maud = { open: false, yardId: yard.id, sessionId: 's', id: 'maud', name: 'Maud', role: 'helper' } as const;
    const owners = [await owner(yard.id, who), await owner('other', who), await owner(yard.id, maud)];
    expect(new Set(owners).size).toBe(3);
  }, demo);
});
