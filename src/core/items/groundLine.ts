import type { FenceForm } from './item';

/** Common practice, no source: a ground line lies 0.2 to 0.4 m out before a vertical, and in, against the front, at an oxer. */
export function usualGroundLineM(form: FenceForm): number {
  return form === 'oxer' ? 0 : 0.3;
}
