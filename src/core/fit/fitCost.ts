import { isInsideArena, toThingM, toWallM } from '../arena/arena';
import { footprintCorners } from '../items/footprint';
import { isRidden, type RiddenItem } from '../items/item';
import type { Layout } from '../layout/layout';
import { readCount, readDistance } from '../stride/readDistance';
import { fitLegs, legAsRidden, type FitLeg, type RiddenLeg } from './legAsRidden';
import { sumOfSquares, type ResidualBlock } from './leastSquares';
import { movedItem, type FitMove, type FitPiece } from './pieces';

/** A hair inside the band that is called easy, so that setting it to 5 cm leaves it easy. */
const AIM = { least: Math.log(0.975), most: Math.log(1.025) };
/** Residuals of a leg are told in widths of the band that is called easy. */
const BAND = Math.log(1.03) - Math.log(0.97);
/** That a leg rides as asked weighs so much more than that nothing is moved: a metre and 15° weigh as much as a band. */
const LEG_WEIGHT = 10;
const METRE = 1;
const TURN_RAD = (15 * Math.PI) / 180;
/** A metre off the sand weighs as much as five bands. */
const OFF_SAND = 50;
/** Where a turn is tighter than a horse can carry: of its radius. */
const TIGHT = 100;
/** What a count that nobody can ride here costs, in bands. */
const UNRATED = 5;

/** What each leg is to be ridden in: asked, or what serves the horses best; null where nothing is rated. */
export type FitCounts = readonly (number | null)[];

/** What is fitted: the legs and what they may cost, for pieces that move about. */
export type FitProblem = {
  layout: Layout;
  pieces: readonly FitPiece[];
  legs: readonly FitLeg[];
  /** The pieces that a leg hangs on. */
  legPieces: readonly (readonly number[])[];
  counts: FitCounts;
};

/** The problem of a layout as it stands, each leg in the count that is asked or that serves best. */
export function fitProblem(layout: Layout, pieces: readonly FitPiece[], horseIds: readonly string[]): FitProblem {
  const at = new Map(pieces.flatMap((piece, index) => piece.itemIds.map(id => [id, index] as const)));
  const legs = fitLegs(layout, horseIds);
  const legPieces = legs.map(({ from, to, gapFrom }) => [
    ...new Set([from, to, ...(gapFrom === null ? [] : [gapFrom])].map(id => at.get(id)!)),
  ]);
  const itemOf = itemsOf(layout);
  const counts = legs.map(leg => countsByCost(leg, legAsRidden(layout, leg, itemOf))[0] ?? null);
  return { layout, pieces, legs, legPieces, counts };
}

/** The counts that a leg might be ridden in, the one that costs least first; the asked one alone where one is asked. */
export function countsByCost(leg: FitLeg, ridden: RiddenLeg): number[] {
  const { asked } = leg.track.legs[leg.leg]!;
  if (asked !== null) return [asked];
  const near = leg.horses.flatMap(({ stride }) => {
    const { evenCount } = readDistance(ridden.countedM, leg.distance, stride);
    return [Math.floor(evenCount), Math.ceil(evenCount)];
  });
  const rated = [...new Set(near)].filter(
    count => count >= 0 && leg.horses.some(({ stride }) => readCount(ridden.countedM, count, leg.distance, stride)),
  );
  const cost = (count: number) => sumOfSquares(legResiduals(leg, ridden, count));
  return rated.sort((a, b) => cost(a) - cost(b));
}

/** How far each horse is from riding a leg easily in a count: 0 within the band, else in its widths. */
export function legResiduals(leg: FitLeg, ridden: RiddenLeg, count: number | null): number[] {
  return leg.horses.flatMap(({ stride, leastTurnM }) => {
    const tight = Math.max(0, leastTurnM / ridden.smallestRadiusM - 1) * TIGHT;
    if (count === null) return [tight];
    const read = readCount(ridden.countedM, count, leg.distance, stride);
    if (!read) return [LEG_WEIGHT * UNRATED, tight];
    const off = Math.log(Math.max(0.2, read.q));
    const out = off > AIM.most ? off - AIM.most : off < AIM.least ? off - AIM.least : 0;
    return [(LEG_WEIGHT * out) / BAND, tight];
  });
}

/** What it costs that a piece is moved. */
export const moveResiduals = ({ alongM, leftM, turnRad }: FitMove): number[] => [
  alongM / METRE,
  leftM / METRE,
  turnRad / TURN_RAD,
];

/** The unknowns are the moves of the pieces that are free, three each. */
export type Freedom = { free: readonly number[] };

