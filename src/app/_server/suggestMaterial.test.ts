import { dayNumber, LEAST_PASSES, suggestFrom, unevenIn, type SuggestMaterial } from '@/core';
import { SEASON_TRUTH } from '@/data/demo/demoSeason';
import { DEMO_PAIRS } from '@/data/demo/demoYard';
import type { OpenDatabase } from '@/data/database';
import { findLesson, listLessons } from '@/data/queries/lessons';
import { listArenas } from '@/data/queries/arenas';
import { changeGoal, listGoals, saveGoal } from '@/data/queries/goals';
import { findLayout } from '@/data/queries/layouts';
import { addPair, listPairs, type Pair } from '@/data/queries/pairs';
import { listRefusals, refuseSuggestion, undoRefusal } from '@/data/queries/refusals';
import { layoutsOnSand } from '@/data/queries/sandNow';
import { currentYard } from '@/data/queries/yards';
import { withTestDatabase } from '@/data/testDatabase';
import { demoAt } from '@/data/testDemo';
import { bringGoalWeeks, goalWeeks, planGoalWeeks } from './goalSeries';
import { suggestMaterial } from './suggestMaterial';
import { takeSuggestion } from './takeSuggestion';
import { riddenStrides } from './yardStrides';

// A Wednesday; the season behind it ends on the Sunday before.
const NOW_MS = Date.parse('2026-06-03T12:00:00Z');
const DAY_MS = 86_400_000;

type Season = {
  database: OpenDatabase;
  yard: { id: string; timeZone: string };
  pairs: Pair[];
  pairOf: (horse: string) => Pair;
  material: (pairIds: string[], arena?: string) => Promise<SuggestMaterial>;
};

let season: Season;
let end: () => void;
let ended: Promise<void>;

// One season for all: each test looks at a pair or a goal of its own.
beforeAll(async () => {
  season = await new Promise<Season>((ready, fail) => {
    ended = withTestDatabase(
      async database => {
        const { id } = await currentYard(database);
        const yard = { id, timeZone: 'UTC' };
        const pairs = await listPairs(database.db, id);
        const arenas = await listArenas(database.db, id);
        ready({
          ...{ database, yard, pairs, pairOf: horse => pairs.find(({ horseName }) => horseName === horse)! },
          material: async (pairIds, arena = 'Lower school') => {
            const arenaId = arenas.find(({ name }) => name === arena)!.id;
            const wish = { arenaId, startsAtMs: NOW_MS + DAY_MS, minutes: 45, wishes: [{ pairIds, most: 5 }] };
            return (await suggestMaterial(database.db, yard, wish, NOW_MS))!;
          },
        });
        await new Promise<void>(done => (end = done));
      },
      demoAt(NOW_MS, 'season'),
    );
    ended.catch(fail);
  });
});
afterAll(async () => {
  end();
  await ended;
});
const withSeason = (run: (season: Season) => Promise<void>) => run(season);

test('what is called uneven in the demo’s season is what was planted, and nothing else of the reins', async () => {
  await withSeason(async ({ pairs, material }) => {
    const { pairs: seen, day } = await material(pairs.map(({ id }) => id));
    expect(day).toBe(dayNumber('2026-06-04'));
    let told = 0;
    for (const { key, horse } of DEMO_PAIRS) {
      const truth = SEASON_TRUTH[key];
      const pair = seen.find(({ name }) => name.toLowerCase() === horse);
      if (!truth || !pair) continue;
      const reins = unevenIn(pair.ridden, day, seen.length).flatMap(one => (one.of === 'rein' ? one.rein : []));
      if (reins.length > 0) told += 1;
      // Whoever has no worse rein is never said to have one.
      for (const rein of reins) expect([horse, truth.worseRein?.rein]).toEqual([horse, rein]);
    }
    expect(told).toBeLessThanOrEqual(2);
  });
});

