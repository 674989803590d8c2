import type { ReviewPass } from '@/core';

/** What was reckoned from passes that were read once, as long as those are held. */
const reckoned = new WeakMap<readonly ReviewPass[], { key: string; value: unknown }>();

/** Reckons something from passes, or gives what was reckoned from the very same ones. `key`: what else it depends on. */
export function reckonedOnce<Value>(passes: readonly ReviewPass[], key: string, reckon: () => Value): Value {
  const before = reckoned.get(passes);
  if (before?.key === key) return before.value as Value;
  const value = reckon();
  reckoned.set(passes, { key, value });
  return value;
}
