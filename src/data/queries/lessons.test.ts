import { randomUUID } from 'node:crypto';
import type { RecordEvent } from '@/core';
import { RecordBatch } from '@/files/recordEvent';
import { findLayout, saveLayout } from './layouts';
import { layoutStages } from './layoutStages';
import { findVersion, keepStages } from './layoutVersions';
import { findLesson, lessonRecord, listLessons, saveLesson } from './lessons';
import { listPairs } from './pairs';
import { recordBatch, RecordRefused } from './passes';
import { testYard, type TestYard } from './testYard';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');

async function withLesson(
  test: (yard: TestYard & { lessonId: string; pairId: string; versionId: string }) => Promise<void>,
) {
  await testYard('Four on the bend', async yard => {
    const { db, write } = yard.database;
    const lesson = (await listLessons(db, yard.yardId)).find(({ name }) => name === 'The bend, built up')!;
    const layout = (await findLayout(db, yard.yardId, yard.layoutId))!;
    const [versionId] = await write(tx => keepStages(tx, yard.yardId, layout, [lesson.plan.stages[0]!.exercise]));
    const pairId = lesson.plan.pairIds[0]!;
    await test({ ...yard, lessonId: lesson.id, pairId, versionId: versionId! });
  });
}

type InLesson = Parameters<Parameters<typeof withLesson>[0]>[0];

const pass = ({ pairId, lessonId, versionId }: InLesson, id: string): RecordEvent => ({
  ...{ type: 'pass', id: randomUUID() },
  pass: {
    ...{ id, pairId, lessonId, layoutVersionId: versionId, rein: 'left', direction: 'as-drawn' },
    ...{ stage: 'poles', riddenAtMs: NOW_MS },
  },
});
const send = ({ database, yardId }: InLesson, events: RecordEvent[]) =>
  database.write(tx => recordBatch(tx, yardId, RecordBatch.parse({ events }), NOW_MS));

test('the stages of a layout are those of its exercise, each kept as it is built then, once', async () => {
  await withLesson(async ({ database: { db, write }, yardId, layoutId }) => {
    const layout = (await findLayout(db, yardId, layoutId))!;
    const stages = await layoutStages(db, yardId, layout);
    expect(stages.map(({ work }) => work.lowEfforts > 0)).toEqual([false, true, true, true]);
    const exercises = stages.map(({ exercise }) => exercise);
    const versions = await write(tx => keepStages(tx, yardId, layout, exercises));
    expect(new Set(versions).size).toBe(4);
    expect(await write(tx => keepStages(tx, yardId, layout, exercises))).toEqual(versions);
    const kinds = async (id: string) => (await findVersion(db, yardId, id))!.layout.items.map(({ kind }) => kind);
    expect(new Set(await kinds(versions[0]!))).toEqual(new Set(['pole']));
    expect(await kinds(versions[3]!)).toContain('fence');
    // A stage that the exercise does not have any more is the layout as it is planned.
    const [gone] = await write(tx => keepStages(tx, yardId, layout, [{ id: 'nothing', stage: 7 }]));
    expect(await kinds(gone!)).toContain('fence');
  });
});

test('a changed plan is another version; a lesson keeps its record when its plan is changed', async () => {
  await withLesson(async lesson => {
    const { database, yardId, layoutId, lessonId, versionId } = lesson;
    const { db, write } = database;
    await send(lesson, [pass(lesson, randomUUID())]);
    const layout = (await findLayout(db, yardId, layoutId))!;
    const change = { layoutId, baseRevision: layout.revision, name: 'Another name', plan: layout.plan };
    await write(tx => saveLayout(tx, yardId, change, NOW_MS));
    const renamed = (await findLayout(db, yardId, layoutId))!;
    const planned = (await findLesson(db, yardId, lessonId))!;
    expect(await write(tx => keepStages(tx, yardId, renamed, [planned.plan.stages[0]!.exercise]))).not.toEqual([
      versionId,
    ]);
    const { id, arenaId, plan } = planned;
    await write(tx =>
      saveLesson(tx, yardId, { id, name: 'New', arenaId, startsAtMs: NOW_MS, plan: { ...plan, stages: [] } }),
    );
    const again = (await findLesson(db, yardId, lessonId))!;
    expect(again).toMatchObject({ name: 'New', startsAtMs: NOW_MS });
    expect((await lessonRecord(db, yardId, again)).passes).toHaveLength(1);
  });
});