test('each pair that rode enough is suggested something it may ride, and one that did not is told so', async () => {
  await withSeason(async ({ database, yard, pairs, pairOf, material }) => {
    const made = await material([pairOf('Quill').id]);
    const [forQuill] = suggestFrom(made);
    expect(forQuill!.suggestions.length).toBeGreaterThanOrEqual(3);
    for (const { why, terms } of forQuill!.suggestions) {
      expect(why).toMatch(/\.$/);
      expect(terms.length).toBe(7);
    }
    // Two who never rode together.
    const [rider, horse] = [pairOf('Thimble').riderId, pairOf('Osprey').horseId];
    await database.write(tx => addPair(tx, yard.id, rider, horse));
    const anew = (await listPairs(database.db, yard.id)).find(
      ({ riderId, horseId }) => riderId === rider && horseId === horse,
    )!;
    expect(suggestFrom(await material([anew.id]))[0]!.tooLittle).toContain(`from ${LEAST_PASSES} passes`);
    const group = suggestFrom(
      await material(pairs.filter(({ horseName }) => horseName !== 'Tansy').map(({ id }) => id)),
    );
    for (const { why } of group[0]!.suggestions)
      expect(why).toMatch(/for (Quill|Barley|Larkspur|Osprey|Thimble|Fennel) /i);
  });
});

test('a suggestion becomes a lesson over a layout that is set for its horses; taken twice over, the layout is there', async () => {
  await withSeason(async ({ database: { db, write }, yard, pairOf, material }) => {
    const pairId = pairOf('Thimble').id;
    const made = await material([pairId]);
    const [{ suggestions } = { suggestions: [] }] = suggestFrom(made);
    const anew = suggestions.find(({ series }) => series.layoutId === null)!;
    const arenaId = (await listArenas(db, yard.id)).find(({ name }) => name === 'Lower school')!.id;
    const taken = {
      ...{ pairIds: [pairId], arenaId, startsAtMs: NOW_MS + DAY_MS, exercise: anew.exercise, layoutId: null },
      series: anew.series.stages.map(({ stage, eachRein }) => ({ stage, eachRein })),
      next: anew.next,
    };
    const lessonId = await write(tx => takeSuggestion(tx, yard.id, taken));
    const { plan, name } = (await findLesson(db, yard.id, lessonId))!;
    expect(name).toBe(anew.title);
    expect(plan.pairIds).toEqual([pairId]);
    expect(plan.stages).toHaveLength(1 + anew.series.stages.length);
    const layout = (await findLayout(db, yard.id, plan.stages[1]!.layoutId!))!;
    expect(layout.plan.groupIds).toEqual([pairOf('Thimble').horseId]);
    // The very plan that was shown.
    expect(layout.plan.exercises[0]!.params).toEqual(anew.series.plan!.exercises[0]!.params);
    const again = suggestFrom(await material([pairId]))[0]!.suggestions.find(
      ({ exercise }) => exercise === anew.exercise,
    );
    expect(again?.series.layoutId ?? layout.id).toBe(layout.id);
    await expect(write(tx => takeSuggestion(tx, yard.id, { ...taken, layoutId: 'gone' }))).rejects.toThrow(/ask anew/);
  });
});

test('what is refused is remembered for these pairs, and comes back when it is wanted', async () => {
  await withSeason(async ({ database: { db, write }, yard, pairOf, material }) => {
    const pairId = pairOf('Thimble').id;
    const [first] = suggestFrom(await material([pairId]))[0]!.suggestions;
    const refused = { pairIds: [pairId], exercise: first!.exercise, stage: first!.next[0]!, nowMs: NOW_MS };
    const id = await write(tx => refuseSuggestion(tx, yard.id, refused));
    expect(await write(tx => refuseSuggestion(tx, yard.id, refused))).toBe(id);
    const titles = async () => suggestFrom(await material([pairId]))[0]!.suggestions.map(({ exercise }) => exercise);
    expect(await titles()).not.toContain(first!.exercise);
    expect(await listRefusals(db, yard.id, NOW_MS + 27 * DAY_MS)).toHaveLength(1);
    expect(await listRefusals(db, yard.id, NOW_MS + 28 * DAY_MS)).toEqual([]);
    await write(tx => undoRefusal(tx, yard.id, id, NOW_MS));
    expect(await titles()).toContain(first!.exercise);
  });
});

