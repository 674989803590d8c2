/** A course's time allowed and its limit, whole seconds. */
export type CourseTime = { allowedS: number; limitS: number };

/** A rounding in the last digits is not a second more. */
const ROUNDING_S = 1e-9;

/**
 * Time allowed = length along the ridden track ÷ speed, rounded up to whole seconds; the limit is twice that
 * (FEI Jumping Rules, from memory).
 * @throws {RangeError} a length that is negative or not finite, or a speed that is not positive and finite
 */
export function courseTime(lengthM: number, speedMPerMin: number): CourseTime {
  if (!(lengthM >= 0 && lengthM < Infinity && speedMPerMin > 0 && speedMPerMin < Infinity))
    throw new RangeError(`courseTime(${lengthM}, ${speedMPerMin})`);
  const allowedS = Math.max(0, Math.ceil((lengthM * 60) / speedMPerMin - ROUNDING_S));
  return { allowedS, limitS: 2 * allowedS };
}
