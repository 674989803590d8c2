'use server';

import { attempt } from '@/app/_server/attempt';
import { may } from '../../_server/access/rules';
import { yardContext } from '@/app/_server/yardContext';
import { daysLater } from '@/app/_server/yardTime';
import { bringToSeries, repeatLesson, rideInGroups } from '@/data/queries/lessonSeries';
import { findLesson } from '@/data/queries/lessons';
import { once } from '@/data/queries/saves';
import type { FormOutcome } from '@/files/formOutcome';
import { saveIdOf } from '@/files/saveId';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { gone, Id, refuse } from '@/app/_server/refusal';

const WEEK_DAYS = 7;

const Weeks = z.strictObject({ lessonId: Id, weeks: z.number().int().min(2).max(52) });

/** The same lesson week by week, at the same time by the yard's clock, this one the first. `planned`: how many are new. */
export async function repeatLessonAction(sent: unknown, saving: unknown): Promise<FormOutcome<{ planned: number }>> {
  return attempt<{ planned: number }>(may.instruct, async () => {
    const wish = Weeks.safeParse(sent);
    if (!wish.success) return refuse('A series has two weeks to fifty-two.');
    const { db, write, yard } = await yardContext();
    const lesson = await findLesson(db, yard.id, wish.data.lessonId);
    if (!lesson) return refuse(gone('lesson'));
    const atMs = Array.from({ length: wish.data.weeks - 1 }, (_, week) =>
      daysLater(lesson.startsAtMs, (week + 1) * WEEK_DAYS, yard.timeZone),
    );
    const planned = await write(tx =>
      once(tx, yard.id, saveIdOf(saving), () => repeatLesson(tx, yard.id, lesson.id, atMs)),
    );
    revalidatePath('/ride', 'layout');
    return { ok: true, planned };
  });
}

/** Brings the plan of a lesson to those of its series that come. `brought`: to how many. */
export async function bringToSeriesAction(id: unknown, who: unknown): Promise<FormOutcome<{ brought: number }>> {
  return attempt<{ brought: number }>(may.instruct, async () => {
    const lessonId = Id.safeParse(id);
    if (!lessonId.success) return refuse(gone('lesson'));
    const by = z.string().trim().min(1).max(60).nullable().catch(null).parse(who);
    const { write, yard } = await yardContext();
    const brought = await write(tx => bringToSeries(tx, yard.id, lessonId.data, { by, nowMs: Date.now() }));
    revalidatePath('/ride', 'layout');
    return { ok: true, brought };
  });
}

const Groups = z.strictObject({
  lessonId: Id,
  groups: z.array(z.array(Id).min(1, 'Somebody rides in each group.').max(12)).min(2).max(8),
  eachMin: z.number().int().min(5).max(240),
});

/** Rides a planned lesson in groups, one after the other. */
export async function rideInGroupsAction(
  sent: unknown,
  saving: unknown,
): Promise<FormOutcome<{ lessonIds: string[] }>> {
  return attempt<{ lessonIds: string[] }>(may.instruct, async () => {
    const wish = Groups.safeParse(sent);
    if (!wish.success) return refuse('Two groups or more, with somebody in each, and five minutes at least.');
    const { lessonId, groups, eachMin } = wish.data;
    const { write, yard } = await yardContext();
    const lessonIds = await write(tx =>
      once(tx, yard.id, saveIdOf(saving), () => rideInGroups(tx, yard.id, lessonId, groups, eachMin)),
    );
    revalidatePath('/ride', 'layout');
    return { ok: true, lessonIds };
  });
}
