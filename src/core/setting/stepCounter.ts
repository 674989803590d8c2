/** One reading of a motion sensor: when, and the acceleration along its three axes, gravity included, m/s². */
export type MotionSample = { timeMs: number; x: number; y: number; z: number };

/** Common practice, no source: a step lifts a phone in a hand or a pocket by more than this, m/s². */
const RISE_MPS2 = 1.1;
/** Nobody walks four steps a second. */
const LEAST_BETWEEN_MS = 260;
/** How fast gravity is learnt, and how much of a reading is noise: shares of a reading of 20 ms. */
const SLOW_SHARE = 0.02;
const QUICK_SHARE = 0.35;

/**
 * Counts steps while somebody walks with a phone: the acceleration, whichever way the phone is held, rises over its mean once a step
 * and falls below it again before the next.
 */
export class StepCounter {
  private meanMps2: number | null = null;
  private smoothMps2 = 0;
  private isUp = false;
  private lastStepMs = -Infinity;
  /** Steps so far. */
  steps = 0;

  /** Takes a reading in; true where it completes a step. */
  take({ timeMs, x, y, z }: MotionSample): boolean {
    const mps2 = Math.hypot(x, y, z);
    if (!Number.isFinite(mps2) || !Number.isFinite(timeMs)) return false;
    this.meanMps2 = this.meanMps2 === null ? mps2 : this.meanMps2 + (mps2 - this.meanMps2) * SLOW_SHARE;
    this.smoothMps2 += (mps2 - this.meanMps2 - this.smoothMps2) * QUICK_SHARE;
    if (this.isUp) {
      if (this.smoothMps2 < 0) this.isUp = false;
      return false;
    }
    if (this.smoothMps2 < RISE_MPS2 || timeMs - this.lastStepMs < LEAST_BETWEEN_MS) return false;
    this.isUp = true;
    this.lastStepMs = timeMs;
    this.steps += 1;
    return true;
  }
}
