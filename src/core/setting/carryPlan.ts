import { distanceM, type PointM } from '../geometry/pointM';
import type { Item } from '../items/item';
import { kitOfAll } from '../items/kit';
import { cheapestAssignment } from './assignment';
import type { Load } from './loads';
import { loosePieces, type LooseKind, type LoosePiece } from './loosePieces';

export type CarryPlan = {
  /** What lies where it stays. */
  stays: { item: string; count: number }[];
  /** Cups to bring from the store; negative is to take back. They go with their stands. */
  moreCups: number;
  /** All metres that all pieces are carried. */
  carriedM: number;
  /** Every piece that is carried, one by one: what it is, of which item to which (null is the store), from where to where. */
  loads: CarriedLoad[];
};

export type CarriedLoad = Load & {
  kind: LooseKind;
  sizeM: number | null;
  fromItem: string | null;
  toItem: string | null;
};

/** What lies within this of its next place stays, metres. */
const STAYS_M = 0.01;

/**
 * Which piece goes where with the fewest metres carried in all, from what lies on the sand to the next layout: every pole,
 * stand, block, cone, filler and marker by itself, like for like. Exact.
 * @param storeAt - where pieces come from and go to that only one of the two needs
 */
export function carryPlan(from: readonly Item[], to: readonly Item[], storeAt: PointM): CarryPlan {
  const there = byLikeness(from.flatMap(loosePieces));
  const wanted = byLikeness(to.flatMap(loosePieces));
  const moves = [...new Set([...there.keys(), ...wanted.keys()])].flatMap(like =>
    matchLike(there.get(like) ?? [], wanted.get(like) ?? [], storeAt),
  );
  return {
    stays: staying(moves.filter(({ lengthM }) => lengthM <= STAYS_M)),
    moreCups: kitOfAll(to).cups - kitOfAll(from).cups,
    loads: moves
      .filter(({ lengthM }) => lengthM > STAYS_M)
      .map(({ piece: { kind, sizeM }, from: fromItem, to: toItem, fromAt, toAt }) => ({
        ...{ kind, sizeM: kind === 'pole' ? sizeM : null, fromItem, toItem, from: fromAt, to: toAt },
      })),
    carriedM: moves.reduce((sum, { lengthM }) => sum + (lengthM > STAYS_M ? lengthM : 0), 0),
  };
}

/** Poles of one length are alike, to the centimetre; blocks of any height are. */
function byLikeness(pieces: readonly LoosePiece[]): Map<string, LoosePiece[]> {
  const groups = new Map<string, LoosePiece[]>();
  for (const piece of pieces) {
    const size = piece.kind === 'pole' ? Math.round((piece.sizeM ?? 0) * 100) : '';
    const like = `${piece.kind} ${size}`;
    groups.set(like, [...(groups.get(like) ?? []), piece]);
  }
  return groups;
}

type Move = {
  piece: LoosePiece;
  from: string | null;
  to: string | null;
  fromAt: PointM;
  toAt: PointM;
  lengthM: number;
};

/** Going straight is never longer than going by the store, so that as many as can be go from place to place. */
function matchLike(there: readonly LoosePiece[], wanted: readonly LoosePiece[], storeAt: PointM): Move[] {
  const [few, many] = there.length <= wanted.length ? [there, wanted] : [wanted, there];
  const costs = few.map(a => many.map(b => distanceM(a.at, b.at) - distanceM(b.at, storeAt)));
  const columns = few.length === 0 ? [] : cheapestAssignment(costs);
  const matched = new Set(columns);
  const moves = few.map((a, row): Move => {
    const b = many[columns[row]!]!;
    const [start, end] = few === there ? [a, b] : [b, a];
    const places = { fromAt: start.at, toAt: end.at };
    return { piece: end, from: start.item, to: end.item, ...places, lengthM: distanceM(a.at, b.at) };
  });
  const alone = many.filter((_, column) => !matched.has(column));
  return [
    ...moves,
    ...alone.map((piece): Move => {
      const lengthM = distanceM(piece.at, storeAt);
      return many === there
        ? { piece, from: piece.item, to: null, fromAt: piece.at, toAt: storeAt, lengthM }
        : { piece, from: null, to: piece.item, fromAt: storeAt, toAt: piece.at, lengthM };
    }),
  ];
}

function staying(moves: readonly Move[]): CarryPlan['stays'] {
  const counts = new Map<string, number>();
  for (const { to } of moves) if (to !== null) counts.set(to, (counts.get(to) ?? 0) + 1);
  return [...counts].map(([item, count]) => ({ item, count }));
}
