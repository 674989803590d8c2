'use server';

import { attempt } from '@/app/_server/attempt';
import { bringGoalWeeks, planGoalWeeks } from '@/app/_server/goalSeries';
import { yardContext } from '@/app/_server/yardContext';
import { instantOf, yardTime } from '@/app/_server/yardTime';
import { lessonState } from '@/core';
import { findArena } from '@/data/queries/arenas';
import { changeLesson } from '@/data/queries/changeLesson';
import { findLesson, lessonTimes } from '@/data/queries/lessons';
import type { FormOutcome } from '@/files/formOutcome';
import { saveIdOf } from '@/files/saveId';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { may } from '../../_server/access/rules';
import { gone, Id, refuse } from '@/app/_server/refusal';

const Move = z.strictObject({ lessonId: Id, toDay: z.string().regex(/^\d{4}-\d{2}-\d{2}$/) });

/** Moves a lesson that was not begun to another day, at the same time by the yard's clock. */
export async function moveLessonAction(sent: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { db, write, yard } = await yardContext();
    const move = Move.safeParse(sent);
    const lesson = move.success ? await findLesson(db, yard.id, move.data.lessonId) : null;
    if (!move.success || !lesson) return refuse(gone('lesson'));
    const nowMs = Date.now();
    if (lessonState(await lessonTimes(db, yard.id, lesson), nowMs) !== 'planned')
      return refuse('This lesson has begun: it stays on its day.');
    const time = yardTime(lesson.startsAtMs, yard.timeZone, 'HH:mm');
    const startsAtMs = instantOf(`${move.data.toDay}T${time}`, yard.timeZone);
    if (startsAtMs === null) return refuse('This is no day.');
    if (move.data.toDay < yardTime(nowMs, yard.timeZone, 'YYYY-MM-DD'))
      return refuse('That day is over: nothing is planned for it any more.');
    const { name, arenaId, plan, revision } = lesson;
    const edit = { name, arenaId, plan, startsAtMs, base: { revision, plan }, by: null, nowMs };
    await write(tx => changeLesson(tx, yard.id, lesson.id, edit));
    revalidatePath('/ride', 'layout');
    return { ok: true };
  });
}

const Start = z.strictObject({
  goalId: Id,
  arenaId: Id,
  startsAt: z.string().regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, 'Say the day and the time.'),
});

/**
 * Plans the weeks to a goal. `planned`: how many lessons.
 * @param saving - names the save: tapped twice, they are planned once
 */
export async function planGoalWeeksAction(sent: unknown, saving: unknown): Promise<FormOutcome<{ planned: number }>> {
  return attempt<{ planned: number }>(may.instruct, async () => {
    const { db, write, yard } = await yardContext();
    const start = Start.safeParse(sent);
    if (!start.success) return refuse('Say on which sand, and from which day and time on.');
    const startsAtMs = instantOf(start.data.startsAt, yard.timeZone);
    const arena = await findArena(db, yard.id, start.data.arenaId);
    if (startsAtMs === null || !arena) return refuse('Say on which sand, and from which day and time on.');
    const { goalId } = start.data;
    const wish = { goalId, arenaId: arena.id, startsAtMs, nowMs: Date.now(), saveId: saveIdOf(saving) };
    const planned = await planGoalWeeks(db, write, yard, wish);
    revalidatePath('/', 'layout');
    return { ok: true, planned };
  });
}

/** Brings the weeks to a goal to what was earned. */
export async function bringGoalWeeksAction(id: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { db, write, yard } = await yardContext();
    const goalId = Id.safeParse(id);
    if (!goalId.success) return refuse('This goal is not there any more.');
    await bringGoalWeeks(db, write, yard, goalId.data, Date.now());
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}
