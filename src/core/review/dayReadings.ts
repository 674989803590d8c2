import { takeKept, type DayReading, type PackedDay, type ReviewDay } from './byDay';
import { countsOf } from './countReview';
import { countedOf } from './faultReview';
import { gaitsOf } from './gaitReview';
import { headsOf } from './headReview';
import { dayQualities, reinsOf } from './reinReview';
import type { ReviewPass } from './reviewPass';
import { ridersOf } from './riderReview';
import { dayRides, daySpots } from './sandVisits';
import { evidenceOf } from './strideReview';
import { temposOf } from './tempoReview';

/** All that is kept of a day. What is bundled without one of them would keep days without it: so they are named here. */
export const DAY_READINGS: readonly DayReading<unknown>[] = [
  ...[countedOf, countsOf, dayQualities, dayRides, daySpots, evidenceOf, gaitsOf, headsOf, reinsOf, ridersOf, temposOf],
];

/** All that a day says, to be kept. */
export function packDay(day: readonly ReviewPass[]): PackedDay {
  return Object.fromEntries(DAY_READINGS.map(({ kept, packed }) => [kept, packed(day)]));
}

/**
 * The passes of a day as they were kept, with what it says.
 * @throws {RangeError} where something is missing that is kept of a day
 */
export function unpackDay(passes: ReviewDay, packed: PackedDay): void {
  for (const { kept } of DAY_READINGS)
    if (!(kept in packed)) throw new RangeError(`unpackDay: a day was kept without its ${kept}`);
  takeKept(passes, packed);
}
