import type { DayPass } from '@/core';

/** What was reckoned from passes that were read once, as long as those are held. */
const reckoned = new WeakMap<readonly DayPass[], Map<string, unknown>>();

/** The same passes are looked at in a few ways; what was asked for longest ago goes first. */
const MOST_KEPT = 6;

/** Reckons something from passes, or gives what was reckoned from the very same ones. `key`: what else it depends on. */
export function reckonedOnce<Value>(passes: readonly DayPass[], key: string, reckon: () => Value): Value {
  const kept = reckoned.get(passes) ?? new Map<string, unknown>();
  reckoned.set(passes, kept);
  const value = kept.has(key) ? (kept.get(key) as Value) : reckon();
  kept.delete(key);
  kept.set(key, value);
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
  return value;
}
