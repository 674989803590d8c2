import type { Arena, Wall } from '../arena/arena';
import { distanceM, type PointM } from '../geometry/pointM';
import { arenaPoints, atWall, fromWall, isWallThere, pointsOnWall, samePoint, type KnownPoint } from './knownPoint';
import { LONGEST_TAPE_M, type Mark } from './marks';
import { measuredLengths } from './measure';
import { measuredFrom, measuresOf, placedPoint, type Placing } from './placing';
import type { CheckFrom, CheckMeasure, SetPeg, SetPiece } from './setPiece';
import type { Survey } from './survey';

/** A mistake of this size must show, metres, and by so much. */
const MISTAKE_M = 0.1;
const SHOWS_M = 0.04;
const WALLS: readonly Wall[] = ['left', 'right', 'near', 'far'];
/** What a check costs beside its length, in metres of tape: by eye square to a wall, a place on a wall or a mark more to find. */
const COST_M = { point: 0, wall: 8, 'on-wall': 20, mark: 40 } as const;

type Unchecked = Pick<SetPiece, 'item' | 'points'>;
/** `shows`: the slips that show in it, a bit for each. */
type Candidate = CheckMeasure & { shows: number; costM: number };

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
  let open = (1 << slips.length) - 1;
  while (open !== 0) {
    let best: Candidate | null = null;
    let bestShows = 0;
    for (const candidate of candidates) {
      const shows = bitsOf(candidate.shows & open);
      if (shows > bestShows || (best && shows === bestShows && candidate.costM < best.costM - 1e-9))
        [best, bestShows] = [candidate, shows];
    }
    if (!best || bestShows === 0) break;
    checks.push(best);
    open &= ~best.shows;
  }
  return checks.map(({ end, from, lengthM }) => ({ end, from, lengthM }));
}

function bitsOf(mask: number): number {
  let bits = 0;
  for (let left = mask; left !== 0; left &= left - 1) bits += 1;
  return bits;
}

