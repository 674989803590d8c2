import { randomUUID } from 'node:crypto';
import { USUAL_RULES, type RecordEvent, type TappedMark } from '@/core';
import { RecordBatch } from '@/files/recordEvent';
import { earlierWork } from './earlierWork';
import { findLayout } from './layouts';
import { keepStages } from './layoutVersions';
import { listLessons } from './lessons';
import { listPairs } from './pairs';
import { recordBatch } from './passes';
import { saveYardRules, yardRules } from './settings';
import { testYard, type TestYard } from './testYard';

const DAY_MS = 24 * 3600 * 1000;
const TODAY_MS = Date.parse('2026-06-01T00:00:00Z');
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
    const [layoutVersionId] = await write(tx => keepStages(tx, yard.yardId, layout, [lesson.plan.stages[2]!.exercise]));
    const own = { pairId: pair.id, layoutVersionId, lessonId: null };
    const at = (days: number, hour: number) => TODAY_MS - days * DAY_MS + hour * 3600 * 1000;
    await ride(yard, { ...own, riddenAtMs: at(0, 8) });
    await ride(yard, { ...own, riddenAtMs: at(0, 9) }, { kind: 'void' });
    await ride(yard, { ...own, riddenAtMs: at(0, 10), lessonId: lesson.id });
    await ride(yard, { ...own, riddenAtMs: at(2, 8) });
    await ride(yard, { ...own, riddenAtMs: at(2, 18) });
    await ride(yard, { ...own, riddenAtMs: at(5, 8) });
    await ride(yard, { ...own, riddenAtMs: at(7, 8) });
    const work = (await earlierWork(db, yard.yardId, DAYS_MS, lesson.id)).get(pair.horseId)!;
    expect(work).toMatchObject({ lowEfforts: 5, highEfforts: 0, otherJumpingDays: 2 });
    const all = (await earlierWork(db, yard.yardId, DAYS_MS, 'another lesson')).get(pair.horseId)!;
    expect(all.lowEfforts).toBe(10);
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
