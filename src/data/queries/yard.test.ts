import { randomUUID } from 'node:crypto';
import { readYardCsv, writeYardCsv } from '@/files/yardCsv';
import type { OpenDatabase } from '../database';
import { withTestDatabase } from '../testDatabase';
import { demoAt } from '../testDemo';
import { setArchived } from './archive';
import { listArenas, saveArenaMarks } from './arenas';
import { findHorse, listHorses, strideHistory, type Horse } from './horses';
import { saveHorse } from './saveHorses';
import { listKit, saveKit } from './kit';
import { addPair, listPairs } from './pairs';
import { addStepWalk, clearTypedStep, findPerson, listPeople, setWalkUndone } from './people';
import { findPicture, removePicture, savePicture } from './horsePictures';
import { riddenByHorse } from './ridden';
import { addStrideTest, addTestedStride, listStrideTests, withdrawTestedStrides } from './strideTests';
import { exportList, importList, ListRefused, lookAtList } from './yardLists';
import { currentYard } from './yards';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');

async function withDemo(test: (demo: { database: OpenDatabase; yardId: string }) => Promise<void>): Promise<void> {
  await withTestDatabase(
    async database => test({ database, yardId: (await currentYard(database)).id }),
    demoAt(NOW_MS),
  );
}

const horseCalled = async (database: OpenDatabase, yardId: string, name: string): Promise<Horse> =>
  (await listHorses(database.db, yardId)).find(horse => horse.name === name)!;

test('what is put away keeps its records and can be taken back', async () => {
  await withDemo(async ({ database: { db, write }, yardId }) => {
    const [pair] = await listPairs(db, yardId);
    await write(tx => setArchived(tx, yardId, 'pair', pair!.id, true));
    expect((await listPairs(db, yardId)).find(({ id }) => id === pair!.id)?.archived).toBe(true);
    await write(tx => addPair(tx, yardId, pair!.riderId, pair!.horseId));
    expect((await listPairs(db, yardId)).find(({ id }) => id === pair!.id)?.archived).toBe(false);
    for (const kind of ['horse', 'person', 'arena', 'kit'] as const) {
      const list = { horse: listHorses, person: listPeople, arena: listArenas, kit: listKit }[kind];
      const [row] = await list(db, yardId);
      await write(tx => setArchived(tx, yardId, kind, row!.id, true));
      expect((await list(db, yardId)).find(({ id }) => id === row!.id)?.archived).toBe(true);
      await write(tx => setArchived(tx, yardId, kind, row!.id, false));
      expect((await list(db, yardId)).every(({ archived }) => !archived)).toBe(true);
    }
  });
});

test('another yard’s things are out of reach', async () => {
  await withDemo(async ({ database: { db, write }, yardId }) => {
    const [horse] = await listHorses(db, yardId);
    await write(tx => setArchived(tx, randomUUID(), 'horse', horse!.id, true));
    expect((await findHorse(db, yardId, horse!.id))?.archived).toBe(false);
    expect(await findHorse(db, randomUUID(), horse!.id)).toBeNull();
  });
});

test('a walk counts once, can be taken back, and yields to a typed step until that is cleared', async () => {
  await withDemo(async ({ database: { db, write }, yardId }) => {
    const maud = (await listPeople(db, yardId)).find(({ name }) => name.startsWith('Maud'))!;
    const walk = { id: randomUUID(), lengthM: 18, steps: 20, walkedAtMs: NOW_MS };
    for (let sent = 0; sent < 2; sent += 1) await write(tx => addStepWalk(tx, yardId, maud.id, walk));
    const walked = (await findPerson(db, yardId, maud.id))!;
    expect(walked).toMatchObject({ typedStepM: 0.88, stepLengthM: 0.88, walked: { stepM: 0.9, walks: 1 } });
    await write(tx => clearTypedStep(tx, yardId, maud.id));
    expect((await findPerson(db, yardId, maud.id))!.stepLengthM).toBeCloseTo(0.9, 12);
    await write(tx => setWalkUndone(tx, yardId, walk.id, true));
    expect(await findPerson(db, yardId, maud.id)).toMatchObject({ walked: null, stepLengthM: null });
    await write(tx => setWalkUndone(tx, yardId, walk.id, false));
    expect((await findPerson(db, yardId, maud.id))!.walks).toHaveLength(1);
  });
});

