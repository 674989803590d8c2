const METRIC_STRIDE_M = 3.5;

/**
 * The ground a horse takes to land or to take off, in the two-metre school (common practice, no source): at a stride of
 * 3.5 m, 1.75 m + 0.25·h up to one metre, then 2 m + 0.5·(h − 1 m); in proportion for another stride.
 * @param heightM - of the fence, finite, ≥ 0
 * @param normalM - the horse's normal stride between fences, finite, > 0
 * @throws {RangeError} arguments outside those bounds
 */
export function jumpAllowanceM(heightM: number, normalM: number): number {
  if (!(heightM >= 0 && heightM < Infinity && normalM > 0 && normalM < Infinity))
    throw new RangeError(`jumpAllowanceM(${heightM}, ${normalM})`);
  const atMetricStrideM = heightM <= 1 ? 1.75 + 0.25 * heightM : 2 + 0.5 * (heightM - 1);
  return (normalM / METRIC_STRIDE_M) * atMetricStrideM;
}
