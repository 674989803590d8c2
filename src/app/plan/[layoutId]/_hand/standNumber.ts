import type { Shown } from '../_state/shown';

const numbers = new WeakMap<Shown, number>();
let last = 0;

/** Tells one standing layout from another, where they themselves cannot be compared: from one thread to another. */
export function standNumber(shown: Shown): number {
  const number = numbers.get(shown) ?? (last += 1);
  numbers.set(shown, number);
  return number;
}
