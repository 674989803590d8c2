import type { PositionNoise } from './simulatePass';

/** How the error of a receiver wanders: so far, metres, and for how long, seconds. */
export type WanderingNoise = Pick<PositionNoise, 'sdM' | 'correlationS'>;

/** How far from the middle of something a pair rides over it, metres (one deviation; common practice, no source). */
export const AIM_SD_M = 0.4;

/** What is known of the error at a time: its mean on each axis, and how sure that is. */
export type ErrorState = { timeS: number; dx: number; dy: number; vxx: number; vxy: number; vyy: number };

/** Before anything is recorded. */
export function unknownError({ sdM }: WanderingNoise): ErrorState {
  return { timeS: 0, dx: 0, dy: 0, vxx: sdM ** 2, vxy: 0, vyy: sdM ** 2 };
}

/** Some time later: the error has wandered on. */
export function drifted(error: ErrorState, timeS: number, { sdM, correlationS }: WanderingNoise): ErrorState {
  const keep = Math.exp(-Math.max(0, timeS - error.timeS) / correlationS);
  const fresh = sdM ** 2 * (1 - keep ** 2);
  return {
    timeS,
    dx: error.dx * keep,
    dy: error.dy * keep,
    vxx: error.vxx * keep ** 2 + fresh,
    vxy: error.vxy * keep ** 2,
    vyy: error.vyy * keep ** 2 + fresh,
  };
}

/** What the error comes to across an item, to its left. */
export function errorAlong({ dx, dy, vxx, vxy, vyy }: ErrorState, leftRad: number): { meanM: number; sdM: number } {
  const [c, s] = [Math.cos(leftRad), Math.sin(leftRad)];
  return { meanM: dx * c + dy * s, sdM: Math.sqrt(Math.max(1e-9, vxx * c * c + 2 * vxy * c * s + vyy * s * s)) };
}

/** The error after a crossing that was over the middle of something. */
export function corrected(error: ErrorState, leftRad: number, asideM: number): ErrorState {
  const [c, s] = [Math.cos(leftRad), Math.sin(leftRad)];
  const { meanM, sdM } = errorAlong(error, leftRad);
  const total = sdM ** 2 + AIM_SD_M ** 2;
  const [gx, gy] = [(error.vxx * c + error.vxy * s) / total, (error.vxy * c + error.vyy * s) / total];
  const offM = asideM - meanM;
  return {
    timeS: error.timeS,
    dx: error.dx + gx * offM,
    dy: error.dy + gy * offM,
    vxx: error.vxx - gx * gx * total,
    vxy: error.vxy - gx * gy * total,
    vyy: error.vyy - gy * gy * total,
  };
}
