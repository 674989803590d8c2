import { randomUUID } from 'node:crypto';
import { recordConflicts, type RecordEvent } from '@/core';
import { archiveLesson, changeLesson, type LessonEdit } from './changeLesson';
import { findLayout } from './layouts';
import { keepVersion } from './layoutVersions';
import { findLesson, lessonRecord, lessonTimes, listLessons, saveLesson, type Lesson } from './lessons';
import { recordBatch } from './recordEvents';
import { lessonLog } from './recordLog';
import { passesChanged, recordRevision } from './recordRevision';
import { testYard, type TestYard } from './testYard';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');
const DAY_MS = 24 * 3600 * 1000;

type Ridden = TestYard & { lesson: Lesson; passId: string };

/** A lesson of yesterday with one pass, ridden in its first stage. */
async function ridden(test: (lesson: Ridden) => Promise<void>): Promise<void> {
  await testYard('Four on the bend', async yard => {
    const { db, write } = yard.database;
    const planned = (await listLessons(db, yard.yardId)).find(({ name }) => name === 'The bend, built up')!;
    const edit = { ...planned, startsAtMs: NOW_MS - DAY_MS, base: planned, by: null, nowMs: NOW_MS };
    await write(tx => changeLesson(tx, yard.yardId, planned.id, edit));
    const layout = (await findLayout(db, yard.yardId, yard.layoutId))!;
    const layoutVersionId = await write(tx => keepVersion(tx, yard.yardId, layout, 'ridden'));
    const [stage] = planned.plan.stages;
    const passId = randomUUID();
    const pass: RecordEvent = {
      ...{ type: 'pass', id: randomUUID(), saidAtMs: NOW_MS },
      pass: {
        ...{ id: passId, pairId: planned.plan.pairIds[0]!, lessonId: planned.id, layoutVersionId },
        ...{ stageId: stage!.id, stage: stage!.name, question: stage!.questions[0]!.question },
        ...{ rein: 'left', direction: 'as-drawn', riddenAtMs: NOW_MS - DAY_MS + 60_000 },
      },
    };
    const walked: RecordEvent = {
      ...{
        type: 'break',
        id: randomUUID(),
        lessonId: planned.id,
        pairId: planned.plan.pairIds[0]!,
        atMs: NOW_MS - DAY_MS,
      },
    };
    await write(tx => recordBatch(tx, yard.yardId, { events: [pass, walked], lessonId: null }, NOW_MS));
    await test({ ...yard, lesson: (await findLesson(db, yard.yardId, planned.id))!, passId });
  });
}

const editOf = (lesson: Lesson, changes: Partial<LessonEdit> = {}): LessonEdit => ({
  ...lesson,
  base: { revision: lesson.revision, plan: lesson.plan },
  ...{ by: 'Mira', nowMs: NOW_MS },
  ...changes,
});

test('the day of a lesson is moved with what was ridden and walked in it, and that is told', async () => {
  await ridden(async ({ database, yardId, lesson, passId }) => {
    const { db, write } = database;
    const change = (edit: LessonEdit) => write(tx => changeLesson(tx, yardId, lesson.id, edit));
    const before = await recordRevision(db, yardId);
    const said = await change(editOf(lesson, { startsAtMs: lesson.startsAtMs - 2 * DAY_MS }));
    expect(said).toEqual(['Its pass was moved with it.']);
    // What was reckoned of the pass holds no longer.
    expect(passesChanged(before, await recordRevision(db, yardId))).toEqual([passId]);
    const moved = (await findLesson(db, yardId, lesson.id))!;
    const record = await lessonRecord(db, yardId, moved);
    expect(record.passes[0]).toMatchObject({ id: passId, riddenAtMs: NOW_MS - 3 * DAY_MS + 60_000 });
    expect(record.breaks[0]!.atMs).toBe(NOW_MS - 3 * DAY_MS);
    expect((await lessonTimes(db, yardId, moved)).lastRiddenAtMs).toBe(NOW_MS - 3 * DAY_MS + 60_000);
    const { log } = (await lessonLog(db, yardId, lesson.id))!;
    expect(log.changes.map(({ on, what, by }) => [on, what, by])).toEqual([
      ['pass', 'time', 'Mira'],
      ['break', 'time', 'Mira'],
      ['lesson', 'day', 'Mira'],
    ]);
    // It is not moved into the future, and nothing of such a change is kept.
    const future = editOf(moved, { startsAtMs: NOW_MS + DAY_MS, name: 'Another name' });
    await expect(change(future)).rejects.toThrow('cannot lie in the future');
    expect((await findLesson(db, yardId, lesson.id))!.name).toBe(lesson.name);
  });
});

