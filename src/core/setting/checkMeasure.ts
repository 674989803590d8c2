import type { Arena, Wall } from '../arena/arena';
import { distanceM, type PointM } from '../geometry/pointM';
import { arenaPoints, atWall, fromWall, isWallThere, pointsOnWall, samePoint, type KnownPoint } from './knownPoint';
import { LONGEST_TAPE_M, type Mark } from './marks';
import { measuredLengths } from './measure';
import type { PieceEnd } from './pieceEnds';
import { measuredFrom, measuresOf, placedPoint, type Placing } from './placing';
import type { SetPeg, SetPiece } from './settingSheet';
import type { Survey } from './survey';

/** What a check is taped to: a point that is known by then, a wall, square, or a place on a wall so far from a point. */
export type CheckFrom =
  | { kind: 'point'; point: KnownPoint }
  | { kind: 'wall'; wall: Wall }
  | { kind: 'on-wall'; wall: Wall; point: KnownPoint; towards: KnownPoint; alongM: number };

/** One more length to tape once a piece lies: it comes out wrong if one of its measures was wrong. */
export type CheckMeasure = { end: PieceEnd; from: CheckFrom; lengthM: number };

/** A mistake of this size must show, metres, and by so much. */
const MISTAKE_M = 0.1;
const SHOWS_M = 0.04;
const WALLS: readonly Wall[] = ['left', 'right', 'near', 'far'];
/** What a check costs beside its length, in metres of tape: by eye square to a wall, a place on a wall or a mark more to find. */
const COST_M = { point: 0, wall: 8, 'on-wall': 20, mark: 40 } as const;

type Unchecked = Pick<SetPiece, 'item' | 'points'>;
type Candidate = CheckMeasure & { shows: Set<number>; costM: number };

/**
 * The checks of a piece: lengths between its ends and points that are known by then, or walls, such that a slip of 10 cm
 * in any of its measures, either way, shows in one of them by 4 cm or more. As few as will do, then the shortest; one
 * that nothing within a tape's reach would show is left out.
 * @param marks - pegs that would be put in for a check where nothing else shows a slip
 */
export function checkMeasures(
  survey: Survey,
  piece: Unchecked,
  setBefore: readonly (SetPiece | SetPeg)[],
  marks: readonly Mark[],
): CheckMeasure[] {
  const slips = slipsOf(piece, survey);
  const candidates = candidatesOf(survey.arena, piece, setBefore, marks, slips);
  const checks: Candidate[] = [];
  const open = new Set(slips.keys());
  while (open.size > 0) {
    const newly = (candidate: Candidate) => [...candidate.shows].filter(slip => open.has(slip)).length;
    let best: Candidate | null = null;
    let bestShows = 0;
    for (const candidate of candidates) {
      const shows = newly(candidate);
      if (shows > bestShows || (best && shows === bestShows && candidate.costM < best.costM - 1e-9))
        [best, bestShows] = [candidate, shows];
    }
    if (!best || bestShows === 0) break;
    checks.push(best);
    for (const slip of best.shows) open.delete(slip);
  }
  return checks.map(({ end, from, lengthM }) => ({ end, from, lengthM }));
}

function candidatesOf(
  arena: Arena,
  { item, points }: Unchecked,
  setBefore: readonly (SetPiece | SetPeg)[],
  marks: readonly Mark[],
  slips: readonly PointM[][],
): Candidate[] {
  const own = new Set(points.flatMap(({ placing }) => measuresOf(placing)));
  const known = [...arenaPoints(arena), ...setBefore.flatMap(set => placesOf(set, own))];
  return points.flatMap(({ end, at, placing }, index) => {
    const candidate = (
      from: CheckFrom,
      lengthOf: (to: PointM, ends: readonly PointM[]) => number,
      costM: number,
    ): Candidate[] => {
      const lengthM = lengthOf(
        at,
        points.map(point => point.at),
      );
      if (!(lengthM > 0.3 && lengthM <= LONGEST_TAPE_M)) return [];
      const shows = slips.flatMap((ends, slip) =>
        Math.abs(lengthOf(ends[index]!, ends) - lengthM) >= SHOWS_M + HAIR_M ? [slip] : [],
      );
      return shows.length === 0 ? [] : [{ end, from, lengthM, shows: new Set(shows), costM: lengthM + costM }];
    };
    const fromPoint = (point: KnownPoint, from: PointM, costM: number) =>
      isMeasured(placing, point) || isFar(from, at)
        ? []
        : candidate({ kind: 'point', point }, to => distanceM(from, to), costM);
    const other = points[1 - index];
    return [
      ...known.flatMap(({ point, at: from }) => fromPoint(point, from, COST_M.point)),
      ...marks.flatMap(mark => fromPoint({ kind: 'peg', peg: mark.peg }, mark.at, COST_M.mark)),
      ...(other
        ? candidate(
            { kind: 'point', point: { kind: 'end', item: item.id, end: other.end } },
            (to, ends) => distanceM(ends[1 - index]!, to),
            COST_M.point,
          )
        : []),
      ...WALLS.flatMap(wall =>
        ((placing.how === 'wall' || placing.how === 'swing') && placing.wall === wall) ||
        !isWallThere(arena, wall, fromWall(arena, wall, at).alongM)
          ? []
          : candidate({ kind: 'wall', wall }, to => fromWall(arena, wall, to).inM, COST_M.wall),
      ),
      ...placesOnWall(arena, at, placing).flatMap(({ place, from }) =>
        candidate(from, to => distanceM(place, to), COST_M['on-wall']),
      ),
    ];
  });
}

