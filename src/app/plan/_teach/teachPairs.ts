import type { Pair } from '@/data/queries/pairs';

/** A pair that may be taught, as it is ticked: "Quill with Ode Quillan". */
export type TeachPair = { id: string; horseId: string; name: string };

export function teachPairs(pairs: readonly Pair[]): TeachPair[] {
  return pairs.map(({ id, horseId, horseName, riderName }) => ({
    id,
    horseId,
    name: `${horseName} with ${riderName}`,
  }));
}
