'use server';

import { addPair } from '@/data/queries/pairs';
import { findArena, saveArena } from '@/data/queries/arenas';
import { findHorse, saveHorse } from '@/data/queries/horses';
import { listPeople, savePerson } from '@/data/queries/people';
import { formFaults, type FormOutcome } from '@/files/formOutcome';
import { arenaForm, horseForm, pairForm, personForm, TYPED_STRIDES } from '@/files/yardForms';
import { revalidatePath } from 'next/cache';
import type { z } from 'zod';
import { attempt } from '../_server/attempt';
import { yardContext } from '../_server/yardContext';
import { unlessUntouched } from './yardFigures';

/** Adds a horse or changes one; its typed strides move every row that is spaced by them. */
export async function saveHorseAction(typed: unknown): Promise<FormOutcome> {
  const { db, write, yard, unit } = await yardContext();
  const form = horseForm(unit).safeParse(typed);
  if (!form.success) return formFaults(form.error);
  const { id, name, type } = form.data;
  const stored = id === undefined ? null : await findHorse(db, yard.id, id);
  if (id !== undefined && !stored) return { ok: false, fields: {}, problem: 'This horse is not in the yard any more.' };
  // The form was good, so what was typed has its shape.
  const texts = typed as z.input<ReturnType<typeof horseForm>>;
  const heightM = unlessUntouched(texts.height, form.data.height, stored?.heightM, 'hands');
  const normalStridesM: Record<string, number | null> = {};
  for (const { entry } of TYPED_STRIDES)
    normalStridesM[entry] = unlessUntouched(
      texts.strides[entry],
      form.data.strides[entry],
      stored?.strides[entry]?.normalM,
      unit,
    );
  return attempt(async () => {
    await write(tx => saveHorse(tx, yard.id, { id, name, heightM, type, normalStridesM }));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}

export async function savePersonAction(typed: unknown): Promise<FormOutcome> {
  const { db, write, yard, unit } = await yardContext();
  const form = personForm(unit).safeParse(typed);
  if (!form.success) return formFaults(form.error);
  const { id, name, role } = form.data;
  const texts = typed as z.input<ReturnType<typeof personForm>>;
  const stored = (await listPeople(db, yard.id)).find(person => person.id === id);
  const stepLengthM = unlessUntouched(texts.stepLength, form.data.stepLength, stored?.stepLengthM, unit);
  return attempt(async () => {
    await write(tx => savePerson(tx, yard.id, { id, name, role, stepLengthM }));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}

export async function addPairAction(typed: unknown): Promise<FormOutcome> {
  const form = pairForm.safeParse(typed);
  if (!form.success) return formFaults(form.error);
  const { write, yard } = await yardContext();
  return attempt(async () => {
    await write(tx => addPair(tx, yard.id, form.data.riderId, form.data.horseId));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}

export async function saveArenaAction(typed: unknown): Promise<FormOutcome> {
  const { db, write, yard, unit } = await yardContext();
  const form = arenaForm(unit).safeParse(typed);
  if (!form.success) return formFaults(form.error);
  const { id, name, letters } = form.data;
  const texts = typed as z.input<ReturnType<typeof arenaForm>>;
  const stored = id === undefined ? null : await findArena(db, yard.id, id);
  const widthM = unlessUntouched(texts.width, form.data.width, stored?.widthM, unit);
  const lengthM = unlessUntouched(texts.length, form.data.length, stored?.lengthM, unit);
  return attempt(async () => {
    await write(tx => saveArena(tx, yard.id, { id, name, widthM, lengthM, letters }));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}