test('a stage with a record stays in the plan, a stage without one goes; a pair that is taken out keeps its passes', async () => {
  await ridden(async ({ database, yardId, lesson, passId }) => {
    const { db, write } = database;
    const [first] = lesson.plan.stages;
    const plan = { ...lesson.plan, stages: [], pairIds: lesson.plan.pairIds.slice(1) };
    const said = await write(tx => changeLesson(tx, yardId, lesson.id, editOf(lesson, { plan })));
    expect(said).toEqual([`“${first!.name}” stays: one pass was ridden in it.`]);
    const changed = (await findLesson(db, yardId, lesson.id))!;
    expect(changed.plan.stages.map(({ id }) => id)).toEqual([first!.id]);
    expect(changed.plan.pairIds).toEqual(plan.pairIds);
    expect((await lessonRecord(db, yardId, changed)).passes.map(({ id }) => id)).toEqual([passId]);
    const { log } = (await lessonLog(db, yardId, lesson.id))!;
    expect(log.rides).toEqual({ [lesson.plan.pairIds[0]!]: false });
    expect(log.changes.map(({ on, what }) => `${on} ${what}`)).toEqual(['pair rides', 'lesson plan']);
    // Put back at the desk, which knew of it: nobody is contradicted.
    const back = { ...changed.plan, pairIds: lesson.plan.pairIds };
    await write(tx => changeLesson(tx, yardId, lesson.id, editOf(changed, { plan: back })));
    const after = (await lessonLog(db, yardId, lesson.id))!.log;
    expect(after.rides).toEqual({ [lesson.plan.pairIds[0]!]: true });
    expect(recordConflicts(after)).toEqual([]);
  });
});

test('two who change one plan both get what they changed, and are told of what both did', async () => {
  await ridden(async ({ database, yardId, lesson }) => {
    const { db, write } = database;
    const withFocus = (focus: string, minutes: number) => ({
      ...lesson.plan,
      stages: lesson.plan.stages.map((stage, index) => (index === 0 ? { ...stage, focus, minutes } : stage)),
    });
    const minutes = lesson.plan.stages[0]!.minutes;
    await write(tx => changeLesson(tx, yardId, lesson.id, editOf(lesson, { plan: withFocus('eyes', 25) })));
    const said = await write(tx =>
      changeLesson(tx, yardId, lesson.id, editOf(lesson, { plan: withFocus('hands', minutes) })),
    );
    expect(said).toHaveLength(1);
    expect(said[0]).toContain('changed meanwhile to “eyes”; yours stands');
    const [stage] = (await findLesson(db, yardId, lesson.id))!.plan.stages;
    expect(stage).toMatchObject({ focus: 'hands', minutes: 25 });
    // What was overruled is in the record of changes.
    const { log } = (await lessonLog(db, yardId, lesson.id))!;
    expect(JSON.stringify(log.changes)).toContain('eyes');
  });
});

