import type { StrideInterval } from '../horse/strideProfile';
import { M_PER_FT } from '../units/lengthUnits';
import { strideSpread } from './strideSpread';
import { strideOfLane, stridesInLane, type CountedPass, type StridesInLane } from './strideInterval';

/** Common practice, no source: most counts are told for a lane of 60 ft. */
export const USUAL_LANE_M = 60 * M_PER_FT;

export const TEST_PACES = ['normal', 'short', 'long'] as const;
export type TestPace = (typeof TEST_PACES)[number];

/** How something went, each 1 to 5, or null where nobody said. */
export type TestQuality = { rhythm: number | null; roundness: number | null; balance: number | null };
export const TEST_QUALITIES = ['rhythm', 'roundness', 'balance'] as const;

/** A pass of a test. A void one (the gait broke before the line) is kept and counts for nothing. */
export type TestPass = CountedPass & Partial<TestQuality> & { pace: TestPace; voided: boolean };

/** How the passes of a test went together: the mean of those that were judged, to the tenth. Void ones are left out. */
export function meanQuality(passes: readonly (Partial<TestQuality> & { voided: boolean })[]): TestQuality {
  const mean = (key: keyof TestQuality) => {
    const said = passes.flatMap(pass => (pass.voided ? [] : (pass[key] ?? [])));
    return said.length === 0 ? null : Math.round((said.reduce((a, b) => a + b, 0) / said.length) * 10) / 10;
  };
  return { rhythm: mean('rhythm'), roundness: mean('roundness'), balance: mean('balance') };
}

/** A lane that was taped, or one of so many of somebody's own steps, which compares only with itself. */
export type TestLane = { kind: 'taped'; lengthM: number } | { kind: 'steps'; steps: number };

export type PaceReading = {
  passes: number;
  voided: number;
  strides: StridesInLane;
  /** How much the counts say that it varies from pass to pass, a share of the stride. */
  spread: number;
  /** Null in a lane that was not taped. */
  stride: ({ strideM: number } & StrideInterval) | null;
};

export type StrideTestReading = {
  paces: Partial<Record<TestPace, PaceReading>>;
  /** Short count − long count, and long stride ÷ short stride; null until both were ridden. */
  adjustability: { strides: number; ratio: number } | null;
};

/** What a stride test comes to, pace by pace. */
export function readStrideTest(lane: TestLane, passes: readonly TestPass[]): StrideTestReading {
  const paces: Partial<Record<TestPace, PaceReading>> = {};
  for (const pace of TEST_PACES) {
    const ridden = passes.filter(pass => pass.pace === pace);
    const counted = ridden.filter(({ voided }) => !voided);
    if (counted.length === 0) continue;
    const strides = stridesInLane(counted);
    const stride = lane.kind === 'taped' ? strideOfLane(lane.lengthM, strides) : null;
    paces[pace] = {
      passes: counted.length,
      voided: ridden.length - counted.length,
      strides,
      spread: strideSpread(counted),
      stride,
    };
  }
  const { short, long } = paces;
  const adjustability =
    short && long
      ? { strides: short.strides.mean - long.strides.mean, ratio: short.strides.mean / long.strides.mean }
      : null;
  return { paces, adjustability };
}
