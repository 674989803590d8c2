'use server';

import { addStepWalk, clearTypedStep, findPerson, setWalkUndone } from '@/data/queries/people';
import { formFaults, type FormOutcome } from '@/files/formOutcome';
import { walkForm } from '@/files/yardForms';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { attempt } from '../../../_server/attempt';
import { may } from '../../../_server/access/rules';
import { yardContext } from '../../../_server/yardContext';
import { gone, Id, refuse } from '@/app/_server/refusal';

/** Keeps a walk over a taped length. */
export async function addWalkAction(personId: string, walkId: string, typed: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { db, write, yard, unit } = await yardContext();
    const ids = z.object({ personId: Id, walkId: z.uuid() }).safeParse({ personId, walkId });
    const form = walkForm(unit).safeParse(typed);
    if (!form.success) return formFaults(form.error);
    if (!ids.success || !(await findPerson(db, yard.id, personId))) return refuse(gone('person'));
    const { length: lengthM, steps } = form.data;
    await write(tx => addStepWalk(tx, yard.id, personId, { id: walkId, lengthM, steps, walkedAtMs: Date.now() }));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}

/** Takes a walk back, or brings it back. */
export async function undoWalkAction(walkId: string, undone: boolean): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { write, yard } = await yardContext();
    await write(tx => setWalkUndone(tx, yard.id, walkId, undone));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}

/** Lets the walks count in place of the step that was typed in. */
export async function letWalksCountAction(personId: string): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { write, yard } = await yardContext();
    await write(tx => clearTypedStep(tx, yard.id, personId));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}
