'use server';

import { HORSE_LEVELS, PURPOSES } from '@/core';
import { setArchived } from '@/data/queries/archive';
import { addOwnExercise } from '@/data/queries/ownExercises';
import { readArrangement } from '@/files/arrangement';
import { formFaults, type FormOutcome } from '@/files/formOutcome';
import { z } from 'zod';
import { attempt } from '../_server/attempt';
import { may } from '../_server/access/rules';
import { yardContext } from '../_server/yardContext';
import { Id, refuse } from '@/app/_server/refusal';

const OwnForm = z.object({
  title: z.string().trim().min(1, 'Give it a name.').max(60, 'A name has at most 60 letters.'),
  purposes: z.array(z.enum(PURPOSES)).min(1, 'Say what it is for.'),
  level: z.enum(HORSE_LEVELS, { error: 'Choose a level.' }),
});

/** Keeps an arrangement of the yard's own on the shelf. `document`: a layout file of it about its middle. */
export async function keepOwnExerciseAction(typed: unknown, document: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const form = OwnForm.safeParse(typed);
    if (!form.success) return formFaults(form.error);
    const read = readArrangement(document);
    if (!read.ok) return refuse(read.reason);
    if (read.arrangement.items.length === 0)
      return refuse('There is nothing to keep: select what belongs to it first.');
    const { write, yard } = await yardContext();
    await write(tx => addOwnExercise(tx, yard.id, { ...form.data, ...read.arrangement }));
    return { ok: true };
  });
}

/** Puts an arrangement of the yard's own away. Layouts that it lies on keep it. */
export async function removeOwnExerciseAction(id: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const exerciseId = Id.safeParse(id);
    if (!exerciseId.success) return refuse('This is not on the shelf.');
    const { write, yard } = await yardContext();
    await write(tx => setArchived(tx, yard.id, 'exercise', exerciseId.data, true));
    return { ok: true };
  });
}