/** Of the candidates that show the same slips the cheapest, in the order they were found in: no other is ever chosen. */
function candidatesOf(
  arena: Arena,
  { item, points }: Unchecked,
  setBefore: readonly (SetPiece | SetPeg)[],
  marks: readonly Mark[],
  slips: readonly PointM[][],
): Candidate[] {
  const own = new Set(points.flatMap(({ placing }) => measuresOf(placing)));
  const known = placesKnown(arena, setBefore);
  const isOwn = ({ measures }: Place) => measures.some(id => own.has(id));
  const found = new Map<number, Candidate>();
  const all = (1 << slips.length) - 1;
  // One that shows every slip is chosen before all that cost more: they need not be looked at.
  let boundM = Infinity;
  const ends = points.map(({ at }) => at);
  for (const [index, { end, at, placing }] of points.entries()) {
    const offer = (
      from: () => CheckFrom,
      lengthOf: (to: PointM, all: readonly PointM[]) => number,
      costM: number,
    ): void => {
      const lengthM = lengthOf(at, ends);
      if (!(lengthM > 0.3 && lengthM <= LONGEST_TAPE_M) || lengthM + costM > boundM) return;
      let shows = 0;
      for (let slip = 0; slip < slips.length; slip += 1)
        if (Math.abs(lengthOf(slips[slip]![index]!, slips[slip]!) - lengthM) >= SHOWS_M + HAIR_M) shows |= 1 << slip;
      if (shows === 0) return;
      const before = found.get(shows);
      if (before && lengthM + costM >= before.costM - 1e-9) return;
      if (shows === all) boundM = Math.min(boundM, lengthM + costM);
      found.delete(shows);
      found.set(shows, { end, from: from(), lengthM, shows, costM: lengthM + costM });
    };
    const offerPoint = (point: KnownPoint, from: PointM, costM: number) => {
      if (!isFar(from, at) && !isMeasured(placing, point))
        offer(
          () => ({ kind: 'point', point }),
          to => distanceM(from, to),
          costM,
        );
    };
    const showsAll = ({ at: from }: Place) => {
      const lengthM = distanceM(from, at);
      return slips.every(to => Math.abs(distanceM(from, to[index]!) - lengthM) >= SHOWS_M + HAIR_M);
    };
    for (const place of nearest(known, at)) {
      const lengthM = distanceM(place.at, at);
      const isOffered =
        lengthM > 0.3 && lengthM <= LONGEST_TAPE_M && !isOwn(place) && !isMeasured(placing, place.point);
      if (isOffered && showsAll(place)) boundM = Math.min(boundM, lengthM + COST_M.point);
    }
    const reachM = Math.min(boundM, LONGEST_TAPE_M);
    for (const place of known)
      if (Math.abs(place.at.xM - at.xM) <= reachM && Math.abs(place.at.yM - at.yM) <= reachM && !isOwn(place))
        offerPoint(place.point, place.at, COST_M.point);
    for (const { peg, at: from } of marks) offerPoint({ kind: 'peg', peg }, from, COST_M.mark);
    const other = points[1 - index];
    if (other)
      offer(
        () => ({ kind: 'point', point: { kind: 'end', item: item.id, end: other.end } }),
        (to, all) => distanceM(all[1 - index]!, to),
        COST_M.point,
      );
    for (const wall of WALLS) {
      const isSetBy = (placing.how === 'wall' || placing.how === 'swing') && placing.wall === wall;
      if (!isSetBy && isWallThere(arena, wall, fromWall(arena, wall, at).alongM))
        offer(
          () => ({ kind: 'wall', wall }),
          to => fromWall(arena, wall, to).inM,
          COST_M.wall,
        );
    }
    for (const { place, from } of placesOnWall(arena, at, placing))
      offer(
        () => from,
        to => distanceM(place, to),
        COST_M['on-wall'],
      );
  }
  return [...found.values()];
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

type Place = { point: KnownPoint; at: PointM; measures: readonly string[] };

/** So many of the nearest are looked at for one that shows every slip. */
const LOOKED_AT = 8;

/** The nearest places to a point, in no order. */
function nearest(places: readonly Place[], { xM, yM }: PointM): Place[] {
  const found: { place: Place; farM2: number }[] = [];
  for (const place of places) {
    const farM2 = (place.at.xM - xM) ** 2 + (place.at.yM - yM) ** 2;
    if (found.length === LOOKED_AT && farM2 >= found[LOOKED_AT - 1]!.farM2) continue;
    const at = found.findIndex(one => one.farM2 > farM2);
    found.splice(at < 0 ? found.length : at, 0, { place, farM2 });
    if (found.length > LOOKED_AT) found.pop();
  }
  return found.map(({ place }) => place);
}

function placesKnown(arena: Arena, setBefore: readonly (SetPiece | SetPeg)[]): Place[] {
  const known: Place[] = arenaPoints(arena).map(({ point, at }) => ({ point, at, measures: [] }));
  for (const set of setBefore) known.push(...placesOf(set));
  return known;
}

/** What lies where is asked for each piece that is set after it. */
const placesBySet = new WeakMap<SetPiece | SetPeg, Place[]>();

/** Where ends and pegs are. Those of pieces that share a measure with another would slip with it and show nothing. */
function placesOf(set: SetPiece | SetPeg): Place[] {
  const before = placesBySet.get(set);
  if (before) return before;
  const measures = 'peg' in set ? [] : set.points.flatMap(({ placing }) => measuresOf(placing));
  const made: Place[] =
    'peg' in set
      ? [{ point: { kind: 'peg', peg: set.peg }, at: set.at, measures }]
      : set.points.map(({ end, at }) => ({ point: { kind: 'end', item: set.item.id, end }, at, measures }));
  placesBySet.set(set, made);
  return made;
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
