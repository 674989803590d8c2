import type { Pole } from '../items/pole';

export type RowKit = {
  poles: { count: number; lengthM: number }[];
  /** One block under every raised end, by height. */
  blocks: { count: number; heightM: number }[];
};

/** What has to be carried out for a row, longest poles and highest blocks first. */
export function rowKit(poles: readonly Pole[]): RowKit {
  const lengths = counted(poles.map(pole => pole.lengthM));
  const heights = counted(poles.flatMap(({ raised }) => [raised.leftM, raised.rightM]).filter(heightM => heightM > 0));
  return {
    poles: lengths.map(([lengthM, count]) => ({ count, lengthM })),
    blocks: heights.map(([heightM, count]) => ({ count, heightM })),
  };
}

function counted(values: number[]): [number, number][] {
  const counts = new Map<number, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts].sort(([a], [b]) => b - a);
}
