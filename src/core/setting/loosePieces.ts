import type { PointM } from '../geometry/pointM';
import type { Item } from '../items/item';
import { kitOf } from '../items/kit';
import { pieceEnds } from './pieceEnds';

/** What is carried by itself. Cups go with their stands. */
export type LooseKind = 'pole' | 'stand' | 'block' | 'cone' | 'filler' | 'marker';

/** One thing to carry: what it is, how long or high where that matters, of which item, and where it lies. */
export type LoosePiece = { kind: LooseKind; sizeM: number | null; item: string; at: PointM };

/** Everything that is carried for an item, one by one. */
export function loosePieces(item: Item): LoosePiece[] {
  const kit = kitOf(item);
  const ends = pieceEnds(item).map(({ at }) => at);
  const lengthM = item.kind === 'fence' ? item.widthM : 'lengthM' in item ? item.lengthM : null;
  const at = (index: number) => ends[index % ends.length]!;
  const many = (count: number, kind: LooseKind, sizeM: number | null, where: (index: number) => PointM) =>
    Array.from({ length: count }, (_, index) => ({ kind, sizeM, item: item.id, at: where(index) }));
  const isUpOnRightOnly = item.kind === 'pole' && item.raised.leftM === 0;
  return [
    ...many(kit.stands, 'stand', null, at),
    ...many(kit.poles, 'pole', lengthM, () => item.at),
    ...many(kit.blocks, 'block', item.kind === 'block' ? item.heightM : null, index =>
      item.kind === 'pole' ? at(isUpOnRightOnly ? 1 : index) : item.at,
    ),
    ...many(kit.cones, 'cone', null, () => item.at),
    ...many(kit.fillers, 'filler', null, () => item.at),
    ...many(kit.markers, 'marker', null, () => item.at),
  ];
}
