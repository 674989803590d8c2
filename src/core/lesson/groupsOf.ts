/** A pair as it is put into a group: how long its horse strides, metres. */
export type PairToGroup = { id: string; strideM: number };

/** Common practice, no source: more pairs than this stand about waiting. */
export const MOST_IN_GROUP = 4;

/** How many groups so many pairs ride in. */
export function groupsFor(pairs: number): number {
  return Math.max(1, Math.ceil(pairs / MOST_IN_GROUP));
}

/**
 * Deals pairs into groups of like strides, the shortest first, so that one setting of the ground serves each group; the groups
 * are as even in size as they can be.
 * @throws {RangeError} fewer than one group, or a stride that is no length
 */
export function groupsOf(pairs: readonly PairToGroup[], groups: number): string[][] {
  if (!(Number.isInteger(groups) && groups >= 1)) throw new RangeError(`groupsOf into ${groups}`);
  if (pairs.some(({ strideM }) => !(strideM > 0 && strideM < Infinity))) throw new RangeError('groupsOf strides');
  const sorted = [...pairs].sort((a, b) => a.strideM - b.strideM);
  const cut = (group: number) => Math.round((group * sorted.length) / groups);
  return Array.from({ length: groups }, (_, group) => sorted.slice(cut(group), cut(group + 1)).map(({ id }) => id));
}
