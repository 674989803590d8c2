'use server';

import { tellOffice } from '@/data/queries/officeSums';
import { addYard, listYards, renameYard } from '@/data/queries/yards';
import type { FormOutcome } from '@/files/formOutcome';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { may } from '../_server/access/rules';
import { yardsHere } from '../_server/access/whoIsThere';
import { attempt } from '../_server/attempt';
import { yardContext } from '../_server/yardContext';
import { begunBy, showYard } from './begunBy';
import { Id, refuse } from '@/app/_server/refusal';

const Name = z.string().trim().min(1).max(80);

/** Shows another of the yards that this device is in. */
export async function chooseYardAction(yardId: unknown): Promise<FormOutcome> {
  return attempt<object>(may.choose, async () => {
    const { db, who } = await yardContext(may.choose);
    const id = Id.safeParse(yardId);
    const gone = 'This device is not in that yard any more: sign in to it again.';
    if (!id.success) return refuse(gone);
    if (who.open) {
      if (!(await listYards(db)).some(one => one.id === id.data)) return refuse(gone);
      await showYard(id.data, null);
      return { ok: true };
    }
    const there = (await yardsHere()).find(one => one.yardId === id.data);
    if (!there) return refuse(gone);
    await showYard(there.yardId, there.sessionId);
    return { ok: true };
  });
}

/** Begins another yard of the store: whoever begins it is its instructor, by the passphrase that they have. */
export async function beginAnotherYardAction(named: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { db, write, yard, who } = await yardContext(may.instruct);
    const name = Name.safeParse(named);
    if (!name.success) return refuse('A yard has a name of at most 80 letters.');
    const letIn = await begunBy(db, who);
    const begun = await write(async tx => {
      const { id } = await addYard(tx, name.data, yard.timeZone);
      return { id, sessionId: await letIn(tx, id) };
    });
    await showYard(begun.id, begun.sessionId);
    return { ok: true };
  });
}

/** Calls this yard otherwise. */
export async function renameYardAction(named: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { write, yard } = await yardContext(may.instruct);
    const name = Name.safeParse(named);
    if (!name.success) return refuse('A yard has a name of at most 80 letters.');
    await write(tx => renameYard(tx, yard.id, name.data));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}

/** Whether this yard's sums are told to the office. */
export async function tellOfficeAction(tells: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { write, yard } = await yardContext(may.instruct);
    const wish = z.boolean().safeParse(tells);
    if (!wish.success) return refuse('Say whether the sums are told.');
    await write(tx => tellOffice(tx, yard.id, wish.data));
    revalidatePath('/yards');
    return { ok: true };
  });
}
