'use server';

import { warmUpStage } from '@/core';
import type { Transaction } from '@/data/database';
import { DatabaseRefused } from '@/data/databaseRefused';
import { present } from '@/data/present';
import { listHorses } from '@/data/queries/horses';
import { findLayout } from '@/data/queries/layouts';
import { saveLesson } from '@/data/queries/lessons';
import { addPair, listPairs } from '@/data/queries/pairs';
import { listPeople, savePerson } from '@/data/queries/people';
import { once } from '@/data/queries/saves';
import { formFaults, type FormOutcome } from '@/files/formOutcome';
import { SaveId } from '@/files/saveId';
import { newPairForm } from '@/files/yardForms';
import { randomUUID } from 'node:crypto';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { attempt } from '../../_server/attempt';
import { may } from '../../_server/access/rules';
import { fittedStages } from '../../_server/fittedStages';
import { yardContext } from '../../_server/yardContext';
import { gone, Id, refuse } from '@/app/_server/refusal';

const Teach = z.strictObject({
  layoutId: Id,
  pairIds: z.array(Id).max(60),
  /** Horses whose rider has no name yet. */
  horseIds: z.array(Id).max(60).default([]),
});

/**
 * A lesson over one layout, now: its stages as they are usual, a warm-up before them, for the pairs that are there.
 * @param saving - names the save: sent again after a lost answer, nothing is planned twice
 */
export async function teachNowAction(sent: unknown, saving: unknown): Promise<FormOutcome<{ lessonId: string }>> {
  return attempt<{ lessonId: string }>(may.instruct, async () => {
    const wish = Teach.safeParse(sent);
    if (!wish.success) return refuse('Choose at least one pair.');
    const { db, write, yard } = await yardContext();
    const layout = await findLayout(db, yard.id, wish.data.layoutId);
    if (!layout) return refuse(gone('layout'));
    const there = present(await listPairs(db, yard.id));
    const horses = present(await listHorses(db, yard.id));
    const known = wish.data.pairIds.flatMap(id => there.find(pair => pair.id === id) ?? []);
    const unnamed = wish.data.horseIds.flatMap(id => horses.find(horse => horse.id === id) ?? []);
    const riding = [...known, ...unnamed.map(({ id }) => ({ id: `rider of ${id}`, horseId: id }))];
    if (riding.length === 0) return refuse('Choose at least one pair.');
    const { stages, breakEveryMin } = await fittedStages(db, yard.id, layout, horses, riding);
    if (stages.length === 0) return refuse('Nothing is ridden on this layout yet: put an exercise or a track on it.');
    const saveId = SaveId.optional().catch(undefined).parse(saving);
    const lessonId = await write(tx =>
      once(tx, yard.id, saveId, async () => {
        const pairIds = known.map(({ id }) => id);
        for (const { id, name } of unnamed) pairIds.push(await pairOf(tx, yard.id, `${name}’s rider`, id));
        const plan = {
          ...{ pairIds, breakEveryMin },
          stages: [warmUpStage(randomUUID()), ...stages.map(({ stage }) => stage)],
        };
        const lesson = { name: layout.name, arenaId: layout.arena.id, startsAtMs: Date.now(), plan };
        return saveLesson(tx, yard.id, lesson);
      }),
    );
    revalidatePath('/', 'layout');
    return { ok: true, lessonId };
  });
}

/** A rider by name on a horse, made a pair on the spot: a rider whom the yard knows is not there twice. */
export async function newPairAction(typed: unknown, saving: unknown): Promise<FormOutcome<{ pairId: string }>> {
  return attempt<{ pairId: string }>(may.instruct, async () => {
    const form = newPairForm.safeParse(typed);
    if (!form.success) return formFaults(form.error);
    const { write, yard } = await yardContext();
    const { rider, horseId } = form.data;
    const saveId = SaveId.optional().catch(undefined).parse(saving);
    const pairId = await write(tx => once(tx, yard.id, saveId, () => pairOf(tx, yard.id, rider, horseId)));
    revalidatePath('/', 'layout');
    return { ok: true, pairId };
  });
}

/** The pair of a rider of this name on a horse, by its id: the rider and the pair are made where they are not there. */
async function pairOf(tx: Transaction, yardId: string, rider: string, horseId: string): Promise<string> {
  const alike = (name: string) => name.trim().toLowerCase() === rider.toLowerCase();
  const known = present(await listPeople(tx, yardId)).find(({ name }) => alike(name));
  const person = { name: rider, role: 'rider' as const, stepLengthM: null };
  const riderId = known?.id ?? (await savePerson(tx, yardId, person));
  if (!(await listHorses(tx, yardId)).some(({ id }) => id === horseId)) throw new DatabaseRefused(gone('horse'));
  await addPair(tx, yardId, riderId, horseId);
  return (await listPairs(tx, yardId)).find(pair => pair.riderId === riderId && pair.horseId === horseId)!.id;
}