const TEST = {
  ...{ riderId: null, stepperId: null, moment: 'apart' as const, note: '', rhythm: 3, roundness: null, balance: null },
  lane: { kind: 'taped' as const, lengthM: 20 },
  passes: [8, 8].map(count => ({ pace: 'normal' as const, count, behind: null, part: null, voided: false })),
};

test('a test is kept once, changes the profile only where it is accepted, and can be taken out again', async () => {
  await withDemo(async ({ database, yardId }) => {
    const { db, write } = database;
    const { id: horseId } = await horseCalled(database, yardId, 'Osprey');
    const test = { ...TEST, id: randomUUID(), horseId, entry: 'trot' as const, testedAtMs: NOW_MS };
    for (let sent = 0; sent < 2; sent += 1) await write(tx => addStrideTest(tx, yardId, test));
    const [kept, ...others] = await listStrideTests(db, yardId, horseId);
    expect(others).toEqual([]);
    expect(kept).toMatchObject({ rangeId: null, reading: { paces: { normal: { stride: { strideM: 2.5 } } } } });
    expect((await findHorse(db, yardId, horseId))!.strides.trot).toBeUndefined();

    const interval = { lowM: 2.4, highM: 2.6 };
    const stride = { shortM: 2, normalM: 2.5, longM: 2.8, source: 'tested' as const, interval };
    const range = { horseId, testId: test.id, entry: 'trot' as const, stride, knownAtMs: NOW_MS };
    await write(tx => addTestedStride(tx, yardId, range));
    expect((await findHorse(db, yardId, horseId))!.strides.trot).toEqual(stride);
    expect((await listStrideTests(db, yardId, horseId))[0]!.rangeId).not.toBeNull();
    await write(tx => withdrawTestedStrides(tx, yardId, test.id));
    expect((await findHorse(db, yardId, horseId))!.strides.trot).toBeUndefined();
    expect(await strideHistory(db, yardId, horseId)).toEqual([]);
    expect(await listStrideTests(db, yardId, horseId)).toHaveLength(1);
  });
});

test('a typed stride is never overwritten by a test, and comes away without taking the test along', async () => {
  await withDemo(async ({ database, yardId }) => {
    const { db, write } = database;
    // Larkspur's trot step over poles was typed in.
    const horse = await horseCalled(database, yardId, 'Larkspur');
    const test = { ...TEST, id: randomUUID(), horseId: horse.id, entry: 'trot' as const, testedAtMs: NOW_MS };
    await write(tx => addStrideTest(tx, yardId, test));
    const stride = { shortM: 1, normalM: 1.3, longM: 1.5, source: 'tested' as const };
    const range = { horseId: horse.id, testId: test.id, entry: 'trot-poles' as const, stride, knownAtMs: NOW_MS };
    await write(tx => addTestedStride(tx, yardId, range));
    expect((await findHorse(db, yardId, horse.id))!.strides['trot-poles']).toMatchObject({
      normalM: 1.45,
      source: 'typed',
    });
    await write(tx => saveHorse(tx, yardId, { ...horse, normalStridesM: { 'trot-poles': null } }));
    expect((await findHorse(db, yardId, horse.id))!.strides['trot-poles']).toMatchObject({
      normalM: 1.3,
      source: 'tested',
    });
  });
});

