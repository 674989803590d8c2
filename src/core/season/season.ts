import type { WorkKind } from '../suggest/step';
import { WORK_KINDS } from '../suggest/step';
import { dayInWords } from '../words/calendarDay';
import type { Rein } from '../track/rein';
import { sumWork, type Work } from '../work/passWork';
import { dayShare, dayWarnings, jumps, type WorkLimits } from '../work/workCounts';

/** Something that a pair did, or is planned to do, on a day (its number, see calendarDay). */
export type SeasonEntry = {
  pairId: string;
  horseId: string;
  /** The lesson it belongs to; null for a ride by itself. */
  lessonId: string | null;
  day: number;
  kinds: readonly WorkKind[];
  work: Work;
  /** Passes on each rein; none of what is only planned. */
  reins: Record<Rein, number>;
  isPlanned: boolean;
};

/** A day of a pair as it is drawn: sorts of work, how much of a day’s work, and whether it is still to come. */
export type SeasonDay = {
  day: number;
  kinds: WorkKind[];
  efforts: number;
  /** Of a day’s efforts; 1 is enough. */
  share: number;
  isPlanned: boolean;
};

/** A week of a pair: its days with work, passes by rein, and days of rest. */
export type SeasonWeek = { firstDay: number; days: SeasonDay[]; reins: Record<Rein, number>; restDays: number };

/** A day, or seven days, on which a horse comes to more than the yard’s limits. */
export type Overload = { horseId: string; day: number; isPlanned: boolean; words: string };

const WEEK = 7;

/** What a pair does week by week. */
export function seasonWeeks(
  entries: readonly SeasonEntry[],
  pairId: string,
  firstDay: number,
  weeks: number,
  limits: WorkLimits,
): SeasonWeek[] {
  const own = entries.filter(entry => entry.pairId === pairId);
  return Array.from({ length: weeks }, (_, week) => {
    const from = firstDay + week * WEEK;
    const inWeek = own.filter(({ day }) => day >= from && day < from + WEEK);
    const days = [...new Set(inWeek.map(({ day }) => day))].sort((a, b) => a - b);
    return {
      firstDay: from,
      days: days.map(day =>
        dayOf(
          day,
          inWeek.filter(entry => entry.day === day),
          limits,
        ),
      ),
      reins: inWeek.reduce((sum, { reins }) => ({ left: sum.left + reins.left, right: sum.right + reins.right }), {
        ...{ left: 0, right: 0 },
      }),
      restDays: WEEK - days.length,
    };
  });
}

function dayOf(day: number, entries: readonly SeasonEntry[], limits: WorkLimits): SeasonDay {
  const work = sumWork(entries.map(entry => entry.work));
  return {
    day,
    kinds: WORK_KINDS.filter(kind => entries.some(({ kinds }) => kinds.includes(kind))),
    efforts: work.lowEfforts + work.highEfforts,
    share: dayShare(work, limits),
    isPlanned: entries.every(({ isPlanned }) => isPlanned),
  };
}

/** Where horses come to more than the limits, by horse over all its riders, the soonest first. */
export function overloads(entries: readonly SeasonEntry[], limits: WorkLimits): Overload[] {
  const horseIds = [...new Set(entries.map(({ horseId }) => horseId))];
  return horseIds
    .flatMap(horseId => {
      const own = entries.filter(entry => entry.horseId === horseId);
      return [...fullDays(own, horseId, limits), ...jumpingWeeks(own, horseId, limits)];
    })
    .sort((a, b) => a.day - b.day);
}

const byDay = (entries: readonly SeasonEntry[]) =>
  [...new Set(entries.map(({ day }) => day))]
    .sort((a, b) => a - b)
    .map(day => {
      const own = entries.filter(entry => entry.day === day);
      return { day, work: sumWork(own.map(({ work }) => work)), isPlanned: own.some(one => one.isPlanned) };
    });

function fullDays(own: readonly SeasonEntry[], horseId: string, limits: WorkLimits): Overload[] {
  return byDay(own).flatMap(({ day, work, isPlanned }) =>
    dayWarnings(work, limits)
      .slice(0, 1)
      .map(words => ({ horseId, day, isPlanned, words: `${dayInWords(day)}: ${words}` })),
  );
}

/** Told once for each run of days that is too much: at the day that makes it so. */
function jumpingWeeks(own: readonly SeasonEntry[], horseId: string, limits: WorkLimits): Overload[] {
  const days = byDay(own).filter(({ work }) => jumps(work));
  return days.flatMap(({ day, isPlanned }, index) => {
    const within = days.slice(0, index + 1).filter(one => one.day > day - WEEK);
    if (within.length <= limits.jumpingDays) return [];
    const words = `${dayInWords(day)}: it jumps on ${within.length} days of seven, ${limits.jumpingDays} is the limit.`;
    return [{ horseId, day, isPlanned, words }];
  });
}

/** The entries with one lesson so many days later: earlier where that is less than nothing. */
export function withLessonMoved(entries: readonly SeasonEntry[], lessonId: string, days: number): SeasonEntry[] {
  return entries.map(entry =>
    entry.lessonId === lessonId && entry.isPlanned ? { ...entry, day: entry.day + days } : entry,
  );
}