export function movesFrom({ free }: Freedom, unknowns: readonly number[], fixed: readonly FitMove[]): FitMove[] {
  const moves = [...fixed];
  free.forEach((piece, at) => {
    moves[piece] = { alongM: unknowns[3 * at]!, leftM: unknowns[3 * at + 1]!, turnRad: unknowns[3 * at + 2]! };
  });
  return moves;
}

/** The blocks of a problem: a leg hangs on the pieces it joins, a piece on itself. */
export function fitBlocks(problem: FitProblem, freedom: Freedom, fixed: readonly FitMove[]): ResidualBlock[] {
  const { layout, pieces, legs, legPieces, counts } = problem;
  const slot = new Map(freedom.free.map((piece, at) => [piece, 3 * at]));
  const unknownsOf = (on: readonly number[]) =>
    on.flatMap(piece => {
      const at = slot.get(piece);
      return at === undefined ? [] : [at, at + 1, at + 2];
    });
  const moveAt = (piece: number, unknowns: readonly number[]): FitMove => {
    const at = slot.get(piece);
    if (at === undefined) return fixed[piece]!;
    return { alongM: unknowns[at]!, leftM: unknowns[at + 1]!, turnRad: unknowns[at + 2]! };
  };
  const ridden = new Map(layout.items.filter(isRidden).map(item => [item.id, item]));
  const pieceOf = new Map(pieces.flatMap((piece, index) => piece.itemIds.map(id => [id, index] as const)));
  const itemAt = (unknowns: readonly number[]) => (id: string) => {
    const index = pieceOf.get(id)!;
    return movedItem(ridden.get(id)!, pieces[index]!, moveAt(index, unknowns)) as RiddenItem;
  };
  return [
    ...legs.map((leg, index) => ({
      on: unknownsOf(legPieces[index]!),
      residuals: (unknowns: readonly number[]) =>
        legResiduals(leg, legAsRidden(layout, leg, itemAt(unknowns)), counts[index]!),
    })),
    ...freedom.free.map(piece => ({
      on: unknownsOf([piece]),
      residuals: (unknowns: readonly number[]) => pieceResiduals(problem, moveAt(piece, unknowns), piece),
    })),
  ];
}

/** How far a piece stands off the sand, weighed. */
export function offSand(
  { layout, pieces }: Pick<FitProblem, 'layout' | 'pieces'>,
  piece: number,
  move: FitMove,
): number {
  let outM = 0;
  for (const id of pieces[piece]!.itemIds) {
    const item = layout.items.find(one => one.id === id)!;
    if (!isInsideArena(layout.arena, item.at)) continue;
    for (const corner of footprintCorners(movedItem(item, pieces[piece]!, move)))
      outM = Math.max(outM, -toWallM(layout.arena, corner), -toThingM(layout.arena, corner));
  }
  return OFF_SAND * outM;
}

/** The whole cost of moving the pieces so: what a fit makes as small as it can. */
export function fitCost(problem: FitProblem, moves: readonly FitMove[]): number {
  const legs = problem.legs.reduce((sum, _, leg) => sum + legCost(problem, moves, leg), 0);
  return moves.reduce((sum, move, piece) => sum + pieceCost(problem, move, piece), legs);
}

/** The part of the cost that hangs on a piece: its own, and that of the legs it is in. */
export function costAround(problem: FitProblem): (moves: readonly FitMove[], piece: number) => number {
  const legsOf = problem.pieces.map((_, piece) =>
    problem.legs.flatMap((_, leg) => (problem.legPieces[leg]!.includes(piece) ? [leg] : [])),
  );
  return (moves, piece) =>
    legsOf[piece]!.reduce((sum, leg) => sum + legCost(problem, moves, leg), pieceCost(problem, moves[piece]!, piece));
}

function pieceCost(problem: FitProblem, move: FitMove, piece: number): number {
  return sumOfSquares(pieceResiduals(problem, move, piece));
}

function pieceResiduals(problem: FitProblem, move: FitMove, piece: number): number[] {
  return [...moveResiduals(move), offSand(problem, piece, move)];
}

function legCost(
  { layout, pieces, legs, legPieces, counts }: FitProblem,
  moves: readonly FitMove[],
  at: number,
): number {
  const itemOf = (id: string) => {
    const piece = legPieces[at]!.find(one => pieces[one]!.itemIds.includes(id))!;
    const item = layout.items.find(one => one.id === id)!;
    return movedItem(item, pieces[piece]!, moves[piece]!) as RiddenItem;
  };
  return sumOfSquares(legResiduals(legs[at]!, legAsRidden(layout, legs[at]!, itemOf), counts[at]!));
}

const itemsOf = ({ items }: Layout) => {
  const ridden = new Map(items.filter(isRidden).map(item => [item.id, item]));
  return (id: string) => ridden.get(id)!;
};
