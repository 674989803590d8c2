'use server';

import { randomUUID } from 'node:crypto';
import {
  applyEdits,
  editsToStand,
  EMPTY_PLAN,
  layoutLabels,
  reckonLayout,
  walkedSand,
  type LegChange,
  type Plan,
} from '@/core';
import { findArena } from '@/data/queries/arenas';
import { listHorses } from '@/data/queries/horses';
import { addLayout } from '@/data/queries/layouts';
import { keepStanding, putBack } from '@/data/queries/standings';
import { formFaults, type FormOutcome } from '@/files/formOutcome';
import { readLayout, writeLayout } from '@/files/layoutFile';
import { sandForm } from '@/files/sandForm';
import { GroundTyped, writeStanding } from '@/files/standing';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { attempt } from '../_server/attempt';
import { may } from '../_server/access/rules';
import { heavyWork } from '../_server/heavy/heavyWork';
import { measureByOf, settingSetup, walkersOf } from '../_server/settingSetup';
import { yardContext } from '../_server/yardContext';
import { gone, Id, refuse } from '@/app/_server/refusal';

export type RoundedSteps = {
  steps: [string, number][];
  changes: LegChange[];
  changedWords: number;
  isBest: boolean;
};

/** The half steps of somebody that hurt the horses least, all measures of a sheet together. */
export async function roundStepsAction(
  id: unknown,
  walkerId: unknown,
  measureBy: unknown,
  stage: unknown,
): Promise<FormOutcome<RoundedSteps>> {
  return attempt<RoundedSteps>(may.help, async () => {
    const layoutId = Id.safeParse(id);
    const { db, yard } = await yardContext();
    const setup = layoutId.success ? await settingSetup(db, yard.id, layoutId.data, stage) : null;
    if (!setup) return refuse(gone('layout'));
    const walker = (await walkersOf(db, yard.id)).find(({ id: one }) => one === walkerId);
    if (!walker) return refuse('Nobody with this step is in the yard any more.');
    const { layout, from } = setup;
    const rounding = await heavyWork('roundSteps', {
      ...{ layout, from, measureBy: measureByOf(measureBy), stepM: walker.stepLengthM },
    });
    return { ok: true, ...rounding, steps: [...rounding.steps] };
  });
}

const Kept = z.strictObject({
  layoutId: Id,
  revision: z.number().int().min(1),
  stage: z.string().max(120).nullable(),
  typed: GroundTyped,
});

/** Keeps what was really measured on the ground as what is ridden; the plan stays as it is. */
export async function keepStandingAction(sent: unknown): Promise<FormOutcome> {
  return attempt<object>(may.help, async () => {
    const kept = Kept.safeParse(sent);
    if (!kept.success) return refuse('What was measured cannot be understood: nothing was kept.');
    const { layoutId, revision, stage, typed } = kept.data;
    const { db, write, yard } = await yardContext();
    const setup = await settingSetup(db, yard.id, layoutId, stage);
    if (!setup) return refuse(gone('layout'));
    if (setup.yardLayout.revision !== revision)
      return refuse('The plan was changed in the meantime: load this page again, and measure by the new sheet.');
    const { layout } = setup;
    const legs = typed.legs.filter(({ track, leg }) =>
      layout.tracks.some(one => one.kind === 'items' && one.id === track && leg < one.legs.length),
    );
    const measures = new Map(Object.entries(typed.measures));
    const { from } = setup;
    const asSet = await heavyWork('asSet', { layout, from, measureBy: typed.measureBy, truth: { measures, legs } });
    const { inWords } = layoutLabels(layout);
    if (!asSet.ok)
      return refuse(`From ${inWords(asSet.from)} to ${inWords(asSet.to)} cannot be that long: nothing was kept.`);
    const edits = editsToStand(layout, asSet.items);
    const stands = applyEdits(layout, edits);
    const fault = standingFault(stands);
    if (fault) return refuse(fault);
    const standing = writeStanding(typed, edits, stands.items);
    await write(tx => keepStanding(tx, yard.id, { id: layoutId, revision }, standing, Date.now()));
    revalidatePath(`/set/${layoutId}`);
    return { ok: true };
  });
}

/** A layout that cannot be ridden or kept as it stands, in a sentence. */
function standingFault(stands: Parameters<typeof writeLayout>[0]): string | null {
  const read = readLayout(writeLayout(stands));
  if (!read.ok) return `It cannot stand like that: ${read.reason}`;
  try {
    reckonLayout(stands);
    return null;
  } catch (error) {
    if (error instanceof RangeError) return 'Two pieces would stand on each other: nothing was kept.';
    throw error;
  }
}

/** Everything stands as planned again. */
export async function putBackAction(id: unknown): Promise<FormOutcome> {
  return attempt<object>(may.help, async () => {
    const layoutId = Id.safeParse(id);
    if (!layoutId.success) return refuse(gone('layout'));
    const { write, yard } = await yardContext();
    await write(tx => putBack(tx, yard.id, layoutId.data, Date.now()));
    revalidatePath(`/set/${layoutId.data}`);
    return { ok: true };
  });
}

/** A layout of what stands on the sand already, by the gaps that were walked over it. */
export async function sandLayoutAction(sent: unknown): Promise<FormOutcome<{ layoutId: string }>> {
  return attempt<{ layoutId: string }>(may.instruct, async () => {
    const form = sandForm.safeParse(sent);
    if (!form.success) return formFaults(form.error);
    const { name, arenaId, horseIds, ...line } = form.data;
    const { db, write, yard } = await yardContext();
    const arena = await findArena(db, yard.id, arenaId);
    if (!arena) return { ok: false, fields: { arenaId: gone('arena') }, problem: null };
    const walked = walkedSand(arena, line, () => randomUUID());
    if (!walked.ok)
      return refuse(`${walked.piece === null ? '' : `Piece ${walked.piece + 1}: `}${walked.reason} Nothing was made.`);
    const there = new Set((await listHorses(db, yard.id)).map(({ id }) => id));
    const plan: Plan = {
      ...{ ...EMPTY_PLAN, groupIds: horseIds.filter(id => there.has(id)), items: walked.items },
      tracks: walked.track ? [{ ...walked.track, id: randomUUID() }] : [],
    };
    const layoutId = await write(tx => addLayout(tx, yard.id, { name, arenaId, plan }));
    revalidatePath('/set');
    return { ok: true, layoutId };
  });
}
