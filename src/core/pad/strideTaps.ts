/** Strides that are being tapped on a leg: `step` counts the stop that was left, from 0, in the order ridden. */
export type TapRun = { step: number; tapsMs: readonly number[] };

/**
 * Over a fence the next tap comes so much later than between two strides (common practice, no source: the last stride, the
 * jump, and the first stride behind it are counted like two and a half).
 */
const JUMP_PAUSE = 1.7;
/** Before so many strides nobody knows the rhythm. */
const LEAST_TAPS = 3;

/**
 * Another stride tapped. After the pause of a jump it is the first of the next leg, where the count of this one may be whole;
 * else a tap was missed.
 * @param counts - what may be counted on this leg, from and to
 * @param hasNext - whether a leg follows
 * @returns the run as it goes on, and the one that ended with the pause
 */
export function tapStride(
  run: TapRun,
  atMs: number,
  counts: CountsThatCanBe,
  hasNext: boolean,
): { run: TapRun; ended: TapRun | null } {
  const { step, tapsMs } = run;
  const isWhole = tapsMs.length >= counts.from && tapsMs.length <= counts.to;
  if (hasNext && isWhole && isJumpPause(tapsMs, atMs)) return { run: { step: step + 1, tapsMs: [atMs] }, ended: run };
  return { run: { step, tapsMs: [...tapsMs, atMs] }, ended: null };
}

function isJumpPause(tapsMs: readonly number[], atMs: number): boolean {
  if (tapsMs.length < LEAST_TAPS) return false;
  const between = tapsMs.slice(1).map((ms, i) => ms - tapsMs[i]!);
  const usual = [...between].sort((a, b) => a - b)[Math.floor(between.length / 2)]!;
  return usual > 0 && atMs - tapsMs[tapsMs.length - 1]! >= JUMP_PAUSE * usual;
}

/** The counts that a leg may come to. */
export type CountsThatCanBe = { from: number; to: number };

/**
 * The counts that can be on a leg: a stride or two beside the likely one, never so few that each were half as long again.
 * (Common practice, no source.)
 * @param likely - the count that lies nearest for the horse, ≥ 0
 */
export function countsThatCanBe(likely: number, asked: number | null): CountsThatCanBe {
  if (!(likely >= 0 && likely < Infinity)) throw new RangeError(`countsThatCanBe: likely ${likely}`);
  const from = Math.min(Math.round(likely) - 1, Math.ceil(0.6 * likely));
  const to = Math.max(Math.round(likely) + 1, Math.floor(1.6 * likely));
  // What is asked can be asked: it is no slip of the thumb.
  return { from: Math.max(0, Math.min(from, asked ?? from)), to: Math.max(to, asked ?? to) };
}

/** When each stride was tapped, from the first on, as it is kept: whole milliseconds, in order. */
export function tapsFromFirst(tapsMs: readonly number[]): number[] {
  const first = tapsMs[0] ?? 0;
  let last = 0;
  return tapsMs.map(ms => (last = Math.min(600_000, Math.max(last, Math.round(ms - first)))));
}
