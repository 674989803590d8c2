import { randomUUID } from 'node:crypto';
import { RecordBatch } from '@/files/recordEvent';
import { riddenRow, UNTOLD_QUESTION, type RecordEvent } from '@/core';
import { seedDemo } from '../demo/seedDemo';
import type { OpenDatabase } from '../database';
import { withTestDatabase } from '../testDatabase';
import { listHorses } from './horses';
import { saveHorse } from './saveHorses';
import { findLayout, freezeLayout, listLayouts, saveLayout } from './layouts';
import { findVersion, listVersions } from './layoutVersions';
import { listPairs } from './pairs';
import { takenBack } from '../testChanges';
import { listPasses } from './passes';
import { recordBatch } from './recordEvents';
import { currentYard } from './yards';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');

/** The demo yard, with a layout frozen for a pair. */
async function withDemo(test: (demo: Demo) => Promise<void>): Promise<void> {
  await withTestDatabase(async database => {
    expect(await seedDemo(database, NOW_MS)).toBe(true);
    const { db, write } = database;
    const yard = await currentYard(database);
    const layout = (await listLayouts(db, yard.id)).find(({ name }) => name.startsWith('Three canter'))!;
    const pair = (await listPairs(db, yard.id)).find(({ horseName }) => horseName === 'Larkspur')!;
    const versionId = (await write(tx => freezeLayout(tx, yard.id, layout.id)))!;
    await test({ database, yardId: yard.id, layoutId: layout.id, pairId: pair.id, versionId });
  });
}

type Demo = { database: OpenDatabase; yardId: string; layoutId: string; pairId: string; versionId: string };

function send({ database, yardId, pairId, versionId }: Demo, events: RecordEvent[], nowMs = NOW_MS): Promise<void> {
  // What a pass belongs to is filled in here.
  const batch = RecordBatch.parse({
    events: events.map(event =>
      event.type === 'pass'
        ? { ...event, pass: { ...event.pass, pairId, layoutVersionId: versionId, lessonId: null } }
        : event,
    ),
  });
  return database.write(tx => recordBatch(tx, yardId, batch, nowMs));
}

const startPass = (passId: string, riddenAtMs = NOW_MS): RecordEvent => ({
  type: 'pass',
  id: randomUUID(),
  pass: {
    ...{ id: passId, pairId: '', layoutVersionId: '', lessonId: null },
    ...{ rein: 'left', direction: 'as-drawn', stage: 'on the ground', stageId: null, riddenAtMs },
    // As a device from before questions were kept has it.
    question: UNTOLD_QUESTION,
  },
});
const footfall = (passId: string, place: number | null, fraction: number): RecordEvent => ({
  type: 'mark',
  id: randomUUID(),
  passId,
  mark: { id: randomUUID(), kind: 'footfall', place, fraction },
  atMs: NOW_MS,
});

test('the demo yard is made once', async () => {
  await withDemo(async ({ database, yardId }) => {
    expect(await seedDemo(database, NOW_MS)).toBe(false);
    expect(await listHorses(database.db, yardId)).toHaveLength(7);
  });
});

test('a batch sent twice counts once', async () => {
  await withDemo(async demo => {
    const passId = randomUUID();
    const events = [startPass(passId), footfall(passId, 1, 0.4), footfall(passId, 2, 0.5)];
    await send(demo, events);
    await send(demo, events);
    const [pass, ...others] = await listPasses(demo.database.db, demo.yardId, demo.pairId);
    expect(others).toEqual([]);
    expect(pass?.marks.map(mark => mark.kind === 'footfall' && mark.fraction)).toEqual([0.4, 0.5]);
  });
});

test('a batch with one bad event writes nothing at all', async () => {
  await withDemo(async demo => {
    const passId = randomUUID();
    // Three poles have two gaps.
    await expect(send(demo, [startPass(passId), footfall(passId, 3, 0.5)])).rejects.toThrow(
      'The track goes over 3: there is no gap 3.',
    );
    await expect(send(demo, [footfall(randomUUID(), 1, 0.5)])).rejects.toThrow('never recorded');
    expect(await listPasses(demo.database.db, demo.yardId, demo.pairId)).toEqual([]);
  });
});

