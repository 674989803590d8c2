import { distanceM, type PointM } from '../geometry/pointM';

/** `isWanted`: another piece is measured from this one. */
type Stop = { id: string; at: PointM; isWanted: boolean };

/**
 * The order in which pieces are set: first those that others are measured from, then the rest, each round with little
 * walking. It begins nearest to where the kit comes from.
 */
export function orderOfWork(stops: readonly Stop[], from: PointM): string[] {
  const first = shortWay(
    stops.filter(({ isWanted }) => isWanted),
    from,
  );
  const then = shortWay(
    stops.filter(({ isWanted }) => !isWanted),
    first[first.length - 1]?.at ?? from,
  );
  return [...first, ...then].map(({ id }) => id);
}

/** Improving by hand longer rounds than this is not worth the wait. */
const MOST_TO_IMPROVE = 200;

/** Always on to the nearest, then untwisted as long as that makes the way shorter. */
function shortWay(stops: readonly Stop[], from: PointM): Stop[] {
  const left = [...stops];
  const way: Stop[] = [];
  let at = from;
  while (left.length > 0) {
    const next = left.reduce((best, stop) => (distanceM(at, stop.at) < distanceM(at, best.at) - 1e-9 ? stop : best));
    left.splice(left.indexOf(next), 1);
    way.push(next);
    at = next.at;
  }
  return way.length <= MOST_TO_IMPROVE ? untwisted(way, from) : way;
}

function untwisted(way: Stop[], from: PointM): Stop[] {
  const at = (index: number) => (index < 0 ? from : way[index]!.at);
  let better = true;
  while (better) {
    better = false;
    for (let start = 0; start < way.length - 1; start += 1)
      for (let end = start + 1; end < way.length; end += 1) {
        const before =
          distanceM(at(start - 1), at(start)) + (end + 1 < way.length ? distanceM(at(end), at(end + 1)) : 0);
        const after =
          distanceM(at(start - 1), at(end)) + (end + 1 < way.length ? distanceM(at(start), at(end + 1)) : 0);
        if (after < before - 1e-9) {
          way.splice(start, end - start + 1, ...way.slice(start, end + 1).reverse());
          better = true;
        }
      }
  }
  return way;
}