test('a test of a horse that is not of the yard is not kept', async () => {
  await withDemo(async ({ database: { write }, yardId }) => {
    const test = { ...TEST, id: randomUUID(), horseId: randomUUID(), entry: 'trot' as const, testedAtMs: NOW_MS };
    expect(await write(tx => addStrideTest(tx, yardId, test))).toBe(false);
  });
});

test('arena marks, kit, pictures, and what a horse has ridden', async () => {
  await withDemo(async ({ database, yardId }) => {
    const { db, write } = database;
    const [arena] = await listArenas(db, yardId);
    const marks = { ...arena!.marks, homeFacingDeg: 45 };
    await write(tx => saveArenaMarks(tx, yardId, arena!.id, marks));
    expect((await listArenas(db, yardId))[0]!.marks).toEqual(marks);

    await write(tx => saveKit(tx, yardId, { kind: 'block', name: 'tall', sizeM: 0.25, count: 4 }));
    const blocks = (await listKit(db, yardId)).filter(({ kind }) => kind === 'block');
    expect(blocks.map(({ sizeM, count }) => [sizeM, count])).toEqual([
      [0.15, 12],
      [0.25, 4],
    ]);

    const { id } = await horseCalled(database, yardId, 'Quill');
    expect(await findPicture(db, yardId, id)).toBeNull();
    const bytes = Buffer.from([0xff, 0xd8, 0xff, 1, 2, 3]);
    await write(tx => savePicture(tx, yardId, id, { mime: 'image/jpeg', bytes }));
    expect(Buffer.from((await findPicture(db, yardId, id))!.bytes)).toEqual(bytes);
    await write(tx => removePicture(tx, yardId, id));
    expect(await findPicture(db, yardId, id)).toBeNull();

    // The demo's rides: 6 + 6 + 4 passes of one layout.
    expect(await riddenByHorse(db, yardId, id)).toMatchObject([
      { layoutName: 'Five trot poles, quarter line', passes: 16 },
    ]);
  });
});

const csv = (list: 'horses' | 'people' | 'kit' | 'stride-tests', text: string) => {
  const read = readYardCsv(list, text);
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  return read.content;
};

test('lists go out and come back without a change', async () => {
  await withDemo(async ({ database: { db, write }, yardId }) => {
    for (const list of ['horses', 'people', 'kit', 'stride-tests'] as const) {
      const before = writeYardCsv(await exportList(db, yardId, list));
      // What is looked at is told by who only reads, and is what then happens.
      const looked = await lookAtList({ select: db.select.bind(db) }, yardId, csv(list, before));
      const changes = await write(tx => importList(tx, yardId, csv(list, before)));
      expect(changes).toEqual(looked);
      expect(changes.added).toBe(0);
      expect(writeYardCsv(await exportList(db, yardId, list))).toBe(before);
    }
  });
});

test('a list that names what is not there, or something twice, leaves the yard as it was', async () => {
  await withDemo(async ({ database: { db, write }, yardId }) => {
    const before = await listHorses(db, yardId);
    const twice = csv('horses', 'name,height\nNew one,150\nnew ONE,151\n');
    await expect(write(tx => importList(tx, yardId, twice))).rejects.toThrow(ListRefused);
    const tests = 'test,horse,gait,tested_at,lane,pace,count\n';
    const rows = ['a,Quill,trot,2026-05-03T09:30:00Z,20,normal,8', 'b,Nobody,trot,2026-05-03T09:30:00Z,20,normal,8'];
    const unknown = csv('stride-tests', tests + rows.join('\n'));
    await expect(write(tx => importList(tx, yardId, unknown))).rejects.toThrow('no horse called “Nobody”');
    expect(await listHorses(db, yardId)).toEqual(before);
    const quill = before.find(({ name }) => name === 'Quill')!;
    // Not even the test of the horse that is there.
    expect((await listStrideTests(db, yardId, quill.id)).map(({ testedAtMs }) => testedAtMs)).not.toContain(
      Date.parse('2026-05-03T09:30:00Z'),
    );
  });
});
