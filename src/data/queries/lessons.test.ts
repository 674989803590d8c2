import { randomUUID } from 'node:crypto';
import { askedLayout, type Question, type RecordEvent } from '@/core';
import { RecordBatch } from '@/files/recordEvent';
import { findLayout, saveLayout } from './layouts';
import { layoutOffers } from './layoutStages';
import { findVersion, keepVersion } from './layoutVersions';
import { findLesson, lessonRecord, listLessons, saveLesson } from './lessons';
import { listPairs } from './pairs';
import { takenBack } from '../testChanges';
import { recordBatch } from './recordEvents';
import { RecordRefused } from './recording';
import { testYard, type TestYard } from './testYard';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');

async function withLesson(
  test: (yard: TestYard & { lessonId: string; pairId: string; versionId: string; question: Question }) => Promise<void>,
) {
  await testYard('Four on the bend', async yard => {
    const { db, write } = yard.database;
    const lesson = (await listLessons(db, yard.yardId)).find(({ name }) => name === 'The bend, built up')!;
    const layout = (await findLayout(db, yard.yardId, yard.layoutId))!;
    const versionId = await write(tx => keepVersion(tx, yard.yardId, layout, 'ridden'));
    const pairId = lesson.plan.pairIds[0]!;
    const { question } = lesson.plan.stages[3]!.questions[0]!;
    await test({ ...yard, lessonId: lesson.id, pairId, versionId, question });
  });
}

type InLesson = Parameters<Parameters<typeof withLesson>[0]>[0];

const pass = ({ pairId, lessonId, versionId, question }: InLesson, id: string): RecordEvent => ({
  ...{ type: 'pass', id: randomUUID() },
  pass: {
    ...{ id, pairId, lessonId, layoutVersionId: versionId, rein: 'left', direction: 'as-drawn' },
    ...{ stage: 'poles', stageId: null, question, riddenAtMs: NOW_MS },
  },
});
const send = ({ database, yardId }: InLesson, events: RecordEvent[]) =>
  database.write(tx => recordBatch(tx, yardId, RecordBatch.parse({ events }), NOW_MS));

test('the stages of a layout are those of its exercise; a layout is kept once, and each stage is asked over it', async () => {
  await withLesson(async ({ database: { db, write }, yardId, layoutId, versionId }) => {
    const layout = (await findLayout(db, yardId, layoutId))!;
    const { stages } = await layoutOffers(db, yardId, layout);
    expect(stages).toHaveLength(4);
    expect(await write(tx => keepVersion(tx, yardId, layout, 'ridden'))).toBe(versionId);
    const version = (await findVersion(db, yardId, versionId))!;
    const found = (await findLesson(db, yardId, (await listLessons(db, yardId))[0]!.id))!;
    const kinds = found.plan.stages.map(({ questions: [asked] }) => {
      const track = askedLayout(version.layout, asked!.question)!.tracks[0]!;
      return track.kind === 'items' ? track.through.length : 0;
    });
    // What each stage asks goes over something that stands there, and the last over all of it.
    expect(Math.min(...kinds)).toBeGreaterThan(0);
    expect(Math.max(...kinds)).toBe(kinds[3]);
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
    expect(await write(tx => keepVersion(tx, yardId, renamed, 'ridden'))).not.toBe(versionId);
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
    await send(lesson, [takenBack(randomUUID(), 'break', id, NOW_MS)]);
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

test('what is asked on the day is there once, of a pair or of all, and can be taken back', async () => {
  await withLesson(async lesson => {
    const { database, yardId, lessonId, pairId, question } = lesson;
    const stageId = (await findLesson(database.db, yardId, lessonId))!.plan.stages[0]!.id;
    const ask = (id: string, ofPair: string | null, asked: Question): RecordEvent => ({
      ...{ type: 'ask', id, lessonId, stageId, pairId: ofPair, question: asked, atMs: NOW_MS },
    });
    const [first, second] = [randomUUID(), randomUUID()];
    const three: Question = { ...question, asked: [3] };
    await send(lesson, [ask(first, null, question), ask(first, null, question), ask(second, pairId, three)]);
    const record = async () => lessonRecord(database.db, yardId, (await findLesson(database.db, yardId, lessonId))!);
    expect((await record()).asks).toEqual([
      { id: first, stageId, pairId: null, question, atMs: NOW_MS },
      { id: second, stageId, pairId, question: three, atMs: NOW_MS },
    ]);
    await send(lesson, [takenBack(randomUUID(), 'ask', second, NOW_MS)]);
    expect((await record()).asks).toHaveLength(1);
  });
});

test('a question over what the layout does not have is refused, and a pass from before questions were kept is told', async () => {
  await withLesson(async lesson => {
    const { database, yardId, lessonId } = lesson;
    const stray: Question = { ...lesson.question, what: { kind: 'track', trackId: 'nowhere' } };
    await send(lesson, [pass(lesson, randomUUID())]);
    await expect(send(lesson, [pass({ ...lesson, question: stray }, randomUUID())])).rejects.toThrow('does not have');
    const old = pass(lesson, randomUUID()) as { pass: Partial<{ question: Question; stageId: null }> };
    delete old.pass.question;
    delete old.pass.stageId;
    await send(lesson, [old as RecordEvent]);
    const { passes } = await lessonRecord(database.db, yardId, (await findLesson(database.db, yardId, lessonId))!);
    expect(passes).toHaveLength(2);
    expect(passes[1]!.question.what.kind).toBe('track');
  });
});
