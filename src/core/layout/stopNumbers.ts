import type { Item } from '../items/item';
import type { ItemTrack } from './layout';

/**
 * The number of each stop of a track as the course has it, from 1. A pole that only helps with a fence (placing, halfway and
 * landing poles: set with it as a grid or a row) has none. On a track of poles alone every pole is what is ridden.
 */
export function stopNumbers(
  { through, legs }: Pick<ItemTrack, 'through' | 'legs'>,
  items: readonly Item[],
): StopNumber[] {
  const kinds = new Map(items.map(({ id, kind }) => [id, kind]));
  const hasFence = through.some(({ item }) => kinds.get(item) === 'fence');
  let number = 0;
  return through.map(({ item }, index) => {
    const beside = [legs[index - 1], legs[index]];
    const helps =
      hasFence && kinds.get(item) === 'pole' && beside.some(leg => leg !== undefined && leg.setting !== 'course');
    return helps ? null : (number += 1);
  });
}

/** Null: a pole that helps. */
export type StopNumber = number | null;
