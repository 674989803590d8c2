import { listArenas } from '@/data/queries/arenas';
import { findLayout, listLayouts } from '@/data/queries/layouts';
import { findLesson, listLessons } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { testYard, type TestYard } from '@/data/queries/testYard';
import { takeSuggestion, type TakenSuggestion } from './takeSuggestion';

const STARTS_MS = Date.parse('2026-06-04T16:00:00Z');

/** Two pairs of the demo yard, and its first arena. */
async function taken({ database, yardId }: TestYard, changes: Partial<TakenSuggestion> = {}): Promise<TakenSuggestion> {
  const [arena] = await listArenas(database.db, yardId);
  const pairs = (await listPairs(database.db, yardId)).slice(0, 2);
  return {
    ...{ pairIds: pairs.map(({ id }) => id), arenaId: arena!.id, startsAtMs: STARTS_MS, exercise: 'volte' },
    ...{ layoutId: null, series: [{ stage: 0, eachRein: 2 }], next: [0, 0] },
    ...changes,
  };
}

const take = (yard: TestYard, wish: TakenSuggestion) =>
  yard.database.write(tx => takeSuggestion(tx, yard.yardId, wish));

test('a suggestion is a lesson: a warm-up, what was suggested as often as it was, and a layout made for these horses', async () => {
  await testYard('Four', async yard => {
    const wish = await taken(yard);
    const lesson = (await findLesson(yard.database.db, yard.yardId, await take(yard, wish)))!;
    expect(lesson).toMatchObject({ startsAtMs: STARTS_MS, arenaId: wish.arenaId });
    expect(lesson.plan.pairIds).toEqual(wish.pairIds);
    const [warmUp, asked, ...more] = lesson.plan.stages;
    expect([warmUp!.layoutId, more]).toEqual([null, []]);
    expect(asked!.eachRein).toBe(2);
    expect(asked!.questions.map(({ question }) => question.what.kind)).toEqual(['stage']);
    const layout = (await findLayout(yard.database.db, yard.yardId, asked!.layoutId!))!;
    expect(layout.name).toBe(lesson.name);
    const horses = (await listPairs(yard.database.db, yard.yardId)).filter(({ id }) => wish.pairIds.includes(id));
    expect([...layout.plan.groupIds].sort()).toEqual([...new Set(horses.map(({ horseId }) => horseId))].sort());
  });
});

test('over a layout of the yard no second one is made', async () => {
  await testYard('Four', async yard => {
    const first = (await findLesson(yard.database.db, yard.yardId, await take(yard, await taken(yard))))!;
    const layoutId = first.plan.stages[1]!.layoutId!;
    const before = (await listLayouts(yard.database.db, yard.yardId)).length;
    const again = (await findLesson(yard.database.db, yard.yardId, await take(yard, await taken(yard, { layoutId }))))!;
    expect(again.plan.stages[1]!.layoutId).toBe(layoutId);
    expect(await listLayouts(yard.database.db, yard.yardId)).toHaveLength(before);
  });
});

test.each([
  ['an exercise that is not on the shelf', { exercise: 'levade' }],
  ['a layout that is not there', { layoutId: 'gone' }],
  ['a stage that the exercise has not', { series: [{ stage: 40, eachRein: 1 }] }],
  ['an arena that is not there', { arenaId: 'gone' }],
])('%s is refused, and nothing is made', async (_, changes) => {
  await testYard('Four', async yard => {
    const count = async () => [
      (await listLayouts(yard.database.db, yard.yardId)).length,
      (await listLessons(yard.database.db, yard.yardId)).length,
    ];
    const before = await count();
    await expect(take(yard, await taken(yard, changes))).rejects.toThrow('not there any more');
    expect(await count()).toEqual(before);
  });
});

test('a layout on other sand is not ridden over here', async () => {
  await testYard('Four', async yard => {
    const layout = (await findLayout(yard.database.db, yard.yardId, yard.layoutId))!;
    const other = (await listArenas(yard.database.db, yard.yardId)).find(({ id }) => id !== layout.arena.id)!;
    const wish = await taken(yard, { layoutId: layout.id, arenaId: other.id });
    await expect(take(yard, wish)).rejects.toThrow('not there any more');
  });
});
