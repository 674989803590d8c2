import type { MotionSample } from '@/core';

const GRAVITY_MPS2 = 9.81;
const LIFT_MPS2 = 3;
const STEPS_PER_S = 2;
const EVERY_MS = 20;

/** A phone that is carried by somebody who walks two steps a second until it is stopped: the stand-in for a motion sensor. */
export function simulatedWalk(onSample: (sample: MotionSample) => void): () => void {
  const startMs = performance.now();
  let sentMs = 0;
  // A timer that comes late says all that would have been felt meanwhile.
  const timer = setInterval(() => {
    const nowMs = performance.now() - startMs;
    for (; sentMs <= nowMs; sentMs += EVERY_MS) {
      const lift = LIFT_MPS2 * Math.sin((sentMs / 1000) * STEPS_PER_S * 2 * Math.PI);
      onSample({ timeMs: sentMs, x: 0, y: 0, z: GRAVITY_MPS2 + lift });
    }
  }, EVERY_MS);
  return () => clearInterval(timer);
}
