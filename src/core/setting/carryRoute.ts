import { distanceM, type PointM } from '../geometry/pointM';
import { exactRoute } from './exactRoute';
import type { CarryRoute, Load, RouteStop } from './loads';

/** Common practice, no source: one pole over each shoulder, one stand in each hand. */
export const CARRIED_AT_ONCE = 2;
/** With so many loads every order is weighed; with more, an order is improved until nothing helps. */
const MOST_EXACT = 8;
/** Beyond this many loads an order is not improved any more: it would keep people waiting. */
const MOST_IMPROVED = 80;

/**
 * The order in which one person takes up and puts down what is to be carried with little walking, who can carry two things at
 * once. The shortest of all up to eight loads; above that never longer than always going to the nearest thing that can be done.
 * @param start - where they begin; where they end is theirs
 */
export function carryRoute(loads: readonly Load[], start: PointM): CarryRoute {
  if (loads.length <= MOST_EXACT) return exactRoute(loads, start, CARRIED_AT_ONCE);
  const walks = [nearestWalk(loads, start, CARRIED_AT_ONCE), nearestWalk(loads, start, 1)];
  const [best] = walks.sort((a, b) => a.walkedM - b.walkedM);
  return loads.length > MOST_IMPROVED ? best! : improved(loads, start, best!.stops);
}

export const placeOfStop = (loads: readonly Load[], { load, does }: RouteStop): PointM =>
  does === 'take' ? loads[load]!.from : loads[load]!.to;

/** Metres of a route from where it begins to its last stop. */
export function routeM(loads: readonly Load[], start: PointM, stops: readonly RouteStop[]): number {
  let at = start;
  let walkedM = 0;
  for (const stop of stops) {
    const next = placeOfStop(loads, stop);
    walkedM += distanceM(at, next);
    at = next;
  }
  return walkedM;
}

/** Always on to the nearest load that can be taken up or put down. */
export function nearestWalk(loads: readonly Load[], start: PointM, atOnce: number): CarryRoute {
  const lying = new Set(loads.keys());
  const carried = new Set<number>();
  const stops: RouteStop[] = [];
  let at = start;
  while (lying.size + carried.size > 0) {
    const can: RouteStop[] = [
      ...[...carried].map((load): RouteStop => ({ load, does: 'put' })),
      ...(carried.size < atOnce ? [...lying].map((load): RouteStop => ({ load, does: 'take' })) : []),
    ];
    const here = at;
    const farM = (stop: RouteStop) => distanceM(here, placeOfStop(loads, stop));
    const next = can.reduce((best, stop) => (farM(stop) < farM(best) - 1e-9 ? stop : best));
    if (next.does === 'take') lying.delete(next.load);
    else carried.delete(next.load);
    if (next.does === 'take') carried.add(next.load);
    stops.push(next);
    at = placeOfStop(loads, next);
  }
  return { stops, walkedM: routeM(loads, start, stops) };
}

/** Takes each load out of the order and puts it in where it costs least, until that helps no more. */
function improved(loads: readonly Load[], start: PointM, begun: readonly RouteStop[]): CarryRoute {
  let stops = [...begun];
  for (let better = true; better;) {
    better = false;
    for (let load = 0; load < loads.length; load += 1) {
      const others = stops.filter(stop => stop.load !== load);
      const placed = cheapestInsertion(loads, start, others, load);
      if (placed && routeM(loads, start, placed) < routeM(loads, start, stops) - 1e-6) {
        stops = placed;
        better = true;
      }
    }
  }
  return { stops, walkedM: routeM(loads, start, stops) };
}

/** The order with a load put in where the walk becomes longer by least; null where hands are never free. */
function cheapestInsertion(
  loads: readonly Load[],
  start: PointM,
  others: readonly RouteStop[],
  load: number,
): RouteStop[] | null {
  const { from, to } = loads[load]!;
  const places = [start, ...others.map(stop => placeOfStop(loads, stop))];
  const inHand = [0];
  for (const { does } of others) inHand.push(inHand.at(-1)! + (does === 'take' ? 1 : -1));
  /** What it costs to go by a place behind the stop of this index. */
  const detourM = (index: number, by: PointM) => {
    const [a, b] = [places[index]!, places[index + 1]];
    return distanceM(a, by) + (b ? distanceM(by, b) - distanceM(a, b) : 0);
  };
  let best: { take: number; put: number; costM: number } | null = null;
  for (let take = 0; take < places.length; take += 1) {
    const next = places[take + 1];
    const both = distanceM(places[take]!, from) + distanceM(from, to);
    const atOnceM = both + (next ? distanceM(to, next) - distanceM(places[take]!, next) : 0);
    if (inHand[take]! >= CARRIED_AT_ONCE) continue;
    if (!best || atOnceM < best.costM) best = { take, put: take, costM: atOnceM };
    const takeM = detourM(take, from);
    for (let put = take + 1; put < places.length && inHand[put]! < CARRIED_AT_ONCE; put += 1) {
      const costM = takeM + detourM(put, to);
      if (costM < best.costM) best = { take, put, costM };
    }
  }
  if (!best) return null;
  const stops = [...others];
  stops.splice(best.put, 0, { load, does: 'put' });
  stops.splice(best.take, 0, { load, does: 'take' });
  return stops;
}
