import type { Wall } from '../arena/arena';
import type { PointM } from '../geometry/pointM';
import type { Item } from '../items/item';
import type { PieceEnd } from './pieceEnds';
import type { Placing } from './placing';
import type { KnownPoint } from './knownPoint';
import type { Towards } from './riddenTowards';

/** What a check is taped to: a point that is known by then, a wall, square, or a place on a wall so far from a point. */
export type CheckFrom =
  | { kind: 'point'; point: KnownPoint }
  | { kind: 'wall'; wall: Wall }
  | { kind: 'on-wall'; wall: Wall; point: KnownPoint; towards: KnownPoint; alongM: number };

/** One more length to tape once a piece lies: it comes out wrong if one of its measures was wrong. */
export type CheckMeasure = { end: PieceEnd; from: CheckFrom; lengthM: number };

export type SetPoint = { end: PieceEnd; at: PointM; placing: Placing };

/** A piece as it is set: how each of its ends is found, and what would show a mistake in any of its measures. */
export type SetPiece = {
  number: number;
  item: Item;
  points: SetPoint[];
  checks: CheckMeasure[];
  /** Which way a fence is ridden from its front; null for what has no front. */
  towards: Towards | null;
  /** Whether it hangs on other pieces or pegs. */
  hangsOn: KnownPoint[];
};

/** A peg to be put in first: the centre of an arc, or a mark to measure from, which serves no piece by itself. */
export type SetPeg = { peg: string; at: PointM; placing: Placing; serves: string[] };
