'use server';

import { EMPTY_PLAN, findRecipe, placeExercise, type Arena } from '@/core';
import { findArena, listArenas, saveArena } from '@/data/queries/arenas';
import { findHorse, listHorses, saveHorse } from '@/data/queries/horses';
import { addLayout } from '@/data/queries/layouts';
import { planGround } from '@/data/queries/planGround';
import { once } from '@/data/queries/saves';
import { formFaults, type FormOutcome } from '@/files/formOutcome';
import { saveIdOf } from '@/files/saveId';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { attempt } from '../_server/attempt';
import { may } from '../_server/access/rules';
import { yardContext, yardSay } from '../_server/yardContext';
import { FIRST_EXERCISES, FIRST_HORSES, FIRST_SANDS } from './firstChoices';

const Chosen = z.object({
  horse: z.enum(FIRST_HORSES.map(({ key }) => key)),
  sand: z.enum(FIRST_SANDS.map(({ key }) => key)),
  exercise: z.enum(FIRST_EXERCISES.map(({ kind }) => kind)),
});

/**
 * The first layout of an empty yard: its first horse by size, its first sand, and an exercise on it.
 * @param saving - names the save: sent again after a lost answer, it is made once
 */
export async function firstLayoutAction(sent: unknown, saving: unknown): Promise<FormOutcome<{ layoutId: string }>> {
  return attempt<{ layoutId: string }>(may.instruct, async () => {
    const { db, write, yard } = await yardContext();
    const say = await yardSay(yard.id);
    const form = Chosen.safeParse(sent);
    if (!form.success) return formFaults(form.error);
    const horse = FIRST_HORSES.find(({ key }) => key === form.data.horse)!;
    const sand = FIRST_SANDS.find(({ key }) => key === form.data.sand)!;
    const first = FIRST_EXERCISES.find(({ kind }) => kind === form.data.exercise)!;
    if ((await listHorses(db, yard.id)).length > 0)
      return { ok: false, fields: {}, problem: 'There is a horse in the yard already: plan a layout for it.' };
    const layoutId = await write(tx =>
      once(tx, yard.id, saveIdOf(saving), async () => {
        const horseId = await saveHorse(tx, yard.id, {
          ...{ name: horse.name, heightM: horse.heightM, type: horse.type, bornYear: null, level: 'novice' },
          ...{ stiffSide: null, notes: '', normalStridesM: {} },
        });
        const arenaId = await arenaFor(tx, yard.id, sand.name, sand.arena);
        const arena = (await findArena(tx, yard.id, arenaId))!;
        const known = (await findHorse(tx, yard.id, horseId))!;
        const ground = planGround(first.name, arena, [known], null);
        const wanted = {
          id: 'first',
          recipe: findRecipe(first.kind)!,
          rein: 'left' as const,
          horseIds: null,
          session: null,
        };
        const { plan } = placeExercise({ ...EMPTY_PLAN, groupIds: [horseId] }, ground, wanted);
        return addLayout(tx, yard.id, { name: say(first.name), arenaId, plan });
      }),
    );
    revalidatePath('/', 'layout');
    return { ok: true, layoutId };
  });
}

type Tx = Parameters<typeof saveArena>[0];

/** The sand of that size that is there already, or a new one. */
async function arenaFor(tx: Tx, yardId: string, name: string, arena: Arena): Promise<string> {
  const like = (one: Arena) => one.widthM === arena.widthM && one.lengthM === arena.lengthM;
  const before = (await listArenas(tx, yardId)).find(like);
  if (before) return before.id;
  await saveArena(tx, yardId, { ...arena, name, boundary: 'walls' });
  return (await listArenas(tx, yardId)).find(like)!.id;
}
