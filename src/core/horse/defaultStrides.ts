import type { HorseType } from './horse';
import { MAX_HORSE_HEIGHT_M, MIN_HORSE_HEIGHT_M } from './horse';
import type { StrideEntryKey, StrideRange } from './strideEntry';

type HeightRow = { heightM: number; courseCanterM: number; canterPolesM: number; trotStepM: number; walkStepM: number };

/** Common practice, no source: strides by height at the withers; linear between rows, level beyond the ends. */
const BY_HEIGHT: readonly HeightRow[] = [
  { heightM: 1.1, courseCanterM: 2.6, canterPolesM: 2.2, trotStepM: 0.95, walkStepM: 0.65 },
  { heightM: 1.27, courseCanterM: 3.05, canterPolesM: 2.55, trotStepM: 1.1, walkStepM: 0.72 },
  { heightM: 1.37, courseCanterM: 3.3, canterPolesM: 2.75, trotStepM: 1.2, walkStepM: 0.78 },
  { heightM: 1.48, courseCanterM: 3.5, canterPolesM: 2.9, trotStepM: 1.28, walkStepM: 0.82 },
  { heightM: 1.6, courseCanterM: 3.66, canterPolesM: 3.05, trotStepM: 1.37, walkStepM: 0.86 },
  { heightM: 1.7, courseCanterM: 3.75, canterPolesM: 3.2, trotStepM: 1.43, walkStepM: 0.9 },
  { heightM: 1.8, courseCanterM: 3.85, canterPolesM: 3.35, trotStepM: 1.5, walkStepM: 0.94 },
];

/** Common practice, no source: how far the build moves the stride from the table. */
const TYPE_FACTOR: Record<HorseType, number> = {
  'all-round': 1,
  pony: 1,
  cob: 0.94,
  blood: 1.03,
  warmblood: 1.05,
  gaited: 1,
};

/** Common practice, no source: lane strides from the strides over poles. */
const WALK_LANE_PER_POLE_STEP = 2.1;
const TROT_LANE_PER_POLE_STEP = 2;
const CANTER_LANE_PER_POLE_STRIDE = 0.77;

/** Common practice, no source, from stride tests: how far a stride can be changed from normal. */
const SHORT_ON_THE_FLAT = 0.75;
const SHORT_BETWEEN_FENCES = 0.85;
const LONG = 1.12;

/**
 * The stride that practice expects of a horse of this height and type, for one entry of its profile.
 * @param heightM - at the withers, 0.6 to 2.2 m
 * @returns short, normal and long, metres; null for a gaited horse's own gaits, which have no default
 * @throws {RangeError} a height outside those bounds
 */
export function defaultStride(entry: StrideEntryKey, heightM: number, type: HorseType): StrideRange | null {
  const row = rowAtHeight(heightM);
  const normalM = normalFromRow(entry, row);
  if (normalM === null) return null;
  const scaledM = normalM * TYPE_FACTOR[type];
  const short = entry === 'course-canter' ? SHORT_BETWEEN_FENCES : SHORT_ON_THE_FLAT;
  return { shortM: scaledM * short, normalM: scaledM, longM: scaledM * LONG };
}

function normalFromRow(entry: StrideEntryKey, row: HeightRow): number | null {
  switch (entry) {
    case 'walk':
      return row.walkStepM * WALK_LANE_PER_POLE_STEP;
    case 'trot':
      return row.trotStepM * TROT_LANE_PER_POLE_STEP;
    case 'canter':
      return row.canterPolesM * CANTER_LANE_PER_POLE_STRIDE;
    case 'walk-poles':
      return row.walkStepM;
    case 'trot-poles':
      return row.trotStepM;
    case 'canter-poles':
      return row.canterPolesM;
    case 'course-canter':
      return row.courseCanterM;
    default:
      return null;
  }
}

function rowAtHeight(heightM: number): HeightRow {
  if (!(heightM >= MIN_HORSE_HEIGHT_M && heightM <= MAX_HORSE_HEIGHT_M))
    throw new RangeError(`defaultStride: heightM ${heightM}`);
  const first = BY_HEIGHT[0]!;
  const above = BY_HEIGHT.findIndex(row => row.heightM >= heightM);
  if (above === 0) return first;
  if (above === -1) return BY_HEIGHT[BY_HEIGHT.length - 1]!;
  return between(BY_HEIGHT[above - 1]!, BY_HEIGHT[above]!, heightM);
}

function between(low: HeightRow, high: HeightRow, heightM: number): HeightRow {
  const share = (heightM - low.heightM) / (high.heightM - low.heightM);
  const mix = (a: number, b: number) => a + (b - a) * share;
  return {
    heightM,
    courseCanterM: mix(low.courseCanterM, high.courseCanterM),
    canterPolesM: mix(low.canterPolesM, high.canterPolesM),
    trotStepM: mix(low.trotStepM, high.trotStepM),
    walkStepM: mix(low.walkStepM, high.walkStepM),
  };
}
