'use server';

import {
  profileFromTest,
  profileStride,
  readStrideTest,
  suggestEntries,
  type ProfileStride,
  type StrideEntryKey,
} from '@/core';
import { findHorse, type Horse } from '@/data/queries/horses';
import { addStrideTest, addTestedStride, withdrawTestedStrides } from '@/data/queries/strideTests';
import { trustedTime } from '@/data/trustedTime';
import { formFaults, type FormOutcome } from '@/files/formOutcome';
import { StrideTestSave, type StrideTestOnPaper } from '@/files/strideTestForm';
import { revalidatePath } from 'next/cache';
import { attempt } from '../../../../_server/attempt';
import { may } from '../../../../_server/access/rules';
import { yardContext } from '../../../../_server/yardContext';

/** Keeps a test, and gives the profile the entries that were accepted; sent again it is kept once. */
export async function saveStrideTestAction(sent: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const form = StrideTestSave.safeParse(sent);
    if (!form.success) {
      const faults = formFaults(form.error);
      return { ...faults, problem: form.error.issues[0]?.message ?? 'This test is not complete.' };
    }
    const { accepted } = form.data;
    const test = { ...form.data.test, testedAtMs: trustedTime(form.data.test.testedAtMs, Date.now()).getTime() };
    const { db, write, yard } = await yardContext();
    const horse = await findHorse(db, yard.id, test.horseId);
    if (!horse) return { ok: false, fields: {}, problem: 'This horse is not in the yard any more.' };
    await write(async tx => {
      await addStrideTest(tx, yard.id, test);
      await withdrawTestedStrides(tx, yard.id, test.id);
      for (const { entry, stride } of acceptedStrides(test, horse, accepted))
        await addTestedStride(tx, yard.id, {
          horseId: horse.id,
          testId: test.id,
          entry,
          stride,
          knownAtMs: test.testedAtMs,
        });
    });
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}

/** What the test makes of each accepted entry, reckoned here and not taken from the page; typed entries are left alone. */
function acceptedStrides(
  test: StrideTestOnPaper,
  horse: Horse,
  accepted: readonly StrideEntryKey[],
): { entry: StrideEntryKey; stride: ProfileStride }[] {
  const own = profileFromTest(readStrideTest(test.lane, test.passes), horse, test.entry);
  if (!own) return [];
  const suggested = suggestEntries(horse, test.entry, own.normalM).flatMap(({ entry, fromM, toM }) => {
    const known = profileStride(horse, entry);
    if (!known) return [];
    const share = toM / fromM;
    const scaled = { shortM: known.shortM * share, normalM: known.normalM * share, longM: known.longM * share };
    return [{ entry, stride: { ...scaled, source: 'tested' as const } }];
  });
  return [{ entry: test.entry, stride: own }, ...suggested].filter(
    ({ entry }) => accepted.includes(entry) && horse.strides[entry]?.source !== 'typed',
  );
}

/** Takes back what a test gave the profile; the test itself stays. */
export async function withdrawTestAction(testId: string): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { write, yard } = await yardContext();
    await write(tx => withdrawTestedStrides(tx, yard.id, testId));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}
