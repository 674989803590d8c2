import { randomUUID } from 'node:crypto';
import { findLayout } from './layouts';
import { keepVersion } from './layoutVersions';
import { listLessons } from './lessons';
import { recordBatch } from './recordEvents';
import { beginRecording, knownPair, passRow, RecordRefused, refuseFuture } from './recording';
import { testYard, type TestYard } from './testYard';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');

async function withPass(test: (yard: TestYard & { passId: string; pairId: string }) => Promise<void>): Promise<void> {
  await testYard('Four on the bend', async yard => {
    const { db, write } = yard.database;
    const lesson = (await listLessons(db, yard.yardId)).find(({ name }) => name === 'The bend, built up')!;
    const layout = (await findLayout(db, yard.yardId, yard.layoutId))!;
    const layoutVersionId = await write(tx => keepVersion(tx, yard.yardId, layout, 'ridden'));
    const stage = lesson.plan.stages[3]!;
    const [passId, pairId] = [randomUUID(), lesson.plan.pairIds[0]!];
    const pass = {
      ...{ id: passId, pairId, layoutVersionId, lessonId: lesson.id, stageId: stage.id, stage: stage.name },
      ...({ question: stage.questions[0]!.question, rein: 'left', direction: 'as-drawn', riddenAtMs: NOW_MS } as const),
    };
    await write(tx =>
      recordBatch(
        tx,
        yard.yardId,
        { sentAtMs: NOW_MS, lessonId: lesson.id, events: [{ type: 'pass', id: randomUUID(), by: null, pass }] },
        NOW_MS,
      ),
    );
    await test({ ...yard, passId, pairId });
  });
}

test('a pass is looked up once for a batch, and one that is not there is looked for again', async () => {
  await withPass(async ({ database, yardId, passId, pairId }) => {
    await database.write(async tx => {
      const select = jest.spyOn(tx, 'select');
      const recording = beginRecording(tx, yardId, NOW_MS);
      const found = await passRow(recording, passId);
      expect(found).toMatchObject({ id: passId, pairId });
      expect(await passRow(recording, passId)).toBe(found);
      expect(select).toHaveBeenCalledTimes(1);
      expect(await passRow(recording, 'none')).toBeNull();
      expect(await passRow(recording, 'none')).toBeNull();
      expect(select).toHaveBeenCalledTimes(3);
      expect(await passRow(beginRecording(tx, 'another yard', NOW_MS), passId)).toBeNull();
    });
  });
});

test('a pair of the yard is known by its own id, and no other is', async () => {
  await withPass(async ({ database, yardId, pairId }) => {
    await database.write(async tx => {
      expect(await knownPair(tx, yardId, pairId)).toBe(pairId);
      await expect(knownPair(tx, 'another yard', pairId)).rejects.toThrow(RecordRefused);
      await expect(knownPair(tx, yardId, 'none')).rejects.toThrow('is not in the yard any more');
    });
  });
});

test('a time may be five minutes ahead, as clocks differ, and no more', () => {
  const fiveMinutesMs = 5 * 60 * 1000;
  expect(() => refuseFuture(NOW_MS + fiveMinutesMs, NOW_MS)).not.toThrow();
  expect(() => refuseFuture(NOW_MS + fiveMinutesMs + 1, NOW_MS)).toThrow(RecordRefused);
});
