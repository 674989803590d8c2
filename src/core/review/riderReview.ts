import { holm } from '../statistics/holm';
import { fisherExact, type Share } from '../statistics/proportions';
import { byChance } from './byChance';
import { dayNames, daysOf, readDays } from './byDay';
import type { Claim } from './claims';
import type { DayPass } from './reviewPass';
import { LEAST_PASSES, ofAll, percent } from './shareWords';

/** How often something was seen of the rider: in how many passes, in the first and in the second half of the days. */
export type RiderMark = { what: string; passes: number; early: Share; late: Share };

/** What was watched in the rider, the most frequent first; passes in which nothing of the rider was marked count too. */
export function riderReview(passes: readonly DayPass[]): RiderMark[] {
  const days = daysOf(passes);
  const told = days.filter(day => ridersOf(day).passes > 0);
  const names = dayNames(told);
  const half = names[Math.floor(names.length / 2)];
  const sum = (of: readonly (typeof told)[number][], what: string): Share =>
    of
      .map(ridersOf)
      .reduce((share, one) => ({ of: share.of + one.passes, hits: share.hits + (one.marks[what] ?? 0) }), {
        of: 0,
        hits: 0,
      });
  const all = [...new Set(told.flatMap(day => Object.keys(ridersOf(day).marks)))];
  return all
    .map(what => ({
      what,
      passes: sum(told, what).hits,
      early: sum(half === undefined ? [] : told.filter(([pass]) => pass!.day < half), what),
      late: sum(half === undefined ? told : told.filter(([pass]) => pass!.day >= half), what),
    }))
    .sort((a, b) => b.passes - a.passes);
}

/** The passes of a day that count, and in how many of them each thing was seen of the rider. */
export const ridersOf = readDays('riders', (day): { passes: number; marks: Record<string, number> } => {
  const counted = day.filter(pass => !pass.isVoid);
  const marks: Record<string, number> = {};
  for (const pass of counted)
    for (const what of new Set(pass.marks.flatMap(mark => (mark.kind === 'rider' ? [mark.what] : []))))
      marks[what] = (marks[what] ?? 0) + 1;
  return { passes: counted.length, marks };
});

/** What is seen less often of the rider than it was, or more often; all of it looked at together. */
export function riderClaims(marks: readonly RiderMark[]): Claim[] {
  const looked = marks
    .filter(({ early, late }) => Math.min(early.of, late.of) >= LEAST_PASSES)
    .map(mark => ({ ...mark, p: fisherExact(mark.early, mark.late) }));
  const holds = holm(looked.map(({ p }) => p));
  return looked
    .filter((_, index) => holds[index])
    .map(({ what, early, late, p }) => ({
      about: 'rider',
      text: `“${what}” is seen ${late.hits / late.of < early.hits / early.of ? 'less' : 'more'} often of the rider: in ${percent(early)} of the passes at first, in ${percent(late)} now.`,
      because: `${ofAll(early)} passes in the first half of the days, ${ofAll(late)} in the second (Fisher’s exact test): ${byChance(p)}.`,
      p,
    }));
}
