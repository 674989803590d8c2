import { randomUUID } from 'node:crypto';
import type { RecordEvent } from '@/core';
import { changeLesson } from '@/data/queries/changeLesson';
import { listHorses } from '@/data/queries/horses';
import { findLayout } from '@/data/queries/layouts';
import { keepVersion } from '@/data/queries/layoutVersions';
import { findLesson, lessonRecord, listLessons, type Lesson } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { recordBatch } from '@/data/queries/recordEvents';
import { testYard, type TestYard } from '@/data/queries/testYard';
import { fittedStages } from './fittedStages';
import { stagesGot } from './stagesGot';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');
const DAY_MS = 24 * 3600 * 1000;

/** The demo's lesson over the bend, ridden yesterday: each pair clean twice on each rein at its first stage. */
async function riddenYesterday({ database, yardId, layoutId }: TestYard): Promise<Lesson> {
  const { db, write } = database;
  const planned = (await listLessons(db, yardId)).find(({ name }) => name === 'The bend, built up')!;
  const startsAtMs = NOW_MS - DAY_MS;
  const edit = { ...planned, startsAtMs, base: planned, by: null, nowMs: NOW_MS };
  await write(tx => changeLesson(tx, yardId, planned.id, edit));
  const layout = (await findLayout(db, yardId, layoutId))!;
  const layoutVersionId = await write(tx => keepVersion(tx, yardId, layout, 'ridden'));
  const [stage] = planned.plan.stages;
  let atMs = startsAtMs;
  const events = planned.plan.pairIds.flatMap(pairId =>
    (['left', 'right', 'left', 'right'] as const).map((rein): RecordEvent => {
      atMs += 60_000;
      return {
        ...{ type: 'pass', id: randomUUID(), saidAtMs: NOW_MS },
        pass: {
          ...{ id: randomUUID(), pairId, lessonId: planned.id, layoutVersionId, rein, direction: 'as-drawn' },
          ...{ stageId: stage!.id, stage: stage!.name, question: stage!.questions[0]!.question, riddenAtMs: atMs },
        },
      } as RecordEvent;
    }),
  );
  await write(tx => recordBatch(tx, yardId, { events, lessonId: null }, NOW_MS));
  return (await findLesson(db, yardId, planned.id))!;
}

test('what all earned last time comes once; what was not reached stays, within the hour and the day', async () => {
  await testYard('Four on the bend', async yard => {
    const { db } = yard.database;
    const layout = (await findLayout(db, yard.yardId, yard.layoutId))!;
    const horses = await listHorses(db, yard.yardId);
    const planned = (await listLessons(db, yard.yardId)).find(({ name }) => name === 'The bend, built up')!;
    const riding = (await listPairs(db, yard.yardId)).filter(({ id }) => planned.plan.pairIds.includes(id));
    const before = await fittedStages(db, yard.yardId, layout, horses, riding);
    expect(before.stages.every(({ stage }) => stage.eachRein >= 2)).toBe(true);
    expect(before.stages.reduce((sum, { stage }) => sum + stage.minutes, 0)).toBeLessThanOrEqual(50);

    const lesson = await riddenYesterday(yard);
    const got = await stagesGot(db, yard.yardId, lesson, await lessonRecord(db, yard.yardId, lesson));
    const three = { rode: riding.length, earned: riding.length };
    expect(lesson.plan.stages.map(({ id }) => got.get(id))).toEqual([
      three,
      ...lesson.plan.stages.slice(1).map(() => ({ rode: 0, earned: 0 })),
    ]);
    const after = await fittedStages(db, yard.yardId, layout, horses, riding);
    expect(after.stages[0]!.stage.eachRein).toBe(1);
    expect(after.stages[0]!.why[0]).toMatch(/^Clean last time/);
    expect(after.stages[1]!.stage.eachRein).toBeGreaterThanOrEqual(2);
    // Somebody who was not there is told nothing of it.
    const other = (await listPairs(db, yard.yardId)).filter(({ id }) => !planned.plan.pairIds.includes(id));
    const stranger = await fittedStages(db, yard.yardId, layout, horses, other.slice(0, 1));
    expect(stranger.stages.flatMap(({ why }) => why).join(' ')).not.toMatch(/last time/);
  });
});
