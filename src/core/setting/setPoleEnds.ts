import type { Arena, Wall } from '../arena/arena';
import { distanceM, type PointM } from '../geometry/pointM';
import { poleEnds, type Pole } from '../items/pole';

/** Where one end of a pole goes: its distance from a long side and from a short side. */
export type EndPlacing = { fromLongM: number; fromShortM: number };

export type PolePlacing = {
  number: number;
  pole: Pole;
  left: EndPlacing;
  right: EndPlacing;
  /** End to end from the pole before, left and right: both must tape the same. Null for the first. */
  checkFromPreviousM: number | null;
};

export type RowSetting = {
  /** The two walls that every measure is taken from, so that nobody has to change walls half-way. */
  longSide: Extract<Wall, 'left' | 'right'>;
  shortSide: Extract<Wall, 'near' | 'far'>;
  placings: PolePlacing[];
  /** Centre of the first pole to centre of the last, metres: the row's own check. */
  overallM: number;
};

/**
 * What fixes each pole of a row on the ground: both ends, measured square from the same two walls, the ones nearest to
 * the row.
 * @param poles - in the order ridden, one or more
 * @throws {RangeError} no poles
 */
export function setPoleEnds(arena: Arena, poles: readonly Pole[]): RowSetting {
  const first = poles[0];
  const last = poles[poles.length - 1];
  if (!first || !last) throw new RangeError('setPoleEnds: no poles');
  const middle: PointM = { xM: (first.at.xM + last.at.xM) / 2, yM: (first.at.yM + last.at.yM) / 2 };
  const longSide = middle.xM <= arena.widthM / 2 ? 'left' : 'right';
  const shortSide = middle.yM <= arena.lengthM / 2 ? 'near' : 'far';
  const place = (point: PointM): EndPlacing => ({
    fromLongM: longSide === 'left' ? point.xM : arena.widthM - point.xM,
    fromShortM: shortSide === 'near' ? point.yM : arena.lengthM - point.yM,
  });
  const placings = poles.map((pole, index) => {
    const ends = poleEnds(pole);
    const previous = poles[index - 1];
    return {
      number: index + 1,
      pole,
      left: place(ends.left),
      right: place(ends.right),
      checkFromPreviousM: previous ? distanceM(poleEnds(previous).left, ends.left) : null,
    };
  });
  return { longSide, shortSide, placings, overallM: distanceM(first.at, last.at) };
}
