import { normalTwoSided, Z95 } from '../statistics/proportions';

/** A value at a time, with where the true one lies 95 times in 100. */
export type Measured = { atMs: number; value: number; low: number; high: number };

/** How a value went over time: its change from the first to the last, and how likely as much is by chance alone. */
export type Drift = { change: number; low: number; high: number; p: number; points: number };

/** Two values are a line whatever they are. */
const LEAST_POINTS = 3;

/**
 * The straight line through values of different certainty, weighted by it (weighted least squares, any textbook), as the
 * change from the first time to the last. Null for fewer than three.
 * @throws {RangeError} an interval without width
 */
export function driftOf(measured: readonly Measured[]): Drift | null {
  if (measured.length < LEAST_POINTS) return null;
  const points = measured.map(({ atMs, value, low, high }) => {
    const sd = (high - low) / (2 * Z95);
    if (!(sd > 0)) throw new RangeError(`driftOf: an interval from ${low} to ${high}`);
    return { atMs, value, weight: 1 / sd ** 2 };
  });
  const [firstMs, lastMs] = [Math.min(...points.map(p => p.atMs)), Math.max(...points.map(p => p.atMs))];
  if (firstMs === lastMs) return null;
  const at = (ms: number) => (ms - firstMs) / (lastMs - firstMs);
  const sum = (of: (point: (typeof points)[number]) => number) => points.reduce((total, one) => total + of(one), 0);
  const weight = sum(one => one.weight);
  const [meanAt, meanValue] = [
    sum(one => one.weight * at(one.atMs)) / weight,
    sum(one => one.weight * one.value) / weight,
  ];
  const along = sum(one => one.weight * (at(one.atMs) - meanAt) ** 2);
  if (along === 0) return null;
  const change = sum(one => one.weight * (at(one.atMs) - meanAt) * (one.value - meanValue)) / along;
  const sd = 1 / Math.sqrt(along);
  return {
    change,
    low: change - Z95 * sd,
    high: change + Z95 * sd,
    p: normalTwoSided(change / sd),
    points: points.length,
  };
}
