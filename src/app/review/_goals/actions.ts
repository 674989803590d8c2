'use server';

import { attempt } from '@/app/_server/attempt';
import { yardContext } from '@/app/_server/yardContext';
import { yardTime } from '@/app/_server/yardTime';
import { changeGoal, saveGoal, type GoalChange } from '@/data/queries/goals';
import { findPair } from '@/data/queries/pairs';
import { once } from '@/data/queries/saves';
import { formFaults, type FormOutcome } from '@/files/formOutcome';
import { goalForm } from '@/files/goalForm';
import { saveIdOf } from '@/files/saveId';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { may } from '../../_server/access/rules';
import { gone, Id, refuse } from '@/app/_server/refusal';

const Whose = z.object({ pairId: Id, goalId: Id.nullable() });

/**
 * Sets a goal for a pair, or changes one.
 * @param saving - names the save: sent again after a lost answer, it is set once
 */
export async function saveGoalAction(whose: unknown, typed: unknown, saving: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { db, write, yard } = await yardContext();
    const of = Whose.safeParse(whose);
    const pair = of.success ? await findPair(db, yard.id, of.data.pairId) : null;
    if (!of.success || !pair) return refuse(gone('pair'));
    const form = goalForm.safeParse(typed);
    if (!form.success) return formFaults(form.error);
    const today = yardTime(Date.now(), yard.timeZone, 'YYYY-MM-DD');
    const goal = { id: of.data.goalId, pairId: pair.id, goal: form.data, today };
    await write(tx => once(tx, yard.id, saveIdOf(saving), () => saveGoal(tx, yard.id, goal)));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}

const Change = z.object({ goalId: Id, to: z.enum(['reached', 'open', 'taken away', 'there']) });

/** Says that a goal is reached, open again, taken away, or there again. */
export async function changeGoalAction(sent: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { write, yard } = await yardContext();
    const change = Change.safeParse(sent);
    if (!change.success) return refuse('This goal is not there any more.');
    const nowMs = Date.now();
    const becomes: Record<z.infer<typeof Change>['to'], GoalChange> = {
      reached: { reachedDay: yardTime(nowMs, yard.timeZone, 'YYYY-MM-DD') },
      open: { reachedDay: null },
      'taken away': { archivedAtMs: nowMs },
      there: { archivedAtMs: null },
    };
    await write(tx => changeGoal(tx, yard.id, change.data.goalId, becomes[change.data.to]));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}
