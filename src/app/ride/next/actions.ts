'use server';

import { attempt } from '@/app/_server/attempt';
import { takeSuggestion } from '@/app/_server/takeSuggestion';
import { yardContext } from '@/app/_server/yardContext';
import { instantOf } from '@/app/_server/yardTime';
import { present } from '@/data/present';
import { listPairs } from '@/data/queries/pairs';
import { refuseSuggestion, undoRefusal } from '@/data/queries/refusals';
import { once } from '@/data/queries/saves';
import type { FormOutcome } from '@/files/formOutcome';
import { saveIdOf } from '@/files/saveId';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { may } from '../../_server/access/rules';
import { Id, refuse } from '@/app/_server/refusal';

const Pairs = z.array(Id).min(1).max(12);
const Exercise = z.string().min(1).max(140);
const Stage = z.number().int().min(0).max(50);
const UNREADABLE = 'This suggestion cannot be read: ask anew.';

const Taken = z.strictObject({
  ...{ pairIds: Pairs, arenaId: Id, exercise: Exercise, layoutId: Id.nullable() },
  startsAt: z.string().regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/),
  series: z
    .array(z.strictObject({ stage: Stage, eachRein: z.number().int().min(1).max(50) }))
    .min(1)
    .max(20),
  next: z.array(Stage).min(1).max(12),
});

/**
 * Makes the lesson that was suggested.
 * @param saving - names the save: tapped twice, it is made once
 */
export async function takeSuggestionAction(sent: unknown, saving: unknown): Promise<FormOutcome<{ lessonId: string }>> {
  return attempt<{ lessonId: string }>(may.instruct, async () => {
    const { db, write, yard } = await yardContext();
    const taken = Taken.safeParse(sent);
    if (!taken.success) return refuse(UNREADABLE);
    const { startsAt, ...suggestion } = taken.data;
    const startsAtMs = instantOf(startsAt, yard.timeZone);
    if (startsAtMs === null) return refuse('This is no day and time.');
    const there = present(await listPairs(db, yard.id)).map(({ id }) => id);
    if (suggestion.pairIds.some(id => !there.includes(id)) || suggestion.next.length !== suggestion.pairIds.length)
      return refuse('One of these pairs is not in the yard any more: ask anew.');
    const lessonId = await write(tx =>
      once(tx, yard.id, saveIdOf(saving), () => takeSuggestion(tx, yard.id, { ...suggestion, startsAtMs })),
    );
    revalidatePath('/ride', 'layout');
    return { ok: true, lessonId };
  });
}

const Refused = z.strictObject({ pairIds: Pairs, exercise: Exercise, stage: Stage });

/** Says that a suggestion is not wanted; it is not made to these pairs again for four weeks. */
export async function refuseSuggestionAction(sent: unknown): Promise<FormOutcome<{ refusalId: string }>> {
  return attempt<{ refusalId: string }>(may.instruct, async () => {
    const { db, write, yard } = await yardContext();
    const refused = Refused.safeParse(sent);
    if (!refused.success) return refuse(UNREADABLE);
    const there = (await listPairs(db, yard.id)).map(({ id }) => id);
    if (refused.data.pairIds.some(id => !there.includes(id))) return refuse('One of these pairs is not in the yard.');
    const refusalId = await write(tx => refuseSuggestion(tx, yard.id, { ...refused.data, nowMs: Date.now() }));
    return { ok: true, refusalId };
  });
}

/** Takes a refusal back. */
export async function undoRefusalAction(id: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { write, yard } = await yardContext();
    const refusal = Id.safeParse(id);
    if (!refusal.success) return refuse('This is not there any more.');
    await write(tx => undoRefusal(tx, yard.id, refusal.data, Date.now()));
    return { ok: true };
  });
}
