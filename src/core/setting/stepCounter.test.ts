import { seededRandom } from '../statistics/seededRandom';
import { StepCounter, type MotionSample } from './stepCounter';

const GRAVITY_MPS2 = 9.81;
const EVERY_MS = 20;

/**
 * A phone that is carried: each step lifts it once, more sharply than it sinks (common practice, no source), turned any way, with the
 * noise of a cheap sensor.
 */
function carried(
  steps: number,
  wish: { perMin: number; liftMps2: number; noiseMps2: number; seed: number },
): MotionSample[] {
  const random = seededRandom(wish.seed);
  const turn = [random() - 0.5, random() - 0.5, random() - 0.5];
  const size = Math.hypot(...turn) || 1;
  const [ux, uy, uz] = turn.map(part => part / size) as [number, number, number];
  const stepMs = 60_000 / wish.perMin;
  const stillMs = 1500;
  const count = Math.round((stillMs * 2 + steps * stepMs) / EVERY_MS);
  return Array.from({ length: count }, (_, index) => {
    const timeMs = index * EVERY_MS;
    const walkedMs = timeMs - stillMs;
    const isWalking = walkedMs >= 0 && walkedMs < steps * stepMs;
    const phase = ((walkedMs % stepMs) / stepMs) * 2 * Math.PI;
    const lift = isWalking ? wish.liftMps2 * (Math.sin(phase) + 0.3 * Math.sin(2 * phase)) : 0;
    const noise = () => (random() - 0.5) * 2 * wish.noiseMps2;
    const along = GRAVITY_MPS2 + lift;
    return { timeMs, x: ux * along + noise(), y: uy * along + noise(), z: uz * along + noise() };
  });
}

const counted = (samples: readonly MotionSample[]) => {
  const counter = new StepCounter();
  for (const sample of samples) counter.take(sample);
  return counter.steps;
};

test.each([
  [80, 2.2],
  [100, 2.5],
  [115, 3],
  [125, 4],
])('at %i steps a minute, lifting by %f m/s²: 40 steps are 40, give or take one', (perMin, liftMps2) => {
  for (let seed = 1; seed <= 10; seed += 1) {
    const steps = counted(carried(40, { perMin, liftMps2, noiseMps2: 0.4, seed }));
    expect(Math.abs(steps - 40)).toBeLessThanOrEqual(1);
  }
});

test('somebody who stands still takes no step, though the sensor is noisy', () => {
  for (let seed = 1; seed <= 10; seed += 1)
    expect(counted(carried(0, { perMin: 100, liftMps2: 3, noiseMps2: 0.5, seed }))).toBe(0);
});

test('what is no reading counts nothing', () => {
  const counter = new StepCounter();
  expect(counter.take({ timeMs: 0, x: NaN, y: 0, z: 9 })).toBe(false);
  expect(counter.take({ timeMs: Infinity, x: 0, y: 0, z: 9 })).toBe(false);
  expect(counter.steps).toBe(0);
});
