/** How far a thumb is off each time, seconds (one deviation; common practice, no source: 30 to 50 ms). */
export const THUMB_S = 0.045;

/** Fewer strides say nothing of a rhythm. */
const LEAST_STRIDES = 4;
/** The thumb is known as if from so many taps. */
const KNOWN_FROM_TAPS = 8;
/** Said only beyond what the thumb alone does 95 times in 100. */
const Z_95 = 1.96;

export type TempoChange = 'quickened' | 'slowed' | 'even' | 'too few to tell';

/** How fast strides followed each other, and whether they came quicker or slower towards the end. */
export type Tempo = {
  strides: number;
  /** Strides a second, and how far that may be off, 95 times in 100. */
  perSecond: number;
  offBy: number;
  change: TempoChange;
  /** How much quicker the second half was than the first, a share of the rate; slower is negative. */
  changeShare: number;
  /** How far that may be off, 95 times in 100. */
  changeOffBy: number;
};

/** Up to this the rhythm counts as told: a change that cannot be told from twice as much is not called even. */
const TOLD_SHARE = 0.1;

/**
 * The tempo of strides that were tapped as they fell. The taps are laid under a parabola: its slope in the middle is the
 * stride's time, its curve how that changes from the first half to the second (orthogonal polynomials on equal steps). A tap
 * is off by the thumb, or by more where the taps themselves scatter more.
 * @param tapsMs - milliseconds, in order
 * @param thumbS - one deviation of a tap, seconds
 * @returns null where too few were tapped, or all at once
 */
export function tempoOfTaps(tapsMs: readonly number[], thumbS: number = THUMB_S): Tempo | null {
  if (!(thumbS > 0 && thumbS < Infinity)) throw new RangeError(`tempoOfTaps: thumbS ${thumbS}`);
  const n = tapsMs.length;
  if (n < LEAST_STRIDES) return null;
  const times = tapsMs.map(ms => ms / 1000);
  const middle = (n - 1) / 2;
  const linear = times.map((_, i) => i - middle);
  const square = times.map((_, i) => (i - middle) ** 2 - (n * n - 1) / 12);
  const slope = along(linear, times);
  const curve = along(square, times);
  if (!(slope > 0)) return null;
  const mean = times.reduce((sum, t) => sum + t, 0) / n;
  const left = times.map((t, i) => t - mean - slope * linear[i]! - curve * square[i]!);
  const sdS = tapSd(thumbS, left);
  const slopeSd = sdS / Math.sqrt(squares(linear));
  // The mean stride of one half differs from that of the other by the curve times the number of strides.
  const halves = n - 1;
  const changeShare = -(curve * halves) / slope;
  const changeOffBy = (Z_95 * (sdS / Math.sqrt(squares(square))) * halves) / slope;
  return {
    ...{ strides: n, perSecond: 1 / slope, offBy: (Z_95 * slopeSd) / (slope * slope), changeShare, changeOffBy },
    change: changeOf(changeShare, changeOffBy),
  };
}

/**
 * How far a tap is off: what is known of a thumb, weighed with how these taps scatter about the curve, as if it had been seen in
 * so many taps before; never better than what is known.
 */
function tapSd(thumbS: number, left: readonly number[]): number {
  const free = left.length - 3;
  const scatter = left.reduce((sum, e) => sum + e * e, 0);
  return Math.max(thumbS, Math.sqrt((KNOWN_FROM_TAPS * thumbS ** 2 + scatter) / (KNOWN_FROM_TAPS + free)));
}

function changeOf(share: number, offBy: number): TempoChange {
  if (Math.abs(share) > offBy) return share > 0 ? 'quickened' : 'slowed';
  return offBy <= TOLD_SHARE ? 'even' : 'too few to tell';
}

const squares = (values: readonly number[]) => values.reduce((sum, value) => sum + value * value, 0);

/** The coefficient of one orthogonal polynomial. */
function along(polynomial: readonly number[], times: readonly number[]): number {
  return polynomial.reduce((sum, p, i) => sum + p * times[i]!, 0) / squares(polynomial);
}

/** The tempo in a few words: "1.7 strides a second, quickened by 12 %". */
export function tempoWords({ perSecond, change, changeShare }: Tempo): string {
  const rate = `${perSecond.toFixed(perSecond < 1 ? 2 : 1)} strides a second`;
  if (change === 'too few to tell') return rate;
  return change === 'even' ? `${rate}, even` : `${rate}, ${change} by ${Math.round(Math.abs(changeShare) * 100)} %`;
}
