'use server';

import { roan } from '@/data/roan';
import type { FormOutcome } from '@/files/formOutcome';
import { revalidatePath } from 'next/cache';
import { attempt } from './attempt';
import { may } from './access/rules';
import { trustClock } from './serverClock';

/** Somebody says that the clock of this machine is right now. */
export async function trustClockAction(): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    await trustClock(await roan(), Date.now());
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}
