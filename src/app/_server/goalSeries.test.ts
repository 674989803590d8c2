import type { RecordEvent } from '@/core';
import { archiveLesson } from '@/data/queries/changeLesson';
import { listArenas } from '@/data/queries/arenas';
import { changeGoal, listGoals, saveGoal } from '@/data/queries/goals';
import { findLayout } from '@/data/queries/layouts';
import { keepVersion } from '@/data/queries/layoutVersions';
import { listPairs } from '@/data/queries/pairs';
import { recordBatch } from '@/data/queries/recordEvents';
import { testYard, type TestYard } from '@/data/queries/testYard';
import { GoalOnPaper } from '@/files/goalPaper';
import { bringGoalWeeks, goalWeeks, planGoalWeeks } from './goalSeries';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');
const STARTS_MS = Date.parse('2026-06-03T16:00:00Z');
const WEEK_MS = 7 * 24 * 3600 * 1000;
const ZONE = 'UTC';
/** The spiral has stages that build on each other. */
const EXERCISE = 'spiral';
const STAGE = 2;

type Planned = TestYard & { goalId: string; pairId: string; plan: (saveId?: string) => Promise<number> };

/** A pair of the demo yard that never rode the exercise, with a goal at its third stage. */
async function withGoal(test: (yard: Planned) => Promise<void>, measure?: object): Promise<void> {
  await testYard('Four', async yard => {
    const { database, yardId } = yard;
    const [pair] = await listPairs(database.db, yardId);
    const [arena] = await listArenas(database.db, yardId);
    const goal = {
      ...{ words: 'The spiral, all of it', purposes: [], byDay: null },
      measure: measure ?? { kind: 'stage', exercise: EXERCISE, stage: STAGE },
    };
    const goalId = await database.write(tx =>
      saveGoal(tx, yardId, { id: null, pairId: pair!.id, goal: GoalOnPaper.parse(goal), today: '2026-06-01' }),
    );
    const plan = (saveId?: string) =>
      planGoalWeeks(
        database.db,
        database.write,
        { id: yardId, timeZone: ZONE },
        {
          ...{ goalId, arenaId: arena!.id, startsAtMs: STARTS_MS, nowMs: NOW_MS, saveId },
        },
      );
    await test({ ...yard, goalId, pairId: pair!.id, plan });
  });
}
const weeksOf = async ({ database, yardId }: TestYard, nowMs = NOW_MS) =>
  goalWeeks(database.db, { id: yardId, timeZone: ZONE }, nowMs);

/** Rides a lesson of the series clean, so often on each rein. */
async function rides({ database, yardId }: TestYard, lesson: { id: string; startsAtMs: number }, times: number) {
  const { db, write } = database;
  const [weeks] = await weeksOf({ database, yardId, layoutId: '' });
  const stage = weeks!.lessons.find(one => one.lesson.id === lesson.id)!.lesson.plan.stages.at(-1)!;
  const pairId = weeks!.goal.pairId;
  const layout = (await findLayout(db, yardId, stage.layoutId!))!;
  const layoutVersionId = await write(tx => keepVersion(tx, yardId, layout, 'ridden'));
  const events = Array.from({ length: times * 2 }, (_, at): RecordEvent => ({
    ...{ type: 'pass', id: `event ${at}` },
    pass: {
      ...{ id: `pass ${at}`, pairId, lessonId: lesson.id, layoutVersionId, stageId: stage.id, stage: stage.name },
      ...{ question: stage.questions[0]!.question, rein: at % 2 ? 'left' : 'right', direction: 'as-drawn' },
      riddenAtMs: lesson.startsAtMs + (at + 10) * 60_000,
    },
  }));
  await write(tx => recordBatch(tx, yardId, { events, lessonId: null }, lesson.startsAtMs + 3_600_000));
}

test('the weeks to a stage are a lesson each, at the next stage, a week after the other, over one layout', async () => {
  await withGoal(async yard => {
    expect(await yard.plan()).toBe(STAGE + 1);
    const [weeks] = await weeksOf(yard);
    expect(weeks!.lessons.map(({ stage }) => stage)).toEqual([0, 1, 2]);
    expect(weeks!.lessons.map(({ lesson }) => lesson.startsAtMs)).toEqual(
      [0, 1, 2].map(week => STARTS_MS + week * WEEK_MS),
    );
    const layouts = weeks!.lessons.map(({ lesson }) => lesson.plan.stages.at(-1)!.layoutId);
    expect(new Set(layouts).size).toBe(1);
    // The stage of the week before comes once, to come in.
    expect(weeks!.lessons[1]!.lesson.plan.stages.slice(-2).map(({ eachRein }) => eachRein)[0]).toBe(1);
    expect(weeks!.now).toBeNull();
  });
});

test('sent twice under one name they are planned once; asked again they are refused', async () => {
  await withGoal(async yard => {
    expect([await yard.plan('one save'), await yard.plan('one save')]).toEqual([STAGE + 1, STAGE + 1]);
    await expect(yard.plan('another')).rejects.toThrow('planned already');
    expect((await weeksOf(yard))[0]!.lessons).toHaveLength(STAGE + 1);
  });
});

test('a goal that no stage tells of has no weeks', async () => {
  await withGoal(
    async yard => {
      await expect(yard.plan()).rejects.toThrow('held to no stage');
    },
    { kind: 'count', way: 'more', share: 0.5 },
  );
});

test('a stage that was not earned is ridden again: the series waits a week', async () => {
  await withGoal(async yard => {
    await yard.plan();
    const [before] = await weeksOf(yard);
    // The first lesson was put away: what it asked is to be ridden still.
    await yard.database.write(tx =>
      archiveLesson(tx, yard.yardId, before!.lessons[0]!.lesson.id, true, { by: null, nowMs: NOW_MS }),
    );
    const [waits] = await weeksOf(yard);
    expect(waits!.now).not.toBeNull();
    await bringGoalWeeks(
      yard.database.db,
      yard.database.write,
      { id: yard.yardId, timeZone: ZONE },
      yard.goalId,
      NOW_MS,
    );
    const [after] = await weeksOf(yard);
    expect(after!.lessons.map(({ stage }) => stage)).toEqual([0, 1, 2]);
    expect(after!.now).toBeNull();
    const last = after!.lessons.at(-1)!.lesson;
    expect(last.startsAtMs).toBe(before!.lessons.at(-1)!.lesson.startsAtMs + WEEK_MS);
  });
});

test('a stage that was earned is gone past, and the week that is left over is put away', async () => {
  await withGoal(async yard => {
    await yard.plan();
    const first = (await weeksOf(yard))[0]!.lessons[0]!.lesson;
    await rides(yard, first, 6);
    const laterMs = first.startsAtMs + 2 * 24 * 3600 * 1000;
    const [weeks] = await weeksOf(yard, laterMs);
    expect(weeks!.lessons.map(({ stage }) => stage)).toEqual([1, 2]);
    expect(weeks!.now).toBeNull();
  });
});

test('a goal that was reached has no weeks any more', async () => {
  await withGoal(async yard => {
    await yard.plan();
    expect(await listGoals(yard.database.db, yard.yardId)).toHaveLength(1);
    await yard.database.write(tx => changeGoal(tx, yard.yardId, yard.goalId, { reachedDay: '2026-06-02' }));
    expect(await weeksOf(yard)).toEqual([]);
  });
});
