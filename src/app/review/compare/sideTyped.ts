import type { Rein, SideChoice } from '@/core';
import { z } from 'zod';

const Day = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/)
  .refine(
    day =>
      !Number.isNaN(Date.parse(`${day}T00:00:00Z`)) && day === new Date(`${day}T00:00:00Z`).toISOString().slice(0, 10),
  );
const Reins = z.enum(['left', 'right']);

/** What the address of the page says of both sides: `aPair`, `bFrom` and so on; what is not there is not asked for. */
export type AddressWords = Record<string, string | string[] | undefined>;

/** What there is to choose from. */
export type Choices = { pairIds: readonly string[]; layoutIds: readonly string[]; versionIds: readonly string[] };

/** One side as its address says it, and what of that cannot be. */
export function sideTyped(
  words: AddressWords,
  side: 'a' | 'b',
  choices: Choices,
): { side: SideChoice; faults: string[] } {
  const faults: string[] = [];
  const typed = (what: string) => {
    const value = words[`${side}${what}`];
    return typeof value === 'string' && value !== '' ? value : undefined;
  };
  const known = (what: string, ids: readonly string[], fault: string) => {
    const id = typed(what);
    if (id === undefined || ids.includes(id)) return id;
    faults.push(fault);
    return undefined;
  };
  const day = (what: string) => {
    const value = typed(what);
    if (value === undefined || Day.safeParse(value).success) return value;
    faults.push(`“${value}” is no day: it is left out.`);
    return undefined;
  };
  const rein = Reins.safeParse(typed('Rein'));
  const choice: SideChoice = {
    pairId: known('Pair', choices.pairIds, 'That pair is not in this yard: all pairs are looked at.'),
    layoutId: known('Layout', choices.layoutIds, 'That layout is not in this yard: all layouts are looked at.'),
    layoutVersionId: known('Setting', choices.versionIds, 'That setting was not ridden: all settings are looked at.'),
    fromDay: day('From'),
    untilDay: day('Until'),
    rein: rein.success ? (rein.data satisfies Rein) : undefined,
  };
  if (choice.fromDay !== undefined && choice.untilDay !== undefined && choice.untilDay < choice.fromDay)
    faults.push('The last day is before the first: nothing was ridden between them.');
  return { side: choice, faults };
}

type Names = {
  pair: (id: string) => string;
  layout: (id: string) => string;
  setting: (id: string) => string;
  day: (day: string) => string;
};

/** What a side is called: of what tells it from the other, else of all that was chosen. */
export function sideName(side: SideChoice, other: SideChoice, names: Names): string {
  const parts: [keyof SideChoice, string][] = [];
  const { pairId, layoutId, layoutVersionId, fromDay, untilDay, rein } = side;
  if (pairId !== undefined) parts.push(['pairId', names.pair(pairId)]);
  if (layoutId !== undefined) parts.push(['layoutId', names.layout(layoutId)]);
  if (layoutVersionId !== undefined) parts.push(['layoutVersionId', names.setting(layoutVersionId)]);
  if (rein !== undefined) parts.push(['rein', `the ${rein} rein`]);
  if (fromDay !== undefined && fromDay === untilDay) parts.push(['fromDay', names.day(fromDay)]);
  else if (fromDay !== undefined && untilDay !== undefined)
    parts.push(['fromDay', `${names.day(fromDay)} to ${names.day(untilDay)}`]);
  else if (fromDay !== undefined) parts.push(['fromDay', `from ${names.day(fromDay)} on`]);
  else if (untilDay !== undefined) parts.push(['untilDay', `until ${names.day(untilDay)}`]);
  const isOwn = (key: keyof SideChoice) =>
    key === 'fromDay' || key === 'untilDay'
      ? fromDay !== other.fromDay || untilDay !== other.untilDay
      : side[key] !== other[key];
  const told = parts.filter(([key]) => isOwn(key));
  const said = (told.length > 0 ? told : parts).map(([, words]) => words);
  return said.length === 0 ? 'all that was ridden' : said.join(', ');
}
