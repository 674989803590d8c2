import type { ReviewPass } from './reviewPass';

/** The passes of a day, in the order in which they were ridden. */
export type ReviewDay = readonly ReviewPass[];

/** Days that were split off before, by their first pass: some, for passes of one pair and of all begin alike. */
const known = new WeakMap<ReviewPass, ReviewDay[]>();
const MOST_ALIKE = 4;

/**
 * Passes in order, day by day. A day whose passes are the very same as before is the same object, so that what was read out
 * of it once holds: a mark in today's lesson asks for today alone.
 */
export function daysOf(passes: readonly ReviewPass[]): ReviewDay[] {
  const days: ReviewDay[] = [];
  for (let from = 0; from < passes.length;) {
    const { day } = passes[from]!;
    let to = from + 1;
    while (to < passes.length && passes[to]!.day === day) to += 1;
    days.push(keptDay(passes, from, to));
    from = to;
  }
  return days;
}

function keptDay(passes: readonly ReviewPass[], from: number, to: number): ReviewDay {
  const alike = known.get(passes[from]!) ?? [];
  const before = alike.find(
    day => day.length === to - from && day.every((pass, index) => pass === passes[from + index]),
  );
  if (before) return before;
  const day = passes.slice(from, to);
  known.set(passes[from]!, [day, ...alike].slice(0, MOST_ALIKE));
  return day;
}

/** What a day says, read out of it once. */
export function readDays<Value>(read: (day: ReviewDay) => Value): (day: ReviewDay) => Value {
  const values = new WeakMap<ReviewDay, { value: Value }>();
  return day => {
    const before = values.get(day);
    if (before) return before.value;
    const value = read(day);
    values.set(day, { value });
    return value;
  };
}

/** Which days they are, "2026-05-04", in order. */
export function dayNames(days: readonly ReviewDay[]): string[] {
  return [...new Set(days.map(([pass]) => pass!.day))].sort();
}
