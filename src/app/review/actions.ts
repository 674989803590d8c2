'use server';

import { offeredStride, profileStride, resolvePlan, STRIDE_ENTRY_KEYS } from '@/core';
import { DatabaseRefused } from '@/data/databaseRefused';
import { findLayout, saveLayout } from '@/data/queries/layouts';
import { versionsById } from '@/data/queries/layoutVersions';
import { listPasses } from '@/data/queries/passes';
import { planGround } from '@/data/queries/planGround';
import { findPair } from '@/data/queries/pairs';
import { addLearnedStride, withdrawLearnedStride } from '@/data/queries/strideTests';
import type { FormOutcome } from '@/files/formOutcome';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { attempt } from '../_server/attempt';
import { may } from '../_server/access/rules';
import { planFault } from '../_server/planFault';
import { yardContext } from '../_server/yardContext';
import { pairReview } from './pairReview';
import { riddenRows, rowReview } from './reviewFigures';
import { gone, refuse } from '@/app/_server/refusal';

/** Exercises that are a row of poles. */
const ROWS = ['walk-poles', 'trot-poles', 'canter-poles'];

const GONE = 'These passes are not in the yard any more.';

/** Sets the row of a layout to the spacing that the passes of a pair point to, reckoned anew from the record. */
export async function trySpacingAction(
  pairId: unknown,
  versionId: unknown,
  key: unknown,
): Promise<FormOutcome<{ href: string }>> {
  return attempt<{ href: string }>(may.instruct, async () => {
    if (typeof pairId !== 'string' || typeof versionId !== 'string') return refuse(GONE);
    const { db, write, yard } = await yardContext();
    const passes = await listPasses(db, yard.id, pairId, versionId);
    const rows = riddenRows(passes, await versionsById(db, yard.id, [versionId]));
    const ridden = rows.find(one => one.key === key);
    if (!ridden) return refuse(GONE);
    const own = passes.filter(({ id }) => ridden.passIds.includes(id));
    const review = rowReview(ridden, own, yard.timeZone);
    if (review.suggestion.kind === 'nothing-noted') return refuse(GONE);
    const layout = await findLayout(db, yard.id, review.layoutId);
    if (!layout) return refuse(gone('layout'));
    const { ownerOf } = resolvePlan(layout.plan, planGround(layout.name, layout.arena, [], null));
    const owner = ownerOf.get(review.trackId ?? '');
    const row = layout.plan.exercises.find(({ id, kind }) => id === owner && ROWS.includes(kind));
    if (!row) return refuse('The poles of this layout lie by hand now: space them in the plan.');
    const params = { ...row.params, spacingM: review.suggestion.nextSpacingM };
    const exercises = layout.plan.exercises.map(one => (one === row ? { ...row, params } : one));
    const plan = { ...layout.plan, exercises };
    const fault = await planFault(db, yard.id, layout.arena, plan);
    if (fault) return refuse(fault);
    const { id: layoutId, name, revision: baseRevision } = layout;
    const outcome = await write(tx => saveLayout(tx, yard.id, { layoutId, baseRevision, name, plan }, Date.now()));
    if (outcome.kind !== 'saved') throw new DatabaseRefused('The layout was changed at the same moment: try again.');
    return { ok: true, href: `/plan/${layoutId}` };
  });
}

const Entry = z.enum(STRIDE_ENTRY_KEYS);

/** Gives the profile the stride that the record of a pair points to, reckoned anew; or takes it back. */
export async function learnedStrideAction(pairId: unknown, entry: unknown, take: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const asked = Entry.safeParse(entry);
    const { db, write, yard } = await yardContext();
    const pair = typeof pairId === 'string' ? await findPair(db, yard.id, pairId) : null;
    if (!pair || !asked.success) return refuse(gone('pair'));
    const own = { horseId: pair.horseId, entry: asked.data, knownAtMs: Date.now() };
    if (take !== true)
      return attempt(may.instruct, async () => {
        await write(tx => withdrawLearnedStride(tx, yard.id, own.horseId, own.entry, own.knownAtMs));
        revalidatePath('/', 'layout');
        return { ok: true };
      });
    const { strides, horse } = await pairReview(pair);
    const review = strides.find(one => one.entry === asked.data);
    const learned = review && offeredStride(review);
    if (!learned) return refuse('The record does not say enough of this stride yet.');
    const known = profileStride(horse, asked.data);
    const share = known ? learned.strideM / known.normalM : 1;
    const stride = {
      normalM: learned.strideM,
      shortM: (known?.shortM ?? learned.strideM) * share,
      longM: (known?.longM ?? learned.strideM) * share,
      source: 'learned' as const,
      interval: { lowM: learned.lowM, highM: learned.highM },
    };
    await write(tx => addLearnedStride(tx, yard.id, { ...own, stride }));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}
