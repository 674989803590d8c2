import { randomUUID } from 'node:crypto';
import { changeLesson } from './changeLesson';
import { bringToSeries, comingAfter, lessonsTogether, repeatLesson, rideInGroups } from './lessonSeries';
import { findLesson, listLessons } from './lessons';
import { listPairs } from './pairs';
import { keepWords, wordsOfLesson } from './riderWords';
import { testYard, type TestYard } from './testYard';

const WEEK_MS = 7 * 24 * 3600 * 1000;
const NOW_MS = Date.parse('2026-06-01T12:00:00Z');

async function first({ database: { db }, yardId }: TestYard) {
  return (await listLessons(db, yardId)).find(({ name }) => name === 'The bend, built up')!;
}

test('eight weeks of a lesson are a series; one is moved, and a plan brought to those behind it leaves days as they are', async () => {
  await testYard('Four on the bend', async yard => {
    const { yardId, database } = yard;
    const { db, write } = database;
    const lesson = await first(yard);
    const atMs = [1, 2, 3, 4, 5, 6, 7].map(week => lesson.startsAtMs + week * WEEK_MS);
    expect(await write(tx => repeatLesson(tx, yardId, lesson.id, atMs))).toBe(7);
    // Asked for again, nothing is planned twice.
    expect(await write(tx => repeatLesson(tx, yardId, lesson.id, atMs))).toBe(0);
    const { series } = await lessonsTogether(db, yardId, lesson.id);
    expect(series.map(({ startsAtMs }) => startsAtMs)).toEqual([lesson.startsAtMs, ...atMs]);
    const stageIds = series.flatMap(({ plan }) => plan.stages.map(({ id }) => id));
    expect(new Set(stageIds).size).toBe(stageIds.length);

    const third = series[2]!;
    const moved = { ...third, startsAtMs: third.startsAtMs + 24 * 3600 * 1000, base: third, by: null, nowMs: NOW_MS };
    await write(tx => changeLesson(tx, yardId, third.id, moved));
    const second = series[1]!;
    const [pairId] = second.plan.pairIds;
    const plan = { ...second.plan, pairIds: [pairId!], stages: second.plan.stages.slice(0, 1) };
    await write(tx => changeLesson(tx, yardId, second.id, { ...second, plan, base: second, by: null, nowMs: NOW_MS }));
    expect(await write(tx => bringToSeries(tx, yardId, second.id, { by: null, nowMs: NOW_MS }))).toBe(6);
    const now = (await lessonsTogether(db, yardId, lesson.id)).series;
    expect(now.map(one => one.plan.pairIds.length)).toEqual([lesson.plan.pairIds.length, 1, 1, 1, 1, 1, 1, 1]);
    expect(now[2]!.startsAtMs).toBe(third.startsAtMs + 24 * 3600 * 1000);
    expect(comingAfter(now, now[6]!)).toHaveLength(1);
  });
});

test('a clinic in two groups: one after the other over the same stages, each with a record of its own', async () => {
  await testYard('Four on the bend', async yard => {
    const { yardId, database } = yard;
    const { db, write } = database;
    const lesson = await first(yard);
    const pairs = (await listPairs(db, yardId)).map(({ id }) => id);
    const groups = [pairs.slice(0, 2), pairs.slice(2, 4)];
    const ids = await write(tx => rideInGroups(tx, yardId, lesson.id, groups, 45));
    expect(ids[0]).toBe(lesson.id);
    const both = (await lessonsTogether(db, yardId, ids[1]!)).groups;
    expect(both.map(({ name }) => name)).toEqual(['The bend, built up, group 1', 'The bend, built up, group 2']);
    expect(both.map(({ plan }) => plan.pairIds)).toEqual(groups);
    expect(both[1]!.startsAtMs - both[0]!.startsAtMs).toBe(45 * 60_000);
    expect(both[1]!.plan.stages.map(({ name }) => name)).toEqual(both[0]!.plan.stages.map(({ name }) => name));
    expect(both[1]!.plan.stages[0]!.id).not.toBe(both[0]!.plan.stages[0]!.id);
    await expect(write(tx => rideInGroups(tx, yardId, randomUUID(), groups, 45))).rejects.toThrow('not in the yard');
  });
});

test('a word to a rider is kept once, and what somebody else wrote meanwhile is told, not lost', async () => {
  await testYard('Four on the bend', async yard => {
    const { yardId, database } = yard;
    const { db, write } = database;
    const lesson = await first(yard);
    const pairId = lesson.plan.pairIds[0]!;
    const say = (words: string, revision: number) =>
      write(tx => keepWords(tx, yardId, { lessonId: lesson.id, pairId, words, revision, nowMs: NOW_MS }));
    expect(await say('Look up.', 0)).toBe(1);
    // An answer that was lost: the same again is no other word.
    expect(await say('Look up.', 0)).toBe(1);
    await expect(say('Breathe.', 0)).rejects.toThrow('Somebody else wrote meanwhile: “Look up.”');
    expect(await say('Look up, and breathe.', 1)).toBe(2);
    expect((await wordsOfLesson(db, yardId, lesson.id)).get(pairId)).toEqual({
      ...{ words: 'Look up, and breathe.', revision: 2 },
    });
    expect((await findLesson(db, yardId, lesson.id))!.revision).toBe(lesson.revision);
  });
});