/** A hair more than shows, so that a length read to the millimetre still does. */
const HAIR_M = 5e-4;
/** Places on a wall are told to the tenth of a metre. */
const PLACE_M = 0.1;

/**
 * Places on the wall that a piece is set from, as far to either side of it as it lies in, or half as far: taped to them,
 * both of its slips show.
 */
function placesOnWall(arena: Arena, at: PointM, placing: Placing): { place: PointM; from: CheckFrom }[] {
  if (placing.how !== 'wall') return [];
  const { wall } = placing;
  const { inM, alongM } = fromWall(arena, wall, at);
  const points = pointsOnWall(arena, wall);
  // Half as far where the tape would not reach.
  return [inM, -inM, inM / 2, -inM / 2].flatMap(asideM => {
    const wishedM = alongM + asideM;
    const start = points.reduce((best, next) =>
      Math.abs(next.alongM - wishedM) < Math.abs(best.alongM - wishedM) ? next : best,
    );
    const fromStartM = Math.round(Math.abs(wishedM - start.alongM) / PLACE_M) * PLACE_M;
    const way = Math.sign(wishedM - start.alongM);
    const towards = way > 0 ? points[points.length - 1]! : points[0]!;
    const placeM = start.alongM + way * fromStartM;
    if (
      fromStartM === 0 ||
      fromStartM > LONGEST_TAPE_M ||
      placeM < 0 ||
      placeM > points[points.length - 1]!.alongM ||
      !isWallThere(arena, wall, placeM)
    )
      return [];
    const from: CheckFrom = {
      ...{ kind: 'on-wall', wall, point: start.point, towards: towards.point },
      alongM: fromStartM,
    };
    return [{ place: atWall(arena, wall, { alongM: placeM, inM: 0 }), from }];
  });
}

const isFar = (a: PointM, b: PointM) =>
  Math.abs(a.xM - b.xM) > LONGEST_TAPE_M || Math.abs(a.yM - b.yM) > LONGEST_TAPE_M;

/** Where ends and pegs are; those of pieces that share a measure would slip with this one and show nothing. */
function placesOf(set: SetPiece | SetPeg, own: ReadonlySet<string>): { point: KnownPoint; at: PointM }[] {
  if ('peg' in set) return [{ point: { kind: 'peg', peg: set.peg }, at: set.at }];
  if (set.points.some(({ placing }) => measuresOf(placing).some(id => own.has(id)))) return [];
  return set.points.map(({ end, at }) => ({ point: { kind: 'end', item: set.item.id, end }, at }));
}

/** A tape that was pulled already checks nothing. */
function isMeasured(placing: Placing, point: KnownPoint): boolean {
  if (placing.how === 'wall') return false;
  // What only says which way a tape is held was not taped to.
  const taped = placing.how === 'swing' ? [placing.from] : measuredFrom(placing);
  return taped.some(from => samePoint(from, point));
}

/** Where the ends would lie for each measure of the piece, had it been taken 10 cm too long or too short. */
function slipsOf({ points }: Unchecked, survey: Survey): PointM[][] {
  const ids = new Set(points.flatMap(({ placing }) => measuresOf(placing)));
  const measures = survey.measuresFor([...ids]);
  return measures
    .filter(({ id, follows }) => ids.has(id) && !follows)
    .flatMap(wrong =>
      [MISTAKE_M, -MISTAKE_M].map(slipM => {
        const lengths = measuredLengths(measures, ({ id, lengthM }) =>
          Math.max(0, lengthM + (id === wrong.id ? slipM : 0)),
        );
        return points.map(({ placing }) =>
          placedPoint(survey.arena, placing, id => lengths.get(id)!, survey.truePoint),
        );
      }),
    );
}
