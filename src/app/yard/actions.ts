'use server';

import { addPair } from '@/data/queries/pairs';
import { ARCHIVABLE, setArchived } from '@/data/queries/archive';
import { formatLength, type Arena } from '@/core';
import { findArena, sameSize, saveArena, saveArenaMarks } from '@/data/queries/arenas';
import { arenaTouches, horseTouches } from '@/data/queries/touches';
import { findHorse } from '@/data/queries/horses';
import { saveHorse } from '@/data/queries/saveHorses';
import { listKit, saveKit } from '@/data/queries/kit';
import { listPeople, savePerson } from '@/data/queries/people';
import { once } from '@/data/queries/saves';
import { saveYardRules, yardRules } from '@/data/queries/settings';
import { YardRulesOnPaper } from '@/files/yardRules';
import { formFaults, type FormOutcome } from '@/files/formOutcome';
import { ArenaMarks } from '@/files/arenaMarks';
import { arenaForm, horseForm, kitForm, pairForm, personForm, TYPED_STRIDES } from '@/files/yardForms';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { attempt } from '../_server/attempt';
import { may } from '../_server/access/rules';
import { yardContext } from '../_server/yardContext';
import { refuseChanged } from './refuseChanged';
import { horseFigures, typedStrideM, unlessUntouched } from './yardFigures';
import { gone, Id, refuse } from '@/app/_server/refusal';

/** Adds a horse or changes one; its typed strides move every row that is spaced by them. */
export async function saveHorseAction(typed: unknown, seen: unknown, sent?: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { db, write, yard, unit } = await yardContext();
    const form = horseForm(unit).safeParse(typed);
    if (!form.success) return formFaults(form.error);
    const { id, name, type, bornYear, level, stiffSide, notes } = form.data;
    const stored = id === undefined ? null : await findHorse(db, yard.id, id);
    if (id !== undefined && !stored) return refuse(gone('horse'));
    const saveId = await refuseChanged(db, yard.id, sent, stored && horseFigures(stored), name);
    // The form was good, so what was typed has its shape.
    const texts = typed as z.input<ReturnType<typeof horseForm>>;
    const heightM = unlessUntouched(texts.height, form.data.height, stored?.heightM, 'hands');
    const normalStridesM: Record<string, number | null> = {};
    for (const { entry } of TYPED_STRIDES)
      normalStridesM[entry] = unlessUntouched(
        texts.strides[entry],
        form.data.strides[entry],
        typedStrideM(stored, entry),
        unit,
      );
    const strideChanged = TYPED_STRIDES.some(({ entry }) => normalStridesM[entry] !== typedStrideM(stored, entry));
    if (stored && seen !== true && (heightM !== stored.heightM || type !== stored.type || strideChanged)) {
      const touches = await horseTouches(db, yard.id, stored, Date.now());
      if (touches.length > 0) return { ok: false, fields: {}, problem: null, touches };
    }
    await write(tx =>
      once(tx, yard.id, saveId, () =>
        saveHorse(tx, yard.id, { id, name, heightM, type, bornYear, level, stiffSide, notes, normalStridesM }),
      ),
    );
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}

/** Keeps the yard's own rules for lessons. */
export async function saveRulesAction(typed: unknown, sent?: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const rules = YardRulesOnPaper.safeParse(typed);
    if (!rules.success) return formFaults(rules.error);
    const { db, write, yard } = await yardContext();
    const now = await yardRules(db, yard.id);
    const saveId = await refuseChanged(db, yard.id, sent, now, 'How this yard teaches');
    await write(tx => once(tx, yard.id, saveId, () => saveYardRules(tx, yard.id, rules.data)));
    // What the gaits are called stands on every page.
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}

export async function savePersonAction(typed: unknown, sent?: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { db, write, yard, unit } = await yardContext();
    const form = personForm(unit).safeParse(typed);
    if (!form.success) return formFaults(form.error);
    const { id, name, role } = form.data;
    const texts = typed as z.input<ReturnType<typeof personForm>>;
    const stored = (await listPeople(db, yard.id)).find(person => person.id === id);
    const saveId = await refuseChanged(db, yard.id, sent, stored, stored?.name ?? '');
    const stepLengthM = unlessUntouched(texts.stepLength, form.data.stepLength, stored?.typedStepM, unit);
    await write(tx => once(tx, yard.id, saveId, () => savePerson(tx, yard.id, { id, name, role, stepLengthM })));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}

export async function addPairAction(typed: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const form = pairForm.safeParse(typed);
    if (!form.success) return formFaults(form.error);
    const { write, yard } = await yardContext();
    await write(tx => addPair(tx, yard.id, form.data.riderId, form.data.horseId));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}

export async function saveArenaAction(typed: unknown, seen: unknown, sent?: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { db, write, yard, unit } = await yardContext();
    const form = arenaForm(unit).safeParse(typed);
    if (!form.success) return formFaults(form.error);
    const { id, name, letters, boundary } = form.data;
    const texts = typed as z.input<ReturnType<typeof arenaForm>>;
    const stored = id === undefined ? null : await findArena(db, yard.id, id);
    const saveId = await refuseChanged(db, yard.id, sent, stored, stored?.name ?? '');
    const widthM = unlessUntouched(texts.width, form.data.width, stored?.widthM, unit);
    const lengthM = unlessUntouched(texts.length, form.data.length, stored?.lengthM, unit);
    const sized = { widthM, lengthM, letters };
    if (stored && seen !== true && !sameSize(stored, sized)) {
      const sizeWords = (arena: Arena) => `${formatLength(arena.widthM, unit)} × ${formatLength(arena.lengthM, unit)}`;
      const touches = await arenaTouches(db, yard.id, stored, sized, sizeWords, Date.now());
      if (touches.length > 0) return { ok: false, fields: {}, problem: null, touches };
    }
    await write(tx =>
      once(tx, yard.id, saveId, () => saveArena(tx, yard.id, { id, name, widthM, lengthM, letters, boundary })),
    );
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}

export async function saveKitAction(typed: unknown, sent?: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { db, write, yard, unit } = await yardContext();
    const form = kitForm(unit).safeParse(typed);
    if (!form.success) return formFaults(form.error);
    const stored = (await listKit(db, yard.id)).find(piece => piece.id === form.data.id);
    const saveId = await refuseChanged(db, yard.id, sent, stored, stored?.name ?? '');
    await write(tx => once(tx, yard.id, saveId, () => saveKit(tx, yard.id, form.data)));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}

const Archiving = z.object({ kind: z.enum(ARCHIVABLE), id: Id, archived: z.boolean() });

/** Puts something away, or takes it back; its records stay either way. */
export async function archiveAction(sent: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const asked = Archiving.safeParse(sent);
    if (!asked.success) return formFaults(asked.error);
    const { kind, id, archived } = asked.data;
    const { write, yard } = await yardContext();
    await write(tx => setArchived(tx, yard.id, kind, id, archived));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}

const Marking = z.object({ arenaId: Id, marks: ArenaMarks });

/** Keeps what is marked on an arena's sand. */
export async function saveArenaMarksAction(sent: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const asked = Marking.safeParse(sent);
    if (!asked.success) return formFaults(asked.error);
    const { write, yard } = await yardContext();
    await write(tx => saveArenaMarks(tx, yard.id, asked.data.arenaId, asked.data.marks));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}
