import { distanceRule, type DistanceCase } from './distanceRule';
import { groundAtShareM, readCount, type TestedStride } from './readDistance';
import type { StrideWord } from './strideWord';

export type GroupGround = {
  groundM: number;
  /** What each horse makes of it, in the order given. */
  horses: { q: number; word: StrideWord }[];
  /** How many find it quiet, easy or forward. */
  served: number;
};

const HAIR_M = 1e-4;
const COMFORTABLE = { least: 0.92, most: 1.08 };

/**
 * The ground for a wanted count that serves a group best: as many horses as can be at quiet, easy or forward, and among
 * those grounds the one at which the farthest horse is least far from even, shorter and longer alike.
 * @param strides - the wanted count, a whole number, ≥ 0
 * @returns null where that count is not rated
 * @throws {RangeError} no horses
 */
export function groupGround(
  strides: number,
  distance: DistanceCase,
  horses: readonly TestedStride[],
): GroupGround | null {
  if (horses.length === 0) throw new RangeError('groupGround: no horses');
  const groundAt = groundOf(strides, distance);
  if (groundAt === null) return null;
  const comfort = horses.map(horse => ({
    // A hair inside, so that laying it out does not turn quiet into short or forward into long.
    fromM: groundAt(horse, Math.max(COMFORTABLE.least, horse.shortM / horse.normalM)) + HAIR_M,
    toM: groundAt(horse, Math.min(COMFORTABLE.most, horse.longM / horse.normalM)) - HAIR_M,
  }));
  const worst = (groundM: number) => worstOff(groundM, strides, distance, horses);
  const lowM = Math.min(...horses.map(horse => groundAt(horse, 1)));
  const highM = Math.max(...horses.map(horse => groundAt(horse, 1)));
  const evenM = lowestPoint(worst, lowM, highM);
  let best = { groundM: evenM, served: servedAt(comfort, evenM), off: worst(evenM) };
  for (const { fromM, toM } of bestStretches(comfort)) {
    const groundM = Math.min(toM, Math.max(fromM, evenM));
    const candidate = { groundM, served: servedAt(comfort, groundM), off: worst(groundM) };
    const serves = candidate.served - best.served;
    if (serves > 0 || (serves === 0 && candidate.off < best.off)) best = candidate;
  }
  const readings = horses.map(horse => readCount(best.groundM, strides, distance, horse)!);
  return { groundM: best.groundM, horses: readings, served: best.served };
}

type Stretch = { fromM: number; toM: number };

/** The ground at which a horse finds the count at this q. */
function groundOf(strides: number, distance: DistanceCase): ((horse: TestedStride, q: number) => number) | null {
  if (strides === 0 && distanceRule(distance).zeroStrides === null) return null;
  return (horse, q) => groundAtShareM(strides, distance, horse.normalM, q);
}

const ROUNDING_M = 1e-9;

function servedAt(comfort: readonly Stretch[], groundM: number): number {
  return comfort.filter(({ fromM, toM }) => groundM >= fromM - ROUNDING_M && groundM <= toM + ROUNDING_M).length;
}

/** Where comforts begin and end: between neighbours the number served does not change. */
function bestStretches(comfort: readonly Stretch[]): Stretch[] {
  const edges = [...new Set(comfort.flatMap(({ fromM, toM }) => [fromM, toM]))].sort((a, b) => a - b);
  return edges.map((fromM, index) => ({ fromM, toM: edges[index + 1] ?? fromM }));
}

function worstOff(groundM: number, strides: number, distance: DistanceCase, horses: readonly TestedStride[]): number {
  return Math.max(
    ...horses.map(horse => {
      const q = readCount(groundM, strides, distance, horse)?.q ?? 0;
      return q > 0 ? Math.abs(Math.log(q)) : Infinity;
    }),
  );
}

/** Where a function with one valley is lowest, by golden section, to a hundredth of a millimetre. */
function lowestPoint(off: (x: number) => number, low: number, high: number): number {
  const golden = (Math.sqrt(5) - 1) / 2;
  let [a, b] = [low, high];
  while (b - a > 1e-5) {
    const c = b - golden * (b - a);
    const d = a + golden * (b - a);
    if (off(c) <= off(d)) b = d;
    else a = c;
  }
  return (a + b) / 2;
}
