import { mean } from '../statistics/moments';
import { sumWork, type Work } from '../work/passWork';
import { workOfPasses } from '../work/workCounts';
import { daysOf, onceADay, readDays, type ReviewDay } from './byDay';
import { grouped, type DayPass } from './reviewPass';
import { qualities } from './reinReview';

/** How often one thing went wrong, on each rein. */
export type FaultCount = {
  what: string;
  left: number;
  right: number;
  /** On tracks that change the rein. */ without: number;
};

/** Faults by kind, the most frequent first; one of a kind counts once for each place in a pass. */
export function faultCounts(passes: readonly DayPass[]): FaultCount[] {
  const counts = new Map<string, OnReins>();
  for (const day of daysOf(passes))
    for (const [what, { left, right, without }] of faultsOf(day)) {
      const count = counts.get(what) ?? NONE;
      counts.set(what, { left: count.left + left, right: count.right + right, without: count.without + without });
    }
  return [...counts]
    .map(([what, count]) => ({ what, ...count }))
    .sort((a, b) => timesOf(b) - timesOf(a) || a.what.localeCompare(b.what));
}

type OnReins = Omit<FaultCount, 'what'>;
const NONE: OnReins = { left: 0, right: 0, without: 0 };

/** How often a fault was seen in all. */
export const timesOf = ({ left, right, without }: OnReins): number => left + right + without;

/** The faults of a day; passes have them with them, whether their marks were read or not. */
const faultsOf = onceADay(day => {
  const counts = new Map<string, OnReins>();
  for (const pass of day) {
    if (pass.isVoid) continue;
    for (const { what } of pass.faults) {
      const count = { ...(counts.get(what) ?? NONE) };
      count[pass.rein ?? 'without'] += 1;
      counts.set(what, count);
    }
  }
  return counts;
});

/** A day of riding: what it asked of the horse, and how good it was. */
export type RiddenDay = Work & {
  day: string;
  passes: number;
  clean: number;
  /** The mean mark for quality; null where none was given. */
  quality: number | null;
};

/** Day by day, in order. */
export function riddenDays(passes: readonly DayPass[]): RiddenDay[] {
  return [...grouped(daysOf(passes), ([pass]) => pass!.day)]
    .map(([day, parts]) => riddenDay(day, parts))
    .sort((a, b) => (a.day < b.day ? -1 : 1));
}

function riddenDay(day: string, parts: readonly ReviewDay[]): RiddenDay {
  const counted = parts.flat().filter(pass => !pass.isVoid);
  const marked = parts.flatMap(part => countedOf(part).qualities);
  return {
    ...sumWork(parts.map(part => countedOf(part).work)),
    ...{ day, passes: counted.length, quality: marked.length > 0 ? mean(marked) : null },
    clean: counted.filter(({ faults }) => faults.length === 0).length,
  };
}

/** What a day asked of the horse, and the marks for quality of what counts of it. */
export const countedOf = readDays('work', (own): { work: Work; qualities: number[] } => ({
  work: workOfPasses(own, ({ ground }) => ground.work),
  qualities: qualities(own.filter(pass => !pass.isVoid)),
}));

/** A week of riding, from its Monday: efforts, and the days on which the horse jumped. */
export type RiddenWeek = {
  monday: string;
  lowEfforts: number;
  highEfforts: number;
  jumpingDays: number;
  passes: number;
};

/**
 * Week by week, in order, from days in order.
 * @param mondayOf - the Monday of a day's week, both as "2026-05-04"
 */
export function riddenWeeks(days: readonly RiddenDay[], mondayOf: (day: string) => string): RiddenWeek[] {
  const weeks = new Map<string, RiddenWeek>();
  for (const { day, lowEfforts, highEfforts, passes } of days) {
    const monday = mondayOf(day);
    const week = weeks.get(monday) ?? { monday, lowEfforts: 0, highEfforts: 0, jumpingDays: 0, passes: 0 };
    weeks.set(monday, {
      ...{ monday, lowEfforts: week.lowEfforts + lowEfforts, highEfforts: week.highEfforts + highEfforts },
      jumpingDays: week.jumpingDays + (lowEfforts + highEfforts > 0 ? 1 : 0),
      passes: week.passes + passes,
    });
  }
  return [...weeks.values()];
}