test('every kind of mark comes back as it was said', async () => {
  await withLesson(async lesson => {
    const passId = randomUUID();
    const said = [
      { kind: 'strides', place: 1, count: 5 },
      { kind: 'fence', place: 2, outcome: 'run-out left' },
      { kind: 'take-off', place: 2, where: 'deep' },
      { kind: 'landing', place: 2, where: 'far' },
      { kind: 'lead', place: 2, lead: 'cross-canter' },
      { kind: 'aim', place: 1, off: 'right' },
      { kind: 'fault', place: null, fault: 'rush' },
      { kind: 'depart', how: 'wrong lead', trotSteps: 3 },
      { kind: 'gait', ridden: 'trot' },
      { kind: 'head', height: 'high' },
      { kind: 'figure', place: 3, point: 'bend', kept: false },
      { kind: 'quality', value: 4 },
      { kind: 'spot', at: { xM: 3.25, yM: 17.5 } },
      { kind: 'rider', what: 'eyes late' },
      { kind: 'footfall', place: 1, fraction: 0.42 },
      { kind: 'hit', place: 4 },
      { kind: 'note', words: 'looked at the wings' },
      { kind: 'void' },
    ].map(mark => ({ id: randomUUID(), ...mark }));
    const events = said.map(mark => ({ type: 'mark', id: randomUUID(), passId, mark, atMs: NOW_MS }) as RecordEvent);
    await send(lesson, [pass(lesson, passId), ...events]);
    const { database, yardId, lessonId } = lesson;
    const found = (await findLesson(database.db, yardId, lessonId))!;
    expect((await lessonRecord(database.db, yardId, found)).passes[0]!.marks).toEqual(said);
  });
});

test('a break and the reading of the cautions are there once, and a break can be taken back', async () => {
  await withLesson(async lesson => {
    const { database, yardId, lessonId, pairId } = lesson;
    const id = randomUUID();
    const walked: RecordEvent = { type: 'break', id, lessonId, pairId, atMs: NOW_MS };
    const read = (atMs: number): RecordEvent => ({ type: 'acknowledge', id: randomUUID(), lessonId, atMs });
    await send(lesson, [walked, walked, read(NOW_MS), read(NOW_MS + 1000)]);
    const record = async () => lessonRecord(database.db, yardId, (await findLesson(database.db, yardId, lessonId))!);
    expect(await record()).toMatchObject({ breaks: [{ id, pairId }], acknowledgedAtMs: NOW_MS });
    await send(lesson, [{ type: 'undo-break', id: randomUUID(), breakId: id, atMs: NOW_MS }]);
    expect((await record()).breaks).toEqual([]);
  });
});

test('what belongs to nothing is refused, and nothing of its batch stays', async () => {
  await withLesson(async lesson => {
    const { database, yardId, lessonId } = lesson;
    const passId = randomUUID();
    const mark = (place: number) =>
      ({
        type: 'mark',
        id: randomUUID(),
        passId,
        atMs: NOW_MS,
        mark: { id: randomUUID(), kind: 'hit', place },
      }) as RecordEvent;
    const stray = { ...lesson, lessonId: 'nowhere' };
    await expect(send(lesson, [pass(lesson, passId), mark(1), mark(99)])).rejects.toThrow(RecordRefused);
    await expect(send(lesson, [mark(1)])).rejects.toThrow('a pass that was never recorded');
    await expect(send(lesson, [pass(stray, randomUUID())])).rejects.toThrow('not in the yard any more');
    const found = (await findLesson(database.db, yardId, lessonId))!;
    expect((await lessonRecord(database.db, yardId, found)).passes).toEqual([]);
    expect((await listPairs(database.db, yardId)).length).toBeGreaterThan(2);
  });
});
