'use server';

import { warmUpStage } from '@/core';
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
import { attempt } from '../_server/attempt';
import { may } from '../_server/access/rules';
import { fittedStages } from '../_server/fittedStages';
import { yardContext } from '../_server/yardContext';

const Teach = z.strictObject({
  layoutId: z.string().min(1).max(60),
  pairIds: z.array(z.string().min(1).max(60)).max(60),
});
const refuse = (problem: string) => ({ ok: false as const, fields: {}, problem });

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
    if (!layout) return refuse('This layout is not in the yard any more.');
    const there = present(await listPairs(db, yard.id));
    const riding = wish.data.pairIds.flatMap(id => there.find(pair => pair.id === id) ?? []);
    if (riding.length === 0) return refuse('Choose at least one pair.');
    const { stages, breakEveryMin } = await fittedStages(db, yard.id, layout, await listHorses(db, yard.id), riding);
    if (stages.length === 0) return refuse('Nothing is ridden on this layout yet: put an exercise or a track on it.');
    const plan = {
      ...{ pairIds: riding.map(({ id }) => id), breakEveryMin },
      stages: [warmUpStage(randomUUID()), ...stages.map(({ stage }) => stage)],
    };
    const lesson = { name: layout.name, arenaId: layout.arena.id, startsAtMs: Date.now(), plan };
    const saveId = SaveId.optional().catch(undefined).parse(saving);
    const lessonId = await write(tx => once(tx, yard.id, saveId, () => saveLesson(tx, yard.id, lesson)));
    revalidatePath('/ride');
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
    const pairId = await write(tx =>
      once(tx, yard.id, saveId, async () => {
        const alike = (name: string) => name.trim().toLowerCase() === rider.toLowerCase();
        const known = present(await listPeople(tx, yard.id)).find(({ name }) => alike(name));
        const person = { name: rider, role: 'rider' as const, stepLengthM: null };
        const riderId = known?.id ?? (await savePerson(tx, yard.id, person));
        if (!(await listHorses(tx, yard.id)).some(({ id }) => id === horseId))
          throw new DatabaseRefused('This horse is not in the yard any more.');
        await addPair(tx, yard.id, riderId, horseId);
        return (await listPairs(tx, yard.id)).find(pair => pair.riderId === riderId && pair.horseId === horseId)!.id;
      }),
    );
    revalidatePath('/', 'layout');
    return { ok: true, pairId };
  });
}
