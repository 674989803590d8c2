'use server';

import { DatabaseRefused } from '@/data/databaseRefused';
import { findLayout, saveLayout } from '@/data/queries/layouts';
import { listPasses, versionsRidden } from '@/data/queries/passes';
import type { FormOutcome } from '@/files/formOutcome';
import { attempt } from '../_server/attempt';
import { planFault } from '../_server/planFault';
import { yardContext } from '../_server/yardContext';
import { rowReviews } from './reviewFigures';

/** Exercises that are a row of poles. */
const ROWS = ['walk-poles', 'trot-poles', 'canter-poles'];

const GONE = 'These passes are not in the yard any more.';

/** Sets the row of a layout to the spacing that the passes of a pair point to, reckoned anew from the record. */
export async function trySpacingAction(pairId: unknown, versionId: unknown): Promise<FormOutcome<{ href: string }>> {
  const refuse = (problem: string) => ({ ok: false as const, fields: {}, problem });
  if (typeof pairId !== 'string' || typeof versionId !== 'string') return refuse(GONE);
  const { db, write, yard } = await yardContext();
  const passes = await listPasses(db, yard.id, pairId, versionId);
  const [review] = rowReviews(passes, await versionsRidden(db, yard.id, [versionId]), yard.timeZone);
  if (!review || review.suggestion.kind === 'nothing-noted') return refuse(GONE);
  const layout = await findLayout(db, yard.id, review.layoutId);
  if (!layout) return refuse('This layout is not in the yard any more.');
  const row = layout.plan.exercises.find(({ kind }) => ROWS.includes(kind));
  if (!row) return refuse('The poles of this layout lie by hand now: space them in the plan.');
  const params = { ...row.params, spacingM: review.suggestion.nextSpacingM };
  const exercises = layout.plan.exercises.map(one => (one === row ? { ...row, params } : one));
  const plan = { ...layout.plan, exercises };
  const fault = await planFault(db, yard.id, layout.arena, plan);
  if (fault) return refuse(fault);
  return attempt(async () => {
    const { id: layoutId, name, revision: baseRevision } = layout;
    const outcome = await write(tx => saveLayout(tx, yard.id, { layoutId, baseRevision, name, plan }, Date.now()));
    if (outcome.kind !== 'saved') throw new DatabaseRefused('The layout was changed at the same moment: try again.');
    return { ok: true, href: `/plan/${layoutId}` };
  });
}
