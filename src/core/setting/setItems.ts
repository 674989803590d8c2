import type { Arena, Wall } from '../arena/arena';
import { distanceM, pointAlong, type PointM } from '../geometry/pointM';
import type { Item } from '../items/item';

/** Where one end of a piece goes: its distance from a long side and from a short side. */
export type EndPlacing = { fromLongM: number; fromShortM: number };

export type ItemPlacing = {
  number: number;
  item: Item;
  /** Its left end, as ridden; of what has no ends, its middle. */
  left: EndPlacing;
  right: EndPlacing | null;
  /** Left end to left end from the piece before; null for the first. */
  checkFromPreviousM: number | null;
};

export type LayoutSetting = {
  /** The two walls that every measure is taken from, so that nobody has to change walls half-way. */
  longSide: Extract<Wall, 'left' | 'right'>;
  shortSide: Extract<Wall, 'near' | 'far'>;
  placings: ItemPlacing[];
};

/**
 * What fixes each piece on the ground: its ends, measured square from the same two walls, the ones nearest to the middle
 * of them all.
 * @param items - in the order in which they are set, one or more
 * @throws {RangeError} no items
 */
export function setItems(arena: Arena, items: readonly Item[]): LayoutSetting {
  if (items.length === 0) throw new RangeError('setItems: no items');
  const middle = (of: (at: PointM) => number) => items.reduce((sum, { at }) => sum + of(at), 0) / items.length;
  const longSide = middle(({ xM }) => xM) <= arena.widthM / 2 ? 'left' : 'right';
  const shortSide = middle(({ yM }) => yM) <= arena.lengthM / 2 ? 'near' : 'far';
  const place = (point: PointM): EndPlacing => ({
    fromLongM: longSide === 'left' ? point.xM : arena.widthM - point.xM,
    fromShortM: shortSide === 'near' ? point.yM : arena.lengthM - point.yM,
  });
  const placings = items.map((item, index) => {
    const ends = itemEnds(item);
    const previous = items[index - 1];
    return {
      number: index + 1,
      item,
      left: place(ends.left),
      right: ends.right && place(ends.right),
      checkFromPreviousM: previous ? distanceM(itemEnds(previous).left, ends.left) : null,
    };
  });
  return { longSide, shortSide, placings };
}

/** The two ends of a piece, left and right as ridden; a guide rail's are behind and ahead. */
function itemEnds(item: Item): { left: PointM; right: PointM | null } {
  switch (item.kind) {
    case 'pole':
      return across(item.at, item.headingRad, item.lengthM);
    case 'fence':
      return across(item.at, item.headingRad, item.widthM);
    case 'guide':
      return across(item.at, item.headingRad + Math.PI / 2, item.lengthM);
    default:
      return { left: item.at, right: null };
  }
}

function across(at: PointM, headingRad: number, widthM: number) {
  return {
    left: pointAlong(at, headingRad + Math.PI / 2, widthM / 2),
    right: pointAlong(at, headingRad - Math.PI / 2, widthM / 2),
  };
}
