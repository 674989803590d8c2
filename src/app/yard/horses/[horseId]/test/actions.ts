'use server';

import { withdrawTestedStrides } from '@/data/queries/strideTests';
import type { FormOutcome } from '@/files/formOutcome';
import { revalidatePath } from 'next/cache';
import { attempt } from '../../../../_server/attempt';
import { may } from '../../../../_server/access/rules';
import { yardContext } from '../../../../_server/yardContext';

/** Takes back what a test gave the profile; the test itself stays. */
export async function withdrawTestAction(testId: string): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { write, yard } = await yardContext();
    await write(tx => withdrawTestedStrides(tx, yard.id, testId));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}
