import { randomUUID } from 'node:crypto';
import { USUAL_RULES, type RecordEvent, type TappedMark } from '@/core';
import { RecordBatch } from '@/files/recordEvent';
import { earlierWork, workByPair } from './earlierWork';
import { findLayout } from './layouts';
import { keepVersion } from './layoutVersions';
import { archiveLesson } from './changeLesson';
import { listLessons, saveLesson } from './lessons';
import { addPair, listPairs } from './pairs';
import { recordBatch } from './recordEvents';
import { saveYardRules, yardRules } from './settings';
import { testYard, type TestYard } from './testYard';

const DAY_MS = 24 * 3600 * 1000;
const TODAY_MS = Date.parse('2026-06-01T00:00:00Z');
/** In the evening, when the demo's own lesson is not of these days. */
const NOW_MS = TODAY_MS + 20 * 3600 * 1000;
/** Seven days, today last, and the end of today. */
const DAYS_MS = Array.from({ length: 8 }, (_, index) => TODAY_MS + (index - 6) * DAY_MS);

async function ride({ database, yardId }: TestYard, pass: object, ...marks: TappedMark[]) {
  const id = randomUUID();
  const events: RecordEvent[] = [
    { type: 'pass', id: randomUUID(), pass: { id, stage: 's', rein: 'left', direction: 'as-drawn', ...pass } as never },
    ...marks.map((mark): RecordEvent => {
      const own = { type: 'mark' as const, id: randomUUID(), passId: id };
      return { ...own, mark: { id: randomUUID(), ...mark }, atMs: TODAY_MS };
    }),
  ];
  await database.write(tx => recordBatch(tx, yardId, RecordBatch.parse({ events }), TODAY_MS + DAY_MS - 1));
}

test('what a horse did earlier on the day and in the week, without the lesson itself and what was given up', async () => {
  await testYard('Four on the bend', async yard => {
    const { db, write } = yard.database;
    const layout = (await findLayout(db, yard.yardId, yard.layoutId))!;
    const lesson = (await listLessons(db, yard.yardId))[0]!;
    const pair = (await listPairs(db, yard.yardId)).find(({ id }) => id === lesson.plan.pairIds[0])!;
    // The third stage: every fence of the bend is one, and the circle comes back to the first: five efforts a pass.
    const layoutVersionId = await write(tx => keepVersion(tx, yard.yardId, layout, 'ridden'));
    const { question } = lesson.plan.stages[2]!.questions[0]!;
    const own = { pairId: pair.id, layoutVersionId, lessonId: null, question };
    const at = (days: number, hour: number) => TODAY_MS - days * DAY_MS + hour * 3600 * 1000;
    await ride(yard, { ...own, riddenAtMs: at(0, 8) });
    await ride(yard, { ...own, riddenAtMs: at(0, 9) }, { kind: 'void' });
    await ride(yard, { ...own, riddenAtMs: at(0, 10), lessonId: lesson.id });
    await ride(yard, { ...own, riddenAtMs: at(2, 8) });
    await ride(yard, { ...own, riddenAtMs: at(2, 18) });
    await ride(yard, { ...own, riddenAtMs: at(5, 8) });
    await ride(yard, { ...own, riddenAtMs: at(7, 8) });
    const work = (await earlierWork(db, yard.yardId, DAYS_MS, lesson.id, NOW_MS)).get(pair.horseId)!;
    expect(work).toMatchObject({ lowEfforts: 5, highEfforts: 0, otherJumpingDays: 2 });
    const all = (await earlierWork(db, yard.yardId, DAYS_MS, 'another lesson', NOW_MS)).get(pair.horseId)!;
    expect(all.lowEfforts).toBe(10);
    const byDay = await workByPair(db, yard.yardId, DAYS_MS, NOW_MS);
    const ofPair = byDay.filter(({ pairId }) => pairId === pair.id);
    // Two days back twice, five days back once, today twice; what was given up is no effort.
    expect(Object.fromEntries(ofPair.map(({ day, work: { lowEfforts } }) => [day, lowEfforts]))).toMatchObject({
      ...{ 1: 5, 4: 10, 6: 10 },
    });
  });
});

