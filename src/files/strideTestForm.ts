import { STRIDE_ENTRY_KEYS, TEST_PACES, type TestPass } from '@/core';
import { z } from 'zod';

/** What the test page sends: a whole test, and which entries of the profile it is to change. */

export const MOST_PASSES = 60;
const Score = z.number().int().min(1).max(5).nullable();

const Pass = z.strictObject({
  pace: z.enum(TEST_PACES),
  count: z.number().int().min(1).max(200),
  // A test that a device kept from before the start was noted has none.
  behind: z.number().min(0).lt(1).nullable().default(null),
  part: z.number().min(0).lt(1).nullable(),
  voided: z.boolean(),
  rhythm: Score.default(null),
  roundness: Score.default(null),
  balance: Score.default(null),
}) satisfies z.ZodType<TestPass>;

const Lane = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('taped'), lengthM: z.number().min(5).max(200) }),
  z.strictObject({ kind: z.literal('steps'), steps: z.number().min(3).max(400) }),
]);

export const StrideTestOnPaper = z
  .strictObject({
    id: z.uuid(),
    horseId: z.string().min(1).max(60),
    riderId: z.string().min(1).max(60).nullable(),
    entry: z.enum(STRIDE_ENTRY_KEYS),
    lane: Lane,
    stepperId: z.string().min(1).max(60).nullable(),
    moment: z.enum(['before', 'after', 'apart']),
    rhythm: Score,
    roundness: Score,
    balance: Score,
    note: z.string().trim().max(500),
    testedAtMs: z.number().int().min(0).max(8.64e15),
    passes: z.array(Pass).min(1, 'Ride at least one pass.').max(MOST_PASSES),
  })
  .refine(({ passes }) => passes.some(({ voided }) => !voided), {
    message: 'Every pass is void: ride one that counts.',
  });
export type StrideTestOnPaper = z.infer<typeof StrideTestOnPaper>;

export const StrideTestSave = z.strictObject({
  test: StrideTestOnPaper,
  accepted: z.array(z.enum(STRIDE_ENTRY_KEYS)).max(STRIDE_ENTRY_KEYS.length),
});
export type StrideTestSave = z.infer<typeof StrideTestSave>;

/** What a device sends of the tests that it kept, in the order in which they were made. */
export const StrideTestBatch = z.strictObject({
  tests: z.array(StrideTestSave).min(1).max(100),
  /** The clock of the device when it sent this: how far it is off is taken out of what it says. */
  sentAtMs: z.number().int().min(0).max(8.64e15).optional(),
});
