import type { Share } from '../statistics/proportions';
import { daysOf, readDays } from './byDay';
import type { DayPass } from './reviewPass';

/** How often the head was looked at, and was as wanted. */
export function headsAsWanted(passes: readonly DayPass[]): Share {
  const heads = daysOf(passes).map(headsOf);
  return heads.reduce((sum, { of, hits }) => ({ of: sum.of + of, hits: sum.hits + hits }), { of: 0, hits: 0 });
}

/** The same of a day. */
export const headsOf = readDays('heads', (day): Share => {
  const heads = day
    .filter(pass => !pass.isVoid)
    .flatMap(({ marks }) => marks.flatMap(mark => (mark.kind === 'head' ? [mark.height] : [])));
  return { of: heads.length, hits: heads.filter(height => height === 'as wanted').length };
});
