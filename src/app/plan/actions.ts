'use server';

import { headingFromFacing, keepRowInside, rowSpacing } from '@/core';
import { findArena } from '@/data/queries/arenas';
import { findHorse } from '@/data/queries/horses';
import { addLayout } from '@/data/queries/layouts';
import { formFaults, type FormOutcome } from '@/files/formOutcome';
import type { PlannedRow } from '@/files/planDocument';
import { layoutForm } from '@/files/yardForms';
import { attempt } from '../_server/attempt';
import { yardContext } from '../_server/yardContext';

/** Common practice, no source: an ordinary show-jumping pole, and a short one for small ponies. */
const POLE_LENGTH_M = 3;

/** A new layout: a row of poles in the middle of the arena, up the centre line. */
export async function addLayoutAction(typed: unknown): Promise<FormOutcome<{ layoutId: string }>> {
  const form = layoutForm.safeParse(typed);
  if (!form.success) return formFaults(form.error);
  const { db, write, yard } = await yardContext();
  const { name, arenaId, horseId, gait, poles } = form.data;
  const arena = await findArena(db, yard.id, arenaId);
  const horse = await findHorse(db, yard.id, horseId);
  if (!arena) return { ok: false, fields: { arenaId: 'This arena is not in the yard any more.' }, problem: null };
  if (!horse) return { ok: false, fields: { horseId: 'This horse is not in the yard any more.' }, problem: null };
  const row: PlannedRow = {
    kind: 'pole-row',
    id: 'row',
    gait,
    horseId,
    centre: { xM: arena.widthM / 2, yM: arena.lengthM / 2 },
    headingRad: headingFromFacing(0),
    poleLengthM: Math.min(POLE_LENGTH_M, arena.widthM - 1),
    raised: Array.from({ length: poles }, () => ({ leftM: 0, rightM: 0 })),
    spacing: { by: 'horse' },
  };
  const kept = keepRowInside(arena, row, rowSpacing(row, horse).spacingM);
  if (!kept.ok) return { ok: false, fields: { poles: 'So many poles do not fit along this arena.' }, problem: null };
  return attempt(async () => {
    const layoutId = await write(tx => addLayout(tx, yard.id, { name, arenaId, plan: { rows: [row] } }));
    return { ok: true, layoutId };
  });
}
