import { randomUUID } from 'node:crypto';
import { RecordBatch } from '@/files/recordEvent';
import { lastRiddenByLayout } from './lastRidden';
import { findLayout } from './layouts';
import { keepVersion } from './layoutVersions';
import { listLessons } from './lessons';
import { listPairs } from './pairs';
import { recordBatch } from './recordEvents';
import { testYard } from './testYard';

const NOON_MS = Date.parse('2026-06-01T12:00:00Z');
const HOUR_MS = 3_600_000;

test('a layout was ridden last when its latest pass was, whatever version it was ridden over', async () => {
  await testYard('Four on the bend', async ({ database, yardId, layoutId }) => {
    const { db, write } = database;
    const before = (await lastRiddenByLayout(db, yardId)).get(layoutId);
    const layout = (await findLayout(db, yardId, layoutId))!;
    const lesson = (await listLessons(db, yardId))[0]!;
    const pair = (await listPairs(db, yardId))[0]!;
    const layoutVersionId = await write(tx => keepVersion(tx, yardId, layout, 'ridden'));
    const { question } = lesson.plan.stages[0]!.questions[0]!;
    const atMs = Math.max(NOON_MS, (before ?? 0) + HOUR_MS);
    const pass = {
      ...{ id: randomUUID(), pairId: pair.id, layoutVersionId, lessonId: null, question, stage: 's' },
      ...{ rein: 'left', direction: 'as-drawn' },
    };
    const events = [atMs, atMs - HOUR_MS].map(riddenAtMs => ({
      ...{ type: 'pass', id: randomUUID() },
      pass: { ...pass, id: randomUUID(), riddenAtMs },
    }));
    await write(tx => recordBatch(tx, yardId, RecordBatch.parse({ events }), atMs + HOUR_MS));
    expect((await lastRiddenByLayout(db, yardId)).get(layoutId)).toBe(atMs);
    expect((await lastRiddenByLayout(db, 'another yard')).size).toBe(0);
  });
});
