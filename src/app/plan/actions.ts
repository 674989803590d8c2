'use server';

import { EMPTY_PLAN, sayLengths, type Plan } from '@/core';
import { DatabaseRefused } from '@/data/databaseRefused';
import { present } from '@/data/present';
import { findArena, listArenas } from '@/data/queries/arenas';
import { listHorses } from '@/data/queries/horses';
import { addLayout, findLayout, freezeLayout, saveLayout, tagLayout } from '@/data/queries/layouts';
import { findVersion } from '@/data/queries/layoutVersions';
import { formFaults, type FormOutcome } from '@/files/formOutcome';
import { readLayoutText } from '@/files/layoutFile';
import { layoutForm, tagsForm } from '@/files/yardForms';
import { revalidatePath } from 'next/cache';
import { attempt } from '../_server/attempt';
import { may } from '../_server/access/rules';
import { yardContext } from '../_server/yardContext';
import { gone, Id, refuse } from '@/app/_server/refusal';

/** A new layout: empty sand for a group. */
export async function addLayoutAction(typed: unknown): Promise<FormOutcome<{ layoutId: string }>> {
  return attempt<{ layoutId: string }>(may.instruct, async () => {
    const form = layoutForm.safeParse(typed);
    if (!form.success) return formFaults(form.error);
    const { db, write, yard } = await yardContext();
    const { name, arenaId, horseIds } = form.data;
    if (!(await findArena(db, yard.id, arenaId)))
      return { ok: false, fields: { arenaId: gone('arena') }, problem: null };
    const there = new Set((await listHorses(db, yard.id)).map(({ id }) => id));
    const plan: Plan = { ...EMPTY_PLAN, groupIds: horseIds.filter(id => there.has(id)) };
    const layoutId = await write(tx => addLayout(tx, yard.id, { name, arenaId, plan }));
    return { ok: true, layoutId };
  });
}

const MOST_LETTERS = 60;

/** The same layout once more, to be changed without touching the first. */
export async function duplicateLayoutAction(id: unknown): Promise<FormOutcome<{ layoutId: string }>> {
  return attempt<{ layoutId: string }>(may.instruct, async () => {
    const layoutId = Id.safeParse(id);
    const { db, write, yard } = await yardContext();
    const layout = layoutId.success ? await findLayout(db, yard.id, layoutId.data) : null;
    if (!layout) return refuse(gone('layout'));
    const name = `${layout.name.slice(0, MOST_LETTERS - 7)} (copy)`;
    const copy = { name, arenaId: layout.arena.id, plan: layout.plan, tags: layout.tags };
    const copied = await write(tx => addLayout(tx, yard.id, copy));
    revalidatePath('/plan');
    return { ok: true, layoutId: copied };
  });
}

/** The words a layout is found by. */
export async function tagLayoutAction(id: unknown, typed: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const layoutId = Id.safeParse(id);
    const form = tagsForm.safeParse(typed);
    if (!form.success) return formFaults(form.error);
    if (!layoutId.success) return refuse(gone('layout'));
    const { write, yard } = await yardContext();
    await write(tx => tagLayout(tx, yard.id, layoutId.data, form.data.tags));
    revalidatePath('/plan');
    return { ok: true };
  });
}

/** Keeps the layout as it stands today. */
export async function keepVersionAction(id: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const layoutId = Id.safeParse(id);
    if (!layoutId.success) return refuse(gone('layout'));
    const { write, yard } = await yardContext();
    const kept = await write(tx => freezeLayout(tx, yard.id, layoutId.data, 'kept'));
    if (kept === null) throw new DatabaseRefused(gone('layout'));
    revalidatePath(`/plan/${layoutId.data}/versions`);
    return { ok: true };
  });
}

/** Brings a version back as what is planned now; what stood before is kept as a version of its own. */
export async function restoreVersionAction(id: unknown): Promise<FormOutcome<{ layoutId: string }>> {
  return attempt<{ layoutId: string }>(may.instruct, async () => {
    const versionId = Id.safeParse(id);
    const { db, write, yard } = await yardContext();
    const version = versionId.success ? await findVersion(db, yard.id, versionId.data) : null;
    const layout = version && (await findLayout(db, yard.id, version.layoutId));
    if (!version || !layout) return refuse(gone('version'));
    await write(async tx => {
      await freezeLayout(tx, yard.id, layout.id, 'before-change');
      const change = { layoutId: layout.id, baseRevision: layout.revision, name: version.name, plan: version.plan };
      const outcome = await saveLayout(tx, yard.id, change, Date.now());
      if (outcome.kind !== 'saved') throw new DatabaseRefused('The layout was changed at the same moment: try again.');
    });
    return { ok: true, layoutId: layout.id };
  });
}

/**
 * Takes a layout file in: on the yard's arena of that size, for the yard's horses of those names. Its items and tracks lie
 * by hand.
 */
export async function importLayoutAction(text: unknown): Promise<FormOutcome<{ layoutId: string; missing: string[] }>> {
  return attempt<{ layoutId: string; missing: string[] }>(may.instruct, async () => {
    if (typeof text !== 'string' || text.length > 4_000_000) return refuse('The file is too large to be a layout.');
    const read = readLayoutText(text);
    if (!read.ok) return refuse(`The file was not taken in, and nothing was changed. ${read.reason}`);
    const { layout } = read;
    const { db, write, yard, unit } = await yardContext();
    const { widthM, lengthM, letters } = layout.arena;
    const fitting = present(await listArenas(db, yard.id)).filter(
      one => one.widthM === widthM && one.lengthM === lengthM,
    );
    const arena = fitting.find(one => one.letters === letters) ?? fitting[0];
    if (!arena)
      return refuse(
        `This layout lies on an arena of ${sayLengths(`${widthM} × ${lengthM} m`, unit)}, and the yard has none of that size: add one in the yard first. Nothing was changed.`,
      );
    const horses = present(await listHorses(db, yard.id));
    const known = layout.horses.map(({ name }) => ({ name, id: horses.find(horse => horse.name === name)?.id }));
    const plan: Plan = {
      ...EMPTY_PLAN,
      ...{ school: layout.school, items: layout.items, tracks: layout.tracks },
      groupIds: known.flatMap(({ id }) => id ?? []),
    };
    const name = layout.name.slice(0, MOST_LETTERS);
    const layoutId = await write(tx => addLayout(tx, yard.id, { name, arenaId: arena.id, plan }));
    revalidatePath('/plan');
    return { ok: true, layoutId, missing: known.flatMap(({ name: horse, id }) => (id === undefined ? [horse] : [])) };
  });
}
