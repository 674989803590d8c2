import { distanceM, type PointM } from '../geometry/pointM';
import type { Layout } from '../layout/layout';
import { arenaPoints, samePoint, type KnownPoint } from './knownPoint';
import { measuredLengths } from './measure';
import type { PieceEnd } from './pieceEnds';
import { measuredFrom, measuresOf, placedPoint, type Placing } from './placing';
import type { SetPiece } from './settingSheet';
import type { Survey, Way } from './survey';

/** One more length to tape once a piece lies: it comes out wrong if any of its measures was wrong. */
export type CheckMeasure = { end: PieceEnd; from: KnownPoint; lengthM: number };

/** A mistake of this size must show, metres, and by so much. */
const MISTAKE_M = 0.1;
const SHOWS_M = 0.04;
const LONGEST_TAPE_M = 30;

type Unchecked = Pick<SetPiece, 'item' | 'points'> & { way: Way };

/**
 * The shortest length between an end of a piece and a point that is known by then, that shows a mistake of 10 cm in any of
 * its measures by 4 cm or more; else the one that shows most. Null where nothing is in reach of a tape.
 */
export function checkMeasure(
  { arena }: Pick<Layout, 'arena'>,
  piece: Unchecked,
  setBefore: readonly SetPiece[],
  survey: Survey,
): CheckMeasure | null {
  const known = [
    ...arenaPoints(arena),
    ...setBefore.flatMap(({ item, points }) =>
      points.map(({ end, at }) => ({ point: { kind: 'end', item: item.id, end } as KnownPoint, at })),
    ),
  ];
  const mistaken = mistakes(piece, survey);
  const candidates = piece.points.flatMap(({ end, at, placing }, index) =>
    known
      .filter(({ point }) => !isMeasured(placing, point))
      .map(({ point, at: from }) => {
        const lengthM = distanceM(from, at);
        const showsM = Math.min(...mistaken.map(ends => Math.abs(distanceM(from, ends[index]!) - lengthM)));
        return { end, from: point, lengthM, showsM: Math.min(showsM, SHOWS_M) };
      })
      .filter(({ lengthM }) => lengthM > 0.3 && lengthM <= LONGEST_TAPE_M),
  );
  const best = candidates.reduce<(typeof candidates)[number] | null>(
    (found, next) =>
      !found || next.showsM > found.showsM + 1e-6 || (next.showsM > found.showsM - 1e-6 && next.lengthM < found.lengthM)
        ? next
        : found,
    null,
  );
  return best && { end: best.end, from: best.from, lengthM: best.lengthM };
}

/** A tape that was pulled already checks nothing. */
function isMeasured(placing: Placing, point: KnownPoint): boolean {
  return placing.how !== 'wall' && measuredFrom(placing).some(from => samePoint(from, point));
}

/** Where the ends would lie for each measure of the piece, had it been taken 10 cm too long. */
function mistakes({ points }: Unchecked, survey: Survey): PointM[][] {
  const ids = new Set(points.flatMap(({ placing }) => measuresOf(placing)));
  const measures = survey.measures();
  return measures
    .filter(({ id, follows }) => ids.has(id) && !follows)
    .map(wrong => {
      const lengths = measuredLengths(measures, ({ id, lengthM }) => lengthM + (id === wrong.id ? MISTAKE_M : 0));
      return points.map(({ placing }) => placedPoint(survey.arena, placing, id => lengths.get(id)!, survey.truePoint));
    });
}
