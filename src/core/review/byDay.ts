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

type Reading<Value> = Packing<Value> & { read: (day: readonly ReviewPass[]) => Value };

/** Every reading there is, by its name. */
const readings = new Map<string, Reading<unknown>>();

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
 * What a day says, read out of it once.
 * @param name - what it is kept under
 */
export function readDays<Value>(
  name: string,
  read: (day: readonly ReviewPass[]) => Value,
  packing: Packing<Value> = AS_IT_IS as Packing<Value>,
): (day: ReviewDay) => Value {
  const valueOf = (day: ReviewDay): Value => {
    const packed = packedDays.get(day);
    return packed && name in packed ? packing.unpack(packed[name], day) : read(day.map(withMarks));
  };
  readings.set(name, { read, ...packing } as Reading<unknown>);
  return onceADay(valueOf);
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

/** All that a day says, to be kept. */
export function packDay(day: readonly ReviewPass[]): PackedDay {
  return Object.fromEntries([...readings].map(([name, { read, pack }]) => [name, pack(read(day), day)]));
}

/** The passes of a day as they were kept, with what it says: nothing of it is read out of marks again. */
export function unpackDay(passes: ReviewDay, packed: PackedDay): void {
  const key = dayKey(passes[0]!);
  for (const pass of passes) keys.set(pass, key);
  packedDays.set(keptDay(passes), packed);
}

/** Which days they are, "2026-05-04", in order. */
export function dayNames(days: readonly ReviewDay[]): string[] {
  return [...new Set(days.map(([pass]) => pass!.day))].sort();
}
