/** @throws {RangeError} no values */
export function mean(values: readonly number[]): number {
  if (values.length === 0) throw new RangeError('the mean of nothing');
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/**
 * Of a sample: over n − 1.
 * @throws {RangeError} fewer than two values
 */
export function standardDeviation(values: readonly number[]): number {
  if (values.length < 2) throw new RangeError('the standard deviation of fewer than two values');
  const middle = mean(values);
  return Math.sqrt(values.reduce((sum, value) => sum + (value - middle) ** 2, 0) / (values.length - 1));
}
