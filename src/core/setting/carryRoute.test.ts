import type { PointM } from '../geometry/pointM';
import { seededRandom } from '../statistics/seededRandom';
import { exactRoute } from './exactRoute';
import { CARRIED_AT_ONCE, carryRoute, nearestWalk } from './carryRoute';
import type { Load, RouteStop } from './loads';

const START: PointM = { xM: 10, yM: 0 };
const apart = (a: PointM, b: PointM) => Math.sqrt((a.xM - b.xM) ** 2 + (a.yM - b.yM) ** 2);
const randomLoads = (count: number, seed: number): Load[] => {
  const random = seededRandom(seed);
  const place = () => ({ xM: random() * 20, yM: random() * 60 });
  return Array.from({ length: count }, () => ({
    from: random() < 0.3 ? START : place(),
    to: random() < 0.2 ? START : place(),
  }));
};

/** Every order tried, in the test's own hand. */
function leastByTrying(
  loads: readonly Load[],
  at = START,
  lying = loads.map((_, i) => i),
  carried: number[] = [],
): number {
  if (lying.length === 0 && carried.length === 0) return 0;
  const without = (all: number[], one: number) => all.filter(other => other !== one);
  const puts = carried.map(load => {
    const { to } = loads[load]!;
    return apart(at, to) + leastByTrying(loads, to, lying, without(carried, load));
  });
  const takes =
    carried.length >= 2
      ? []
      : lying.map(load => {
          const { from } = loads[load]!;
          return apart(at, from) + leastByTrying(loads, from, without(lying, load), [...carried, load]);
        });
  return Math.min(...puts, ...takes);
}

/** Walks the stops: metres, and whether every load went from where it lay to where it goes, never more than two in hand. */
function walk(loads: readonly Load[], stops: readonly RouteStop[]): { walkedM: number; isSound: boolean } {
  const [taken, done] = [new Set<number>(), new Set<number>()];
  let [at, walkedM, isSound] = [START, 0, true];
  for (const { load, does } of stops) {
    const place = does === 'take' ? loads[load]!.from : loads[load]!.to;
    walkedM += apart(at, place);
    at = place;
    if (does === 'take') isSound &&= !taken.has(load) && !done.has(load) && taken.size < 2;
    else isSound &&= taken.has(load);
    if (does === 'take') taken.add(load);
    else {
      taken.delete(load);
      done.add(load);
    }
  }
  return { walkedM, isSound: isSound && done.size === loads.length && taken.size === 0 };
}

test('two poles side by side go together: one walk there, one back', () => {
  const loads = [0, 1].map(() => ({ from: { xM: 0, yM: 10 }, to: { xM: 0, yM: 20 } }));
  const { stops, walkedM } = carryRoute(loads, { xM: 0, yM: 0 });
  expect(walkedM).toBeCloseTo(20, 9);
  expect(stops.map(({ does }) => does)).toEqual(['take', 'take', 'put', 'put']);
});

test('no order is shorter (every one tried, up to four loads)', () => {
  for (let seed = 1; seed <= 40; seed += 1) {
    const loads = randomLoads(1 + (seed % 4), seed);
    const { stops, walkedM } = carryRoute(loads, START);
    expect(walkedM).toBeCloseTo(leastByTrying(loads), 9);
    expect(walk(loads, stops)).toEqual({ walkedM: expect.closeTo(walkedM, 9), isSound: true });
  }
});

test.each([6, 8, 9, 14, 30, 70])('with %i loads it is sound, and never longer than always to the nearest', count => {
  for (let seed = 1; seed <= 5; seed += 1) {
    const loads = randomLoads(count, seed * 100 + count);
    const { stops, walkedM } = carryRoute(loads, START);
    expect(walk(loads, stops)).toEqual({ walkedM: expect.closeTo(walkedM, 6), isSound: true });
    for (const atOnce of [1, CARRIED_AT_ONCE])
      expect(walkedM).toBeLessThanOrEqual(nearestWalk(loads, START, atOnce).walkedM + 1e-9);
  }
});

test('with eight it is the shortest of all; with very many it is what is nearest, one or two at a time', () => {
  for (let seed = 1; seed <= 5; seed += 1) {
    const eight = randomLoads(8, seed);
    expect(carryRoute(eight, START).walkedM).toBeCloseTo(exactRoute(eight, START, CARRIED_AT_ONCE).walkedM, 9);
    const nearest = (loads: Load[]) =>
      Math.min(...[1, CARRIED_AT_ONCE].map(atOnce => nearestWalk(loads, START, atOnce).walkedM));
    const [eighty, more] = [randomLoads(80, seed), randomLoads(81, seed)];
    expect(carryRoute(eighty, START).walkedM).toBeLessThan(nearest(eighty) - 1);
    expect(carryRoute(more, START).walkedM).toBeCloseTo(nearest(more), 9);
  }
  // Three for which it is shorter to carry one at a time, among many that need no walk.
  const alone = [...randomLoads(3, 36), ...Array.from({ length: 78 }, () => ({ from: START, to: START }))];
  const [one, two] = [1, CARRIED_AT_ONCE].map(atOnce => nearestWalk(alone, START, atOnce).walkedM);
  expect(one).toBeLessThan(two! - 10);
  expect(carryRoute(alone, START).walkedM).toBeCloseTo(one!, 9);
});

test('nothing to carry is no walk', () => {
  expect(carryRoute([], START)).toEqual({ stops: [], walkedM: 0 });
});
