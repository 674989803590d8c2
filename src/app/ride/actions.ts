'use server';

import { findLayout, freezeLayout } from '@/data/queries/layouts';
import { findPair } from '@/data/queries/pairs';
import type { FormOutcome } from '@/files/formOutcome';
import { z } from 'zod';
import { attempt } from '../_server/attempt';
import { may } from '../_server/access/rules';
import { planFault } from '../_server/planFault';
import { yardContext } from '../_server/yardContext';
import { refuse } from '@/app/_server/refusal';

const Choice = z.object({
  layoutId: z.string({ error: 'Choose a layout.' }).min(1, 'Choose a layout.'),
  pairId: z.string({ error: 'Choose a pair.' }).min(1, 'Choose a pair.'),
});

/** Keeps the layout as it stands now, for this ride's records to hang on, and says where to ride it. */
export async function beginRideAction(typed: unknown): Promise<FormOutcome<{ href: string }>> {
  return attempt<{ href: string }>(may.instruct, async () => {
    const choice = Choice.safeParse(typed);
    if (!choice.success) return refuse(choice.error.issues[0]?.message ?? 'Choose both.');
    const { layoutId, pairId } = choice.data;
    const { db, write, yard } = await yardContext();
    const pair = await findPair(db, yard.id, pairId);
    if (!pair) return refuse('This pair is not in the yard any more: choose another.');
    const layout = await findLayout(db, yard.id, layoutId);
    if (!layout) return refuse('This layout is not in the yard any more: choose another.');
    const fault = await planFault(db, yard.id, layout.arena, layout.plan);
    if (fault) return refuse(fault);
    const versionId = await write(tx => freezeLayout(tx, yard.id, layoutId));
    return { ok: true, href: `/ride/${versionId}/${pairId}` };
  });
}