test('a lesson is archived and restored, and both are told once', async () => {
  await ridden(async ({ database, yardId, lesson }) => {
    const { db, write } = database;
    const archive = (archived: boolean) =>
      write(tx => archiveLesson(tx, yardId, lesson.id, archived, { by: 'Mira', nowMs: NOW_MS }));
    await archive(true);
    await archive(true);
    expect((await findLesson(db, yardId, lesson.id))!.archived).toBe(true);
    await archive(false);
    const found = (await findLesson(db, yardId, lesson.id))!;
    expect(found.archived).toBe(false);
    expect((await lessonRecord(db, yardId, found)).passes).toHaveLength(1);
    const { log } = (await lessonLog(db, yardId, lesson.id))!;
    expect(log.changes.map(({ what, was, to }) => [what, was, to])).toEqual([
      ['archived', false, true],
      ['archived', true, false],
    ]);
    await expect(write(tx => archiveLesson(tx, yardId, 'nobody', true, { by: null, nowMs: NOW_MS }))).rejects.toThrow(
      'not in the yard',
    );
  });
});

test('a change is made over those of the same thing in the same lesson, and no others', async () => {
  await ridden(async ({ database, yardId, lesson }) => {
    const { db, write } = database;
    const out = async (of: Lesson, pairIds: string[], startsAtMs = of.startsAtMs) => {
      const now = (await findLesson(db, yardId, of.id))!;
      await write(tx => changeLesson(tx, yardId, of.id, editOf(now, { plan: { ...now.plan, pairIds }, startsAtMs })));
      return (await lessonLog(db, yardId, of.id))!.log.changes;
    };
    const [first, second, ...others] = lesson.plan.pairIds;
    await out(lesson, [second!, ...others]);
    expect((await out(lesson, others)).find(({ of }) => of === second)!.from).toEqual([]);
    await out(lesson, lesson.plan.pairIds);
    const changes = await out(lesson, lesson.plan.pairIds, lesson.startsAtMs - DAY_MS);
    const ofPair = changes.filter(({ what, of }) => what === 'rides' && of === first);
    expect(ofPair.map(({ from }) => from)).toEqual([[], [ofPair[0]!.id]]);
    expect(changes.filter(({ what }) => what === 'time').map(({ from }) => from)).toEqual([[], []]);
    // The same pair in another lesson: what was said here is not of it.
    const { id: _, ...asNew } = lesson;
    const otherId = await write(tx => saveLesson(tx, yardId, asNew));
    const other = (await findLesson(db, yardId, otherId))!;
    const acknowledged: RecordEvent = { type: 'acknowledge', id: randomUUID(), lessonId: other.id, atMs: NOW_MS };
    await write(tx => recordBatch(tx, yardId, { events: [acknowledged], lessonId: other.id }, NOW_MS));
    const there = await out(
      other,
      other.plan.pairIds.filter(id => id !== first),
    );
    expect(there.filter(({ what }) => what === 'rides').map(({ of, from }) => [of, from])).toEqual([[first, []]]);
  });
});

test('a lesson that nobody rode in yet is changed without a word in its record', async () => {
  await testYard('Four on the bend', async ({ database, yardId }) => {
    const { db, write } = database;
    const lesson = (await listLessons(db, yardId)).find(({ name }) => name === 'The bend, built up')!;
    const plan = { ...lesson.plan, pairIds: lesson.plan.pairIds.slice(1) };
    await write(tx => changeLesson(tx, yardId, lesson.id, editOf(lesson, { plan })));
    expect((await findLesson(db, yardId, lesson.id))!.plan.pairIds).toEqual(plan.pairIds);
    const { log } = (await lessonLog(db, yardId, lesson.id))!;
    expect([log.changes, log.rides]).toEqual([[], {}]);
  });
});

test('a change over what stands says nothing of others, since there are none', async () => {
  await ridden(async ({ database, yardId, lesson }) => {
    const said = await database.write(tx =>
      changeLesson(tx, yardId, lesson.id, editOf(lesson, { name: 'Called anew' })),
    );
    expect(said).toEqual([]);
    expect((await findLesson(database.db, yardId, lesson.id))?.name).toBe('Called anew');
  });
});
