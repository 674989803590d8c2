import { munkres } from 'munkres';
import type { PointM } from '../geometry/pointM';
import type { Item } from '../items/item';
import { newItem } from '../plan/newItem';
import { seededRandom } from '../statistics/seededRandom';
import { cheapestAssignment } from './assignment';
import { carryPlan } from './carryPlan';

const STORE: PointM = { xM: 0, yM: 0 };
const cone = (id: string, xM: number, yM: number): Item => ({ kind: 'cone', id, name: null, at: { xM, yM } });
const apart = (a: PointM, b: PointM) => Math.sqrt((a.xM - b.xM) ** 2 + (a.yM - b.yM) ** 2);

function cones(count: number, random: () => number, name: string): Item[] {
  return Array.from({ length: count }, (_, i) => cone(`${name}${i}`, random() * 20, random() * 60));
}

/** Every way to bring what is there to what is wanted, the store among the places to take from and to bring to. */
function leastByTrying(there: readonly Item[], wanted: readonly Item[]): number {
  if (wanted.length === 0) return there.reduce((sum, { at }) => sum + apart(at, STORE), 0);
  const [next, ...others] = wanted as [Item, ...Item[]];
  const fromStore = apart(STORE, next.at) + leastByTrying(there, others);
  return there.reduce(
    (best, item) =>
      Math.min(
        best,
        apart(item.at, next.at) +
          leastByTrying(
            there.filter(other => other !== item),
            others,
          ),
      ),
    fromStore,
  );
}

test('no way of carrying is shorter (every way tried, up to five each side)', () => {
  const random = seededRandom(11);
  for (let round = 0; round < 60; round += 1) {
    const there = cones(Math.floor(random() * 6), random, 'a');
    const wanted = cones(Math.floor(random() * 6), random, 'b');
    expect(carryPlan(there, wanted, STORE).carriedM).toBeCloseTo(leastByTrying(there, wanted), 9);
  }
});

// Reference: munkres from the registry, a general-purpose implementation of the Hungarian method.
test.each([20, 60, 100])('%i pieces are carried as far as a reference library says', count => {
  const random = seededRandom(count);
  const there = cones(count, random, 'a');
  const wanted = cones(count, random, 'b');
  const costs = there.map(a => wanted.map(b => apart(a.at, b.at)));
  const best = munkres(costs).reduce((sum, [row, column]) => sum + costs[row]![column]!, 0);
  expect(carryPlan(there, wanted, STORE).carriedM).toBeCloseTo(best, 6);
});

test('more columns than rows, and costs below nothing', () => {
  const random = seededRandom(3);
  for (let round = 0; round < 20; round += 1) {
    const costs = Array.from({ length: 12 }, () => Array.from({ length: 31 }, () => random() * 40 - 20));
    const columns = cheapestAssignment(costs);
    expect(new Set(columns).size).toBe(12);
    const best = munkres(costs).reduce((sum, [row, column]) => sum + costs[row]![column]!, 0);
    expect(columns.reduce((sum, column, row) => sum + costs[row]![column]!, 0)).toBeCloseTo(best, 6);
  }
  expect(() => cheapestAssignment([[1], [2]])).toThrow(RangeError);
  expect(() => cheapestAssignment([[NaN]])).toThrow(RangeError);
});

test('a fence goes as its parts: stands to stands, rails to poles, and the rest to the store', () => {
  const heron = newItem('vertical', 'heron', { xM: 10, yM: 10 }, Math.PI / 2);
  const pole = { ...newItem('pole', 'p1', { xM: 10, yM: 14 }, Math.PI / 2), lengthM: 3.5 } as Item;
  const fence = { ...heron, widthM: 3.5, heightM: 0.4 } as Item;
  const plan = carryPlan([fence], [pole], STORE);
  expect(plan.loads.filter(({ kind, toItem }) => kind === 'pole' && toItem === 'p1')).toMatchObject([
    { fromItem: 'heron', from: { xM: 10, yM: 10 }, to: { xM: 10, yM: 14 } },
  ]);
  const stands = plan.loads.filter(({ kind }) => kind === 'stand');
  expect(stands).toHaveLength(2);
  expect(stands.every(({ toItem, to }) => toItem === null && to === STORE)).toBe(true);
  expect(plan.moreCups).toBe(-2);
});

test('what lies where the next layout wants it stays; a raised one keeps its pole and gets its blocks', () => {
  const pole = newItem('pole', 'p1', { xM: 10, yM: 14 }, Math.PI / 2) as Extract<Item, { kind: 'pole' }>;
  const raised = { ...pole, id: 'q1', raised: { leftM: 0, rightM: 0.15 } };
  const plan = carryPlan([pole], [raised], STORE);
  expect(plan.stays).toEqual([{ item: 'q1', count: 1 }]);
  expect(plan.loads).toMatchObject([{ kind: 'block', fromItem: null, toItem: 'q1' }]);
  // Ridden towards C, its right end is half its length to the right.
  expect(plan.carriedM).toBeCloseTo(Math.hypot(10 + pole.lengthM / 2, 14), 9);
});

test('poles of another length do not stand in for each other', () => {
  const short = { ...newItem('pole', 'a', { xM: 5, yM: 5 }, 0), lengthM: 2.5 } as Item;
  const long = { ...newItem('pole', 'b', { xM: 5, yM: 6 }, 0), lengthM: 3.5 } as Item;
  const { loads } = carryPlan([short], [long], STORE);
  expect(loads.map(({ fromItem, toItem }) => [fromItem, toItem])).toEqual([
    ['a', null],
    [null, 'b'],
  ]);
});
