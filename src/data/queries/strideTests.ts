import { randomUUID } from 'node:crypto';
import {
  readStrideTest,
  STRIDE_ENTRY_KEYS,
  type ProfileStride,
  type StrideEntryKey,
  type StrideTestReading,
  type TestLane,
  type TestPass,
  type TestQuality,
} from '@/core';
import { and, asc, eq, isNull } from 'drizzle-orm';
import { z } from 'zod';
import type { RoanDatabase } from '../database';
import { inBatches } from '../manyRows';
import { horses, people, strideRanges, strideTestPasses, strideTests } from '../schema';
import type { Transaction } from '../database';

export type TestMoment = 'before' | 'after' | 'apart';
export const TEST_MOMENTS: readonly TestMoment[] = ['before', 'after', 'apart'];

export type StrideTest = TestQuality & {
  id: string;
  horseId: string;
  riderId: string | null;
  riderName: string | null;
  entry: StrideEntryKey;
  lane: TestLane;
  /** Whose steps an untaped lane was walked in. */
  stepperId: string | null;
  moment: TestMoment;
  note: string;
  testedAtMs: number;
  passes: TestPass[];
  reading: StrideTestReading;
  /** The range that this test gave the profile and that still stands; null where it gave none. */
  rangeId: string | null;
};

const Entry = z.enum(STRIDE_ENTRY_KEYS);

/** The tests of a horse, earliest first, with what they come to. */
export async function listStrideTests(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  horseId: string,
): Promise<StrideTest[]> {
  const rows = await db
    .select({ test: strideTests, riderName: people.name })
    .from(strideTests)
    .leftJoin(people, eq(people.id, strideTests.riderId))
    .where(and(eq(strideTests.yardId, yardId), eq(strideTests.horseId, horseId), isNull(strideTests.archivedAt)))
    .orderBy(asc(strideTests.testedAt));
  const passRows = await db
    .select({ pass: strideTestPasses })
    .from(strideTestPasses)
    .innerJoin(strideTests, eq(strideTests.id, strideTestPasses.testId))
    .where(and(eq(strideTests.yardId, yardId), eq(strideTests.horseId, horseId)))
    .orderBy(asc(strideTestPasses.position));
  const ranges = await db
    .select({ id: strideRanges.id, testId: strideRanges.testId })
    .from(strideRanges)
    .where(and(eq(strideRanges.horseId, horseId), isNull(strideRanges.withdrawnAt)));
  return rows.map(({ test, riderName }) => {
    const passes = passRows
      .filter(({ pass }) => pass.testId === test.id)
      .map(({ pass: { pace, count, behind, part, voided, rhythm, roundness, balance } }) => ({
        ...{ pace, count, behind, part, voided, rhythm, roundness, balance },
      }));
    const lane = laneOf(test.laneM, test.laneSteps);
    const { id, riderId, moment, note, stepperId, rhythm, roundness, balance } = test;
    return {
      ...{ id, horseId, riderId, riderName, moment, note, stepperId, rhythm, roundness, balance, lane, passes },
      entry: Entry.parse(test.entry),
      testedAtMs: test.testedAt.getTime(),
      reading: readStrideTest(lane, passes),
      rangeId: ranges.find(range => range.testId === id)?.id ?? null,
    };
  });
}

function laneOf(laneM: number | null, laneSteps: number | null): TestLane {
  return laneM === null ? { kind: 'steps', steps: laneSteps ?? 1 } : { kind: 'taped', lengthM: laneM };
}

export type StrideTestDetails = TestQuality & {
  id: string;
  horseId: string;
  riderId: string | null;
  entry: StrideEntryKey;
  lane: TestLane;
  stepperId: string | null;
  moment: TestMoment;
  note: string;
  testedAtMs: number;
  passes: TestPass[];
};

/**
 * Keeps a test with its passes; sent again with the same id it is kept once.
 * @returns whether its horse is of this yard
 */
export async function addStrideTest(tx: Transaction, yardId: string, test: StrideTestDetails): Promise<boolean> {
  const [horse] = await tx
    .select({ id: horses.id })
    .from(horses)
    .where(and(eq(horses.yardId, yardId), eq(horses.id, test.horseId)));
  if (!horse) return false;
  const [already] = await tx.select({ id: strideTests.id }).from(strideTests).where(eq(strideTests.id, test.id));
  if (!already) await addStrideTests(tx, yardId, [test]);
  return true;
}