test('what is undone is gone from the record, mark by mark and pass by pass', async () => {
  await withDemo(async demo => {
    const passId = randomUUID();
    const mark = footfall(passId, null, 0.3) as Extract<RecordEvent, { type: 'mark' }>;
    await send(demo, [startPass(passId), mark]);
    await send(demo, [takenBack(randomUUID(), 'mark', mark.mark.id, NOW_MS)]);
    expect((await listPasses(demo.database.db, demo.yardId, demo.pairId))[0]?.marks).toEqual([]);
    await send(demo, [takenBack(randomUUID(), 'pass', passId, NOW_MS)]);
    expect(await listPasses(demo.database.db, demo.yardId, demo.pairId)).toEqual([]);
  });
});

test('a clock that is years off is not believed, one that is an hour late is', async () => {
  await withDemo(async demo => {
    const hourAgoMs = NOW_MS - 3600_000;
    await send(demo, [startPass(randomUUID(), hourAgoMs)]);
    await send(demo, [startPass(randomUUID(), Date.parse('1970-01-02'))]);
    await send(demo, [startPass(randomUUID(), Date.parse('2090-01-01'))]);
    const times = (await listPasses(demo.database.db, demo.yardId, demo.pairId)).map(pass => pass.riddenAtMs);
    expect(times).toEqual([hourAgoMs, NOW_MS, NOW_MS]);
  });
});

test('a layout keeps one version for each state it is ridden in, and a version never changes', async () => {
  await withDemo(async ({ database: { db, write }, yardId, layoutId, versionId }) => {
    expect(await write(tx => freezeLayout(tx, yardId, layoutId))).toBe(versionId);
    const before = await findVersion(db, yardId, versionId);
    const horse = (await listHorses(db, yardId)).find(({ name }) => name === 'Larkspur')!;
    // The plan is the same, but the horse's stride is not: the row lies differently.
    const normalStridesM = { 'canter-poles': 3.4 };
    await write(tx => saveHorse(tx, yardId, { ...horse, normalStridesM }));
    const second = (await write(tx => freezeLayout(tx, yardId, layoutId)))!;
    expect(second).not.toBe(versionId);
    expect(riddenRow((await findVersion(db, yardId, second))!.layout)?.spacingM).toBeCloseTo(3.4, 12);
    expect(await findVersion(db, yardId, versionId)).toEqual(before);
  });
});

test('a save from an old revision is refused and writes nothing', async () => {
  await withDemo(async ({ database: { db, write }, yardId, layoutId }) => {
    const layout = (await findLayout(db, yardId, layoutId))!;
    const save = (name: string) =>
      write(tx => saveLayout(tx, yardId, { layoutId, baseRevision: layout.revision, name, plan: layout.plan }, NOW_MS));
    expect(await save('first')).toEqual({ kind: 'saved', revision: layout.revision + 1 });
    expect(await save('second')).toMatchObject({ kind: 'stale', theirs: { name: 'first' } });
    expect((await findLayout(db, yardId, layoutId))?.name).toBe('first');
  });
});

test('a typed stride is kept with the history, and taken back it gives way to the default', async () => {
  await withDemo(async ({ database: { db, write }, yardId }) => {
    const read = async () => (await listHorses(db, yardId)).find(({ name }) => name === 'Quill')!;
    const quill = await read();
    await write(tx => saveHorse(tx, yardId, { ...quill, normalStridesM: { 'trot-poles': 1.3 } }));
    // Practice's −25 % and +12 % about the typed normal.
    expect((await read()).strides['trot-poles']).toEqual({
      shortM: expect.closeTo(0.975, 9),
      normalM: 1.3,
      longM: expect.closeTo(1.456, 9),
      source: 'typed',
    });
    await write(tx => saveHorse(tx, yardId, { ...quill, normalStridesM: { 'trot-poles': null } }));
    expect((await read()).strides['trot-poles']).toBeUndefined();
  });
});

test('a layout taken up after half an hour keeps what it was, and what is changed in one sitting keeps nothing more', async () => {
  await withDemo(async ({ database: { db, write }, yardId, layoutId }) => {
    const layout = (await findLayout(db, yardId, layoutId))!;
    const savedMs = layout.updatedAt.getTime();
    const save = (baseRevision: number, name: string, nowMs: number) =>
      write(tx => saveLayout(tx, yardId, { layoutId, baseRevision, name, plan: layout.plan }, nowMs));
    const kept = async () => (await listVersions(db, yardId, layoutId)).map(({ name, reason }) => `${name}: ${reason}`);
    const before = (await kept()).length;
    await save(layout.revision, 'in the same sitting', savedMs + 60_000);
    expect(await kept()).toHaveLength(before);
    await save(layout.revision + 1, 'an hour later', savedMs + 3_700_000);
    expect(await kept()).toContain('in the same sitting: before-change');
    expect(await kept()).toHaveLength(before + 1);
  });
});
