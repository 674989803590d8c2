import { distanceM, type PointM } from '../geometry/pointM';
import type { CarryRoute, Load, RouteStop } from './loads';

/**
 * The shortest order in which loads are taken up and put down, every order weighed: by what lies, what is in hand and what is
 * done, and where one stands (dynamic programming over subsets after Held and Karp, 1962, from memory; with pickups).
 * @param atOnce - how many may be in hand, ≥ 1
 * @throws {RangeError} more than a dozen loads: their orders are too many
 */
export function exactRoute(loads: readonly Load[], start: PointM, atOnce: number): CarryRoute {
  const count = loads.length;
  if (count > 12 || !(atOnce >= 1)) throw new RangeError(`exactRoute: ${count} loads, ${atOnce} at once`);
  const powers = Array.from({ length: count }, (_, load) => 3 ** load);
  const states = 3 ** count;
  // Where one stands: at the place a load was taken (2 × load), put (2 × load + 1), or at the start (last).
  const spots = 2 * count + 1;
  const places = [...loads.flatMap(({ from, to }) => [from, to]), start];
  const best = new Float64Array(states * spots).fill(Infinity);
  const cameFrom = new Int32Array(states * spots).fill(-1);
  best[spots - 1] = 0;
  // A later state always has more done than an earlier one, so that one pass in order settles all.
  for (let state = 0; state < states; state += 1) {
    const digits = powers.map(power => Math.floor(state / power) % 3);
    const inHand = digits.filter(digit => digit === 1).length;
    for (let spot = 0; spot < spots; spot += 1) {
      const here = state * spots + spot;
      if (best[here] === Infinity) continue;
      for (let load = 0; load < count; load += 1) {
        const digit = digits[load]!;
        if (digit === 2 || (digit === 0 && inHand >= atOnce)) continue;
        const nextSpot = 2 * load + digit;
        const there = (state + powers[load]!) * spots + nextSpot;
        const walkedM = best[here]! + distanceM(places[spot]!, places[nextSpot]!);
        if (walkedM >= best[there]! - 1e-12) continue;
        best[there] = walkedM;
        cameFrom[there] = here;
      }
    }
  }
  return readBack(best, cameFrom, states, spots);
}

function readBack(best: Float64Array, cameFrom: Int32Array, states: number, spots: number): CarryRoute {
  let at = (states - 1) * spots;
  for (let spot = 0; spot < spots; spot += 1) {
    const end = (states - 1) * spots + spot;
    if (best[end]! < best[at]!) at = end;
  }
  const walkedM = best[at]!;
  const stops: RouteStop[] = [];
  while (cameFrom[at]! >= 0) {
    const spot = at % spots;
    stops.unshift({ load: Math.floor(spot / 2), does: spot % 2 === 0 ? 'take' : 'put' });
    at = cameFrom[at]!;
  }
  return { stops, walkedM };
}