/** Keeps tests that are new, of horses of this yard, with their passes: in a few statements however many they are. */
export async function addStrideTests(
  tx: Transaction,
  yardId: string,
  tests: readonly StrideTestDetails[],
): Promise<void> {
  const rows = tests.map(({ lane, passes: _, testedAtMs, ...test }) => ({
    ...{ ...test, yardId, testedAt: new Date(testedAtMs) },
    laneM: lane.kind === 'taped' ? lane.lengthM : null,
    laneSteps: lane.kind === 'steps' ? lane.steps : null,
  }));
  await inBatches(rows, some => tx.insert(strideTests).values(some));
  const passes = tests.flatMap(test =>
    test.passes.map((pass, position) => ({ ...pass, id: randomUUID(), yardId, testId: test.id, position })),
  );
  await inBatches(passes, some => tx.insert(strideTestPasses).values(some));
}

/** Which tests are there, of all horses of a yard: whose, of which gait and when. */
export async function testsThere(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
): Promise<{ horseId: string; entry: string; testedAtMs: number }[]> {
  const rows = await db
    .select({ horseId: strideTests.horseId, entry: strideTests.entry, testedAt: strideTests.testedAt })
    .from(strideTests)
    .where(and(eq(strideTests.yardId, yardId), isNull(strideTests.archivedAt)));
  return rows.map(({ horseId, entry, testedAt }) => ({ horseId, entry, testedAtMs: testedAt.getTime() }));
}

/** Gives the profile what a test, or a suggestion that rests on it, says of an entry. */
export async function addTestedStride(
  tx: Transaction,
  yardId: string,
  range: { horseId: string; testId: string; entry: StrideEntryKey; stride: ProfileStride; knownAtMs: number },
): Promise<void> {
  const { horseId, testId, entry, stride, knownAtMs } = range;
  await tx.insert(strideRanges).values({
    ...{ id: randomUUID(), yardId, horseId, testId, entry, source: 'tested', createdAt: new Date(knownAtMs) },
    ...{ shortM: stride.shortM, normalM: stride.normalM, longM: stride.longM, spread: stride.spread ?? null },
    lowM: stride.interval?.lowM ?? null,
    highM: stride.interval?.highM ?? null,
  });
}

/** Takes back everything that a test gave the profile; what stood before counts again. */
export async function withdrawTestedStrides(tx: Transaction, yardId: string, testId: string): Promise<void> {
  await tx
    .update(strideRanges)
    .set({ withdrawnAt: new Date() })
    .where(and(eq(strideRanges.yardId, yardId), eq(strideRanges.testId, testId), isNull(strideRanges.withdrawnAt)));
}

/** Gives the profile what the record says of an entry; one that was given before is taken back. */
export async function addLearnedStride(
  tx: Transaction,
  yardId: string,
  range: { horseId: string; entry: StrideEntryKey; stride: ProfileStride; knownAtMs: number },
): Promise<void> {
  const { horseId, entry, stride, knownAtMs } = range;
  await withdrawLearnedStride(tx, yardId, horseId, entry, knownAtMs);
  await tx.insert(strideRanges).values({
    ...{ id: randomUUID(), yardId, horseId, entry, source: 'learned', createdAt: new Date(knownAtMs) },
    ...{ shortM: stride.shortM, normalM: stride.normalM, longM: stride.longM },
    lowM: stride.interval?.lowM ?? null,
    highM: stride.interval?.highM ?? null,
  });
}

/** Takes back what the record gave the profile of an entry; what stood before counts again. */
export async function withdrawLearnedStride(
  tx: Transaction,
  yardId: string,
  horseId: string,
  entry: StrideEntryKey,
  atMs: number,
): Promise<void> {
  await tx
    .update(strideRanges)
    .set({ withdrawnAt: new Date(atMs) })
    .where(
      and(
        ...[eq(strideRanges.yardId, yardId), eq(strideRanges.horseId, horseId), eq(strideRanges.entry, entry)],
        ...[eq(strideRanges.source, 'learned'), isNull(strideRanges.withdrawnAt)],
      ),
    );
}