test('a horse with three riders in one lesson, and another lesson that day: all of it, of planned lessons what is to come', async () => {
  await testYard('Four on the bend', async yard => {
    const { db, write } = yard.database;
    const { yardId } = yard;
    const [planned] = await listLessons(db, yardId);
    const stage = { ...planned!.plan.stages[2]!, eachRein: 6 };
    const pairs = await listPairs(db, yardId);
    const [own] = pairs.filter(({ id }) => planned!.plan.pairIds.includes(id));
    const others = pairs.filter(({ riderId }) => riderId !== own!.riderId);
    const riders = others
      .filter(({ riderId }, i) => others.findIndex(one => one.riderId === riderId) === i)
      .slice(0, 2);
    await write(async tx => {
      for (const { riderId } of riders) await addPair(tx, yardId, riderId, own!.horseId);
    });
    const threeRiders = (await listPairs(db, yardId)).filter(({ horseId }) => horseId === own!.horseId);
    expect(threeRiders).toHaveLength(3);
    const lesson = (name: string, hour: number) => ({
      ...{ name, arenaId: planned!.arenaId, startsAtMs: TODAY_MS + hour * 3600 * 1000 },
      plan: { pairIds: threeRiders.map(({ id }) => id), stages: [stage], breakEveryMin: 10 },
    });
    const morning = await write(tx => saveLesson(tx, yardId, lesson('morning', 9)));
    const efforts = async (notLesson: string, hour: number) =>
      (await earlierWork(db, yardId, DAYS_MS, notLesson, TODAY_MS + hour * 3600 * 1000)).get(own!.horseId)
        ?.lowEfforts ?? 0;
    // Three riders, six times on each rein, five efforts a time.
    expect(await efforts('another', 8)).toBe(3 * 12 * 5);
    expect(await efforts(morning, 8)).toBe(0);
    // Neither what is planned for another week, nor what was called off, is to come on these days.
    const toCome = async () =>
      (await workByPair(db, yardId, DAYS_MS, TODAY_MS)).filter(({ pairId }) => pairId === own!.id);
    const onTheDays = await toCome();
    expect(onTheDays.map(({ day }) => day)).toEqual([6]);
    await write(tx => saveLesson(tx, yardId, lesson('next week', 7 * 24)));
    const off = await write(tx => saveLesson(tx, yardId, lesson('called off', 10)));
    await write(tx => archiveLesson(tx, yardId, off, true, { by: null, nowMs: TODAY_MS }));
    expect(await toCome()).toEqual(onTheDays);
    // Two passes of it are ridden: what is ridden and what is to come are the same in all.
    const layout = (await findLayout(db, yardId, yard.layoutId))!;
    const layoutVersionId = await write(tx => keepVersion(tx, yardId, layout, 'ridden'));
    const { question } = stage.questions[0]!;
    const ridden = { pairId: own!.id, layoutVersionId, lessonId: morning, stageId: stage.id, question };
    for (const minute of [1, 2]) await ride(yard, { ...ridden, riddenAtMs: TODAY_MS + 9 * 3600_000 + minute * 60_000 });
    expect(await efforts('another', 9)).toBe(3 * 12 * 5);
    // Once it is over only what was ridden counts.
    expect(await efforts('another', 12)).toBe(10);
  });
});

test('the usual rules hold until a yard has its own', async () => {
  await testYard('Four on the bend', async ({ database: { db, write }, yardId }) => {
    expect(await yardRules(db, yardId)).toEqual(USUAL_RULES);
    const own = { ...USUAL_RULES, gate: { cleanEachRein: 3, bothReins: false }, riderMarks: ['looks down'] };
    await write(tx => saveYardRules(tx, yardId, own));
    expect(await yardRules(db, yardId)).toEqual(own);
  });
});
