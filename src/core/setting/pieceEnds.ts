import { pointAlong, type PointM } from '../geometry/pointM';
import type { Item } from '../items/item';

/** The places of a piece that are measured. Left and right as ridden; a guide rail has one end behind and one ahead. */
export type PieceEnd = 'left' | 'right' | 'behind' | 'ahead' | 'middle';

export type EndPoint = { end: PieceEnd; at: PointM };

const QUARTER_RAD = Math.PI / 2;

/**
 * The places of a piece that fix it on the ground: both ends of a pole, of a guide rail and of the front of a fence; the
 * middle of what has no ends. A corner's ends are those of the line halfway between its rails.
 */
export function pieceEnds(item: Item): EndPoint[] {
  switch (item.kind) {
    case 'pole':
    case 'fence': {
      const lengthM = item.kind === 'pole' ? item.lengthM : item.widthM;
      const front = pointAlong(item.at, item.headingRad, -frontOffsetM(item));
      return [
        { end: 'left', at: pointAlong(front, item.headingRad + QUARTER_RAD, lengthM / 2) },
        { end: 'right', at: pointAlong(front, item.headingRad - QUARTER_RAD, lengthM / 2) },
      ];
    }
    case 'guide':
      return [
        { end: 'behind', at: pointAlong(item.at, item.headingRad, -item.lengthM / 2) },
        { end: 'ahead', at: pointAlong(item.at, item.headingRad, item.lengthM / 2) },
      ];
    default:
      return [{ end: 'middle', at: item.at }];
  }
}

/** From the centre of a piece back to the line that is measured, metres. */
function frontOffsetM(item: Item): number {
  return item.kind === 'fence' && item.form !== 'corner' ? item.spreadM / 2 : 0;
}

/**
 * The piece as it stands when its ends lie here: its middle between them, square to the line through them. Its own length
 * stays what it is.
 * @param ends - as pieceEnds gives them, in that order
 */
export function pieceAtEnds<Piece extends Item>(item: Piece, ends: readonly PointM[]): Piece {
  const [first, second] = ends;
  if (!first) throw new RangeError(`pieceAtEnds: no ends for “${item.id}”`);
  if (!second || !('headingRad' in item)) return { ...item, at: first };
  const alongRad = Math.atan2(second.yM - first.yM, second.xM - first.xM);
  const headingRad = item.kind === 'guide' ? alongRad : alongRad + QUARTER_RAD;
  const middle = { xM: (first.xM + second.xM) / 2, yM: (first.yM + second.yM) / 2 };
  return { ...item, at: pointAlong(middle, headingRad, frontOffsetM(item)), headingRad };
}