test('the weeks to a goal go up a stage a week, wait where one was not earned, and are planned once', async () => {
  await withSeason(async ({ database: { db, write }, yard, pairOf }) => {
    const pairId = pairOf('Thimble').id;
    const measure = { kind: 'stage' as const, exercise: 'serpentine', stage: 1 };
    const goal = { words: 'Serpentines', purposes: [], measure, byDay: null };
    const goalId = await write(tx => saveGoal(tx, yard.id, { id: null, pairId, goal, today: '2026-06-03' }));
    const arenaId = (await listArenas(db, yard.id)).find(({ name }) => name === 'Lower school')!.id;
    const start = { goalId, arenaId, startsAtMs: NOW_MS + DAY_MS, nowMs: NOW_MS, saveId: undefined };
    const planned = await planGoalWeeks(db, write, yard, start);
    expect(planned).toBeGreaterThan(0);
    await expect(planGoalWeeks(db, write, yard, start)).rejects.toThrow(/planned already/);
    const [weeks] = await goalWeeks(db, yard, NOW_MS);
    expect(weeks).toMatchObject({ now: null });
    expect(weeks!.lessons.map(({ stage }) => stage)).toEqual(planned === 2 ? [0, 1] : [1]);
    const days = weeks!.lessons.map(({ lesson }) => (lesson.startsAtMs - NOW_MS) / DAY_MS);
    expect(days).toEqual(planned === 2 ? [1, 8] : [1]);
    // Nothing was ridden: nothing is to be brought.
    const before = (await listLessons(db, yard.id)).length;
    await bringGoalWeeks(db, write, yard, goalId, NOW_MS);
    expect(await listLessons(db, yard.id)).toHaveLength(before);
  });
});

test('a goal is kept, changed, reached and taken away; a pair has six open ones at most', async () => {
  await withSeason(async ({ database: { db, write }, yard, pairOf }) => {
    const pairId = pairOf('Quill').id;
    const goal = (words: string) => ({ words, purposes: ['rhythm' as const], measure: null, byDay: '2026-08-01' });
    const set = (id: string | null, words: string) =>
      write(tx => saveGoal(tx, yard.id, { id, pairId, goal: goal(words), today: '2026-06-03' }));
    const id = await set(null, 'one');
    for (const words of ['two', 'three', 'four', 'five', 'six']) await set(null, words);
    await expect(set(null, 'seven')).rejects.toThrow(/6 goals at most/);
    await set(id, 'one, better said');
    await write(tx => changeGoal(tx, yard.id, id, { reachedDay: '2026-06-10' }));
    const [first] = await listGoals(db, yard.id, [pairId]);
    expect(first).toMatchObject({ words: 'one, better said', reachedDay: dayNumber('2026-06-10') });
    await set(null, 'seven');
    await write(tx => changeGoal(tx, yard.id, id, { archivedAtMs: NOW_MS }));
    expect((await listGoals(db, yard.id, [pairId])).map(({ words }) => words)).not.toContain('one, better said');
    await expect(write(tx => changeGoal(tx, yard.id, 'gone', { reachedDay: null }))).rejects.toThrow(/not there/);
  });
});

test('what stands on a sand is what was ridden there last', async () => {
  await withSeason(async ({ database: { db }, yard }) => {
    const on = await layoutsOnSand(db, yard.id);
    expect([...on].sort((a, b) => b.atMs - a.atMs)).toEqual(on);
    expect(new Set(on.map(({ arenaId }) => arenaId)).size).toBe(2);
  });
});

test('the strides that horses were ridden in lately lie where they were planted', async () => {
  await withSeason(async ({ database: { db }, yard, pairOf }) => {
    const lately = await riddenStrides(db, yard);
    const of = (horse: string) => lately[pairOf(horse).horseId]!.find(({ entry }) => entry === 'course-canter')!;
    const [, quill] = SEASON_TRUTH['ode-quill']!.strideM;
    const [, osprey] = SEASON_TRUTH['maud-osprey']!.strideM;
    // Quill came on over the season: what is told is how she goes now, within a stretch of a few centimetres.
    expect(Math.abs(of('Quill').strideM - quill)).toBeLessThan(0.12);
    expect(of('Osprey').lowM).toBeLessThanOrEqual(osprey);
    expect(of('Osprey').highM).toBeGreaterThanOrEqual(osprey);
  });
});
