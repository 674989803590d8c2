'use server';

import { LENGTH_UNITS } from '@/core';
import { saveLengthUnit } from '@/data/queries/settings';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { may } from './access/rules';
import { yardContext } from './yardContext';

const Unit = z.enum(LENGTH_UNITS);

/** Keeps the unit that the yard reads lengths in. */
export async function chooseUnit(chosen: string): Promise<void> {
  const { write, yard } = await yardContext(may.instruct);
  const unit = Unit.safeParse(chosen);
  if (!unit.success) return;
  await write(tx => saveLengthUnit(tx, yard.id, unit.data));
  revalidatePath('/', 'layout');
}
