'use server';

import { layoutHorse, type Arena, type PlanHorse } from '@/core';
import { DatabaseRefused } from '@/data/databaseRefused';
import { arenaOf, listArenas, saveArena } from '@/data/queries/arenas';
import { listHorses } from '@/data/queries/horses';
import { saveHorse } from '@/data/queries/saveHorses';
import { addLayout } from '@/data/queries/layouts';
import { isSaved, once } from '@/data/queries/saves';
import { formFaults, type FormOutcome } from '@/files/formOutcome';
import { saveIdOf } from '@/files/saveId';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { attempt } from '../_server/attempt';
import { may } from '../_server/access/rules';
import { yardContext, yardSay } from '../_server/yardContext';
import { FIRST_HORSES, FIRST_LAYOUTS, FIRST_SANDS } from './firstChoices';
import { firstPlan } from './firstPlan';
import { refuse } from '@/app/_server/refusal';

const Chosen = z.object({
  horses: z.array(z.enum(FIRST_HORSES.map(({ key }) => key))).min(1),
  sand: z.enum(FIRST_SANDS.map(({ key }) => key)),
  layout: z.enum(FIRST_LAYOUTS.map(({ key }) => key)),
});

const IS_THERE = 'There is a horse in the yard already: plan a layout for it.';

/**
 * The first layout of an empty yard: its first horses by size, its first sand, and an exercise or a course on it.
 * @param saving - names the save: sent again after a lost answer, it is made once
 */
export async function firstLayoutAction(sent: unknown, saving: unknown): Promise<FormOutcome<{ layoutId: string }>> {
  return attempt<{ layoutId: string }>(may.instruct, async () => {
    const { db, write, yard } = await yardContext();
    const say = await yardSay(yard.id);
    const form = Chosen.safeParse(sent);
    if (!form.success) return formFaults(form.error);
    const wanted = FIRST_HORSES.filter(({ key }) => form.data.horses.includes(key));
    const sand = FIRST_SANDS.find(({ key }) => key === form.data.sand)!;
    const first = FIRST_LAYOUTS.find(({ key }) => key === form.data.layout)!;
    const saveId = saveIdOf(saving);
    const isThere = (await listHorses(db, yard.id)).length > 0;
    if (isThere && !(saveId && (await isSaved(db, yard.id, saveId)))) return refuse(IS_THERE);
    const before = (await listArenas(db, yard.id)).find(isLike(sand.arena));
    const ground = { name: first.name, arena: before ? arenaOf(before) : sand.arena, fall: null, kit: null };
    // Composed before anything is written: it takes its time, and where nothing goes nothing is made.
    const plan = await firstPlan(first, { ...ground, horses: wanted.map(unmade) });
    if (!plan) return refuse(noSuchCourse(first.name, sand.label, wanted.length));
    const layoutId = await write(tx =>
      once(tx, yard.id, saveId, async () => {
        // Another window may have answered while this one was composed.
        if ((await listHorses(tx, yard.id)).length > 0) throw new DatabaseRefused(IS_THERE);
        const groupIds: string[] = [];
        for (const { name, heightM, type } of wanted)
          groupIds.push(
            await saveHorse(tx, yard.id, {
              ...{ name, heightM, type, bornYear: null, level: 'novice' },
              ...{ stiffSide: null, notes: '', normalStridesM: {} },
            }),
          );
        const arenaId = await arenaFor(tx, yard.id, sand.name, sand.arena);
        return addLayout(tx, yard.id, { name: say(first.name), arenaId, plan: { ...plan, groupIds } });
      }),
    );
    revalidatePath('/', 'layout');
    return { ok: true, layoutId };
  });
}

/** A first horse as layouts have it, before it is in the yard. */
const unmade = ({ key, name, heightM, type }: (typeof FIRST_HORSES)[number]): PlanHorse =>
  layoutHorse({ id: key, name, heightM, type, level: 'novice', strides: {} });

const isLike = (arena: Arena) => (one: Arena) => one.widthM === arena.widthM && one.lengthM === arena.lengthM;

/** Nothing was made, and what would help. */
function noSuchCourse(name: string, sand: string, horses: number): string {
  const orFewer = horses > 1 ? ', or horses nearer in size' : '';
  return `${name} does not go on ${sand} without a caution: take a larger sand${orFewer}. Nothing was made.`;
}

type Tx = Parameters<typeof saveArena>[0];

/** The sand of that size that is there already, or a new one. */
async function arenaFor(tx: Tx, yardId: string, name: string, arena: Arena): Promise<string> {
  const before = (await listArenas(tx, yardId)).find(isLike(arena));
  if (before) return before.id;
  await saveArena(tx, yardId, { ...arena, name, boundary: 'walls' });
  return (await listArenas(tx, yardId)).find(isLike(arena))!.id;
}
