import 'server-only';
import {
  profileFromTest,
  profileStride,
  readStrideTest,
  suggestEntries,
  type ProfileStride,
  type StrideEntryKey,
} from '@/core';
import { DatabaseRefused } from '@/data/databaseRefused';
import { findHorse, type Horse } from '@/data/queries/horses';
import { addStrideTest, addTestedStride, withdrawTestedStrides } from '@/data/queries/strideTests';
import type { Transaction } from '@/data/database';
import type { StrideTestOnPaper, StrideTestSave } from '@/files/strideTestForm';
import { gone } from '@/app/_server/refusal';

/**
 * Keeps a test, and gives the profile the entries that were accepted; sent again it is kept once.
 * @param testedAt - when it was ridden, by a clock that is believed
 * @throws {DatabaseRefused} its horse is not in the yard
 */
export async function takeStrideTest(
  tx: Transaction,
  yardId: string,
  { test: sent, accepted }: StrideTestSave,
  testedAt: Date,
): Promise<void> {
  const test = { ...sent, testedAtMs: testedAt.getTime() };
  const horse = await findHorse(tx, yardId, test.horseId);
  if (!horse) throw new DatabaseRefused(gone('horse'));
  await addStrideTest(tx, yardId, test);
  await withdrawTestedStrides(tx, yardId, test.id);
  for (const { entry, stride } of acceptedStrides(test, horse, accepted))
    await addTestedStride(tx, yardId, {
      ...{ horseId: horse.id, testId: test.id, entry, stride },
      knownAtMs: test.testedAtMs,
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
