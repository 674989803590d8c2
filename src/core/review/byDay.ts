import { grouped, type DayPass, type ReviewPass } from './reviewPass';

/** The passes of one pair on a day over one setting of a question, in the order in which they were ridden. */
export type ReviewDay = readonly DayPass[];

/** What a day says as it is kept: the readings by their names, each as JSON holds it. */
export type PackedDay = Record<string, unknown>;

/** How a reading is kept: as what JSON holds, and back, exactly. */
type Packing<Value> = {
  pack: (value: Value, day: ReviewDay) => unknown;
  unpack: (packed: unknown, day: ReviewDay) => Value;
};

/** What a day says of one thing: asked of a day it is read once, or taken as it was kept. */
export type DayReading<Value> = ((day: ReviewDay) => Value) & {
  /** What it is kept under. */
  kept: string;
  /** Reads it out of the marks of a day, to be kept. */
  packed: (day: readonly ReviewPass[]) => unknown;
};

/** What tells the day of each pass from others: it is made once. */
const keys = new WeakMap<DayPass, string>();

/** Days that were split off before, by their first pass: some, for parts of a day begin alike. */
const known = new WeakMap<DayPass, ReviewDay[]>();
const MOST_ALIKE = 4;

/** What was kept of a day that was read before. */
const packedDays = new WeakMap<ReviewDay, PackedDay>();

/**
 * What tells one day of riding from another. As small as it is, whatever is looked at (a pair, a layout, a sand, a gait) is made of
 * whole ones.
 */
function dayKey(pass: DayPass): string {
  const before = keys.get(pass);
  if (before !== undefined) return before;
  const made = `${pass.day} ${pass.pairId} ${pass.layoutVersionId} ${pass.question?.gait} ${pass.key}`;
  keys.set(pass, made);
  return made;
}

/**
 * Passes in order, day by day, in the order in which the days first come. A day whose passes are the very same as before is the same
 * object, so that what was read out of it once holds: a mark in today's lesson asks for today alone.
 */
export function daysOf(passes: readonly DayPass[]): readonly ReviewDay[] {
  const before = splitBefore.get(passes);
  if (before) return before;
  const days = [...grouped(passes, dayKey).values()].map(keptDay);
  splitBefore.set(passes, days);
  return days;
}

/** Lists that were split: nobody changes one. */
const splitBefore = new WeakMap<readonly DayPass[], readonly ReviewDay[]>();

function keptDay(passes: readonly DayPass[]): ReviewDay {
  const alike = known.get(passes[0]!) ?? [];
  const before = alike.find(day => day.length === passes.length && day.every((pass, index) => pass === passes[index]));
  if (before) return before;
  known.set(passes[0]!, [passes, ...alike].slice(0, MOST_ALIKE));
  return passes;
}

/**
 * What a day says, read out of it once. Every reading is one of those that are kept (dayReadings.ts).
 * @param kept - what it is kept under
 */
export function readDays<Value>(
  kept: string,
  read: (day: readonly ReviewPass[]) => Value,
  { pack, unpack }: Packing<Value> = AS_IT_IS as Packing<Value>,
): DayReading<Value> {
  const valueOf = (day: ReviewDay): Value => {
    const packed = packedDays.get(day);
    return packed ? unpack(packed[kept], day) : read(day.map(withMarks));
  };
  return Object.assign(onceADay(valueOf), { kept, packed: (day: readonly ReviewPass[]) => pack(read(day), day) });
}

/** The same for what needs no marks: it is reckoned from the passes of a day whether it was kept or not. */
export function onceADay<Value>(read: (day: ReviewDay) => Value): (day: ReviewDay) => Value {
  const values = new WeakMap<ReviewDay, { value: Value }>();
  return day => {
    const before = values.get(day) ?? { value: read(day) };
    values.set(day, before);
    return before.value;
  };
}

/** Values that JSON holds as they are. */
const AS_IT_IS: Packing<unknown> = { pack: value => value, unpack: packed => packed };

function withMarks(pass: DayPass): ReviewPass {
  // Whoever takes passes apart in a way that days are not kept in has to read them with their marks.
  if (!('marks' in pass)) throw new RangeError(`The marks of the pass ${pass.id} were not read.`);
  return pass as ReviewPass;
}

/** Says what a day was kept with: nothing of it is read out of marks again. */
export function takeKept(passes: ReviewDay, packed: PackedDay): void {
  const key = dayKey(passes[0]!);
  for (const pass of passes) keys.set(pass, key);
  packedDays.set(keptDay(passes), packed);
}

/** Which days they are, "2026-05-04", in order. */
export function dayNames(days: readonly ReviewDay[]): string[] {
  return [...new Set(days.map(([pass]) => pass!.day))].sort();
}
