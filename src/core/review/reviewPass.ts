import type { PassRecord } from '../record/passRecord';
import type { RiddenGround } from './ground';

/** A pass with what it was ridden over and the day it was ridden on, by the yard's clock ("2026-05-04"). */
export type ReviewPass = PassRecord & { ground: RiddenGround; day: string };

/** The month of a day: what a season is looked at by. */
export const monthOf = (day: string) => day.slice(0, 7);

/** Groups by a key, in the order in which the keys first come. */
export function grouped<Value>(values: readonly Value[], keyOf: (value: Value) => string): Map<string, Value[]> {
  const groups = new Map<string, Value[]>();
  for (const value of values) {
    const key = keyOf(value);
    const group = groups.get(key);
    if (group) group.push(value);
    else groups.set(key, [value]);
  }
  return groups;
}
