import type { MotionSample } from '@/core';
import { simulatedWalk } from './simulatedWalk';

export type Motion = { ok: true; stop: () => void } | { ok: false; reason: string };

/** An address with this in it walks by itself: the stand-in for a phone's sensor, to try counting without one. */
const SIMULATED = 'motion=simulated';

const NO_SENSOR = 'This device tells nothing of its motion: tap a step instead.';
/** A sensor that says nothing for so long is none. */
const SILENT_MS = 1500;

type WithPermission = { requestPermission?: () => Promise<'granted' | 'denied'> };

/** Listens to the device's motion until it is stopped. Some devices ask the user first: begin it from a tap. */
export async function startMotion(
  onSample: (sample: MotionSample) => void,
  onSilent: (reason: string) => void,
): Promise<Motion> {
  if (window.location.search.includes(SIMULATED)) return { ok: true, stop: simulatedWalk(onSample) };
  if (!('DeviceMotionEvent' in window)) return { ok: false, reason: NO_SENSOR };
  const { requestPermission } = window.DeviceMotionEvent as unknown as WithPermission;
  if (requestPermission) {
    const answer = await requestPermission().catch(() => 'denied' as const);
    if (answer !== 'granted')
      return { ok: false, reason: 'The device does not let Roan feel its motion: tap a step instead.' };
  }
  let heard = false;
  const listen = ({ accelerationIncludingGravity: felt, timeStamp }: DeviceMotionEvent) => {
    if (felt?.x == null || felt.y == null || felt.z == null) return;
    heard = true;
    onSample({ timeMs: timeStamp, x: felt.x, y: felt.y, z: felt.z });
  };
  window.addEventListener('devicemotion', listen);
  const silent = setTimeout(() => !heard && onSilent(NO_SENSOR), SILENT_MS);
  return {
    ok: true,
    stop: () => {
      clearTimeout(silent);
      window.removeEventListener('devicemotion', listen);
    },
  };
}
