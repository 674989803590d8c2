import type { Arena } from '../arena/arena';
import { assertNever } from '../assertNever';
import type { PointM } from '../geometry/pointM';
import type { Item } from '../items/item';
import { arenaPoints, atWall, fromWall, pointKey, type KnownPoint } from './knownPoint';
import { pieceEnds } from './pieceEnds';
import { swungFrom, type MeasureId, type Placing } from './placing';
import { pointAlong } from '../geometry/pointM';
import type { CheckFrom, SetPeg, SetPiece } from './setPiece';

/** A measure as it lies on the sand: from where to where a tape is laid, or somebody walks. */
export type SetStretch = { measure: MeasureId; from: PointM; to: PointM };

/** What a sheet is drawn over. */
type Drawn = { arena: Arena; items: readonly Item[] };

/**
 * The measures of a piece or a peg as they lie on the sand, each once: the first of two ends that share one.
 * @param pegs - of the sheet: a piece may be measured from them
 */
export function stretchesOf(drawn: Drawn, pegs: readonly SetPeg[], set: SetPiece | SetPeg): SetStretch[] {
  const where = placesOf(drawn, pegs);
  const points = 'points' in set ? set.points : [{ at: set.at, placing: set.placing }];
  const all = points.flatMap(({ at, placing }) => stretches(drawn.arena, placing, at, where));
  const first = new Map<MeasureId, SetStretch>();
  for (const one of all) if (!first.has(one.measure)) first.set(one.measure, one);
  return [...first.values()];
}

/** The checks of a piece as they lie on the sand, in their order. */
export function checkStretches(
  drawn: Drawn,
  pegs: readonly SetPeg[],
  { points, checks }: Pick<SetPiece, 'points' | 'checks'>,
): { from: PointM; to: PointM }[] {
  const where = placesOf(drawn, pegs);
  return checks.map(({ end, from }) => {
    const to = points.find(point => point.end === end)!.at;
    return { from: checkedFrom(drawn.arena, from, to, where), to };
  });
}

/** Where the tape of a check is held. */
export function checkedFrom(arena: Arena, from: CheckFrom, to: PointM, where: Where): PointM {
  switch (from.kind) {
    case 'wall':
      return atWall(arena, from.wall, { ...fromWall(arena, from.wall, to), inM: 0 });
    case 'point':
      return where(from.point);
    case 'on-wall': {
      const alongOf = (point: KnownPoint) => fromWall(arena, from.wall, where(point)).alongM;
      const startM = alongOf(from.point);
      const way = Math.sign(alongOf(from.towards) - startM);
      return atWall(arena, from.wall, { alongM: startM + way * from.alongM, inM: 0 });
    }
    default:
      return assertNever(from);
  }
}

export type Where = (point: KnownPoint) => PointM;

const lastPlaces = new WeakMap<readonly SetPeg[], { drawn: Drawn; where: Where }>();

/** The same for every piece of a sheet: it is asked for once a piece, and is as large as the layout. */
function placesOf({ arena, items }: Drawn, pegs: readonly SetPeg[]): Where {
  const last = lastPlaces.get(pegs);
  if (last && last.drawn.arena === arena && last.drawn.items === items) return last.where;
  const where = reckonedPlaces({ arena, items }, pegs);
  lastPlaces.set(pegs, { drawn: { arena, items }, where });
  return where;
}

function reckonedPlaces({ arena, items }: Drawn, pegs: readonly SetPeg[]): Where {
  const known = new Map(arenaPoints(arena).map(({ point, at }) => [pointKey(point), at]));
  for (const { peg, at } of pegs) known.set(pointKey({ kind: 'peg', peg }), at);
  for (const item of items)
    for (const { end, at } of pieceEnds(item)) known.set(pointKey({ kind: 'end', item: item.id, end }), at);
  return point => {
    const at = known.get(pointKey(point));
    if (!at) throw new RangeError(`stretchesOf: ${pointKey(point)} is nowhere`);
    return at;
  };
}

function stretches(arena: Arena, placing: Placing, at: PointM, where: Where): SetStretch[] {
  switch (placing.how) {
    case 'wall': {
      const { wall, from, pastM, along, inwards } = placing;
      const own = fromWall(arena, wall, at);
      const fromM = fromWall(arena, wall, where(from)).alongM;
      const start = fromM + Math.sign(own.alongM - fromM) * pastM;
      // On from a piece one walks between the pieces; from a point of the arena, along its wall.
      const inM = from.kind === 'end' ? own.inM : 0;
      return [
        {
          measure: along,
          from: atWall(arena, wall, { alongM: start, inM }),
          to: atWall(arena, wall, { alongM: own.alongM, inM }),
        },
        { measure: inwards, from: atWall(arena, wall, { alongM: own.alongM, inM: 0 }), to: at },
      ];
    }
    case 'swing': {
      const { alongM } = fromWall(arena, placing.wall, at);
      return [
        { measure: placing.gap, from: swungFrom(placing, where), to: at },
        { measure: placing.inwards, from: atWall(arena, placing.wall, { alongM, inM: 0 }), to: at },
      ];
    }
    case 'line': {
      const [from, to] = [where(placing.from), where(placing.to)];
      const lineRad = Math.atan2(to.yM - from.yM, to.xM - from.xM);
      const alongM = (at.xM - from.xM) * Math.cos(lineRad) + (at.yM - from.yM) * Math.sin(lineRad);
      const foot = pointAlong(from, lineRad, alongM);
      return [
        { measure: placing.along, from, to: foot },
        ...(placing.off ? [{ measure: placing.off.measure, from: foot, to: at }] : []),
      ];
    }
    case 'pulls':
      return [placing.first, placing.second].map(({ from, measure }) => ({ measure, from: where(from), to: at }));
    default:
      return assertNever(placing);
  }
}
