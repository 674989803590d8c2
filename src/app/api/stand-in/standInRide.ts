import 'server-only';
import {
  profileStride,
  riddenRow,
  seededNormal,
  seededRandom,
  simulateRide,
  TEST_PACES,
  PASS_SPREAD,
  type FootLanding,
  type ProfileStride,
  type SimulatedGait,
  type TestPace,
} from '@/core';
import { findHorse, type Horse } from '@/data/queries/horses';
import { findLayout } from '@/data/queries/layouts';
import { madeLayout } from '@/data/queries/layoutVersions';
import { z } from 'zod';
import { yardContext } from '../../_server/yardContext';
import { Id } from '@/app/_server/refusal';

/** How much one stride differs from the next within a pass, as a share (common practice, no source). */
const STRIDE_SPREAD = 0.015;

/** A number in an address; an empty one is none, not zero. */
const numberText = (min: number, max: number) =>
  z
    .string()
    .regex(/^\d+(\.\d+)?$/, 'a plain number')
    .transform(Number)
    .pipe(z.number().min(min).max(max));

const Wish = z.object({
  horseId: Id,
  gait: z.enum(['walk', 'trot', 'canter']).default('trot'),
  pace: z.enum(TEST_PACES).default('normal'),
  seed: numberText(0, 1e9),
  /** Metres of lane, or a layout whose row is ridden over. */
  laneM: numberText(1, 200).optional(),
  layoutId: z.string().max(60).optional(),
  /** How much faster than life it is played. */
  speed: numberText(1, 20).default(1),
});

export type StandInRide = { ok: true; landings: FootLanding[]; speed: number } | { ok: false; problem: string };

/** A simulated ride as it is asked for in an address: the same seed gives the same ride. */
export async function standInRide(address: string): Promise<StandInRide> {
  const wish = Wish.safeParse(Object.fromEntries(new URL(address).searchParams));
  if (!wish.success) {
    const issue = wish.error.issues[0]!;
    return { ok: false, problem: `${issue.path.join('.')}: ${issue.message}` };
  }
  const { horseId, seed, speed, pace } = wish.data;
  const { db, yard } = await yardContext();
  const horse = await findHorse(db, yard.id, horseId);
  if (!horse) return { ok: false, problem: 'horseId: this horse is not in the yard.' };
  const ground = await groundOf(wish.data, horse);
  if ('problem' in ground) return { ok: false, problem: ground.problem };
  const random = seededRandom(seed);
  const strideM = pacedM(ground.stride, pace) * (1 + PASS_SPREAD * seededNormal(random));
  const ride = { gait: ground.gait, strideM, laneM: ground.laneM, spread: STRIDE_SPREAD };
  return { ok: true, landings: simulateRide(ride, random), speed };
}

function pacedM({ shortM, normalM, longM }: ProfileStride, pace: TestPace): number {
  return { short: shortM, normal: normalM, long: longM }[pace];
}

const SIMULATED = ['walk', 'trot', 'canter'] as const;

type RideGround = { gait: SimulatedGait; laneM: number; stride: ProfileStride };

/** What is ridden over, and with which stride: a lane with the lane's, a row of poles with the horse's over poles. */
async function groundOf(wish: z.infer<typeof Wish>, horse: Horse): Promise<RideGround | { problem: string }> {
  if (wish.layoutId === undefined || wish.layoutId === '') {
    const stride = profileStride(horse, wish.gait);
    if (!stride) return { problem: 'gait: nobody knows this horse’s stride in it.' };
    return { gait: wish.gait, laneM: wish.laneM ?? 20, stride };
  }
  const { db, yard } = await yardContext();
  const layout = await findLayout(db, yard.id, wish.layoutId);
  const made = layout && (await madeLayout(db, yard.id, layout));
  const row = made && riddenRow(made);
  if (!row) return { problem: 'layoutId: this layout is not in the yard, or goes over nothing.' };
  const gait = SIMULATED.find(one => one === row.gait);
  if (row.spacingM === null || !gait) return { problem: 'layoutId: the stand-in rides over an even row of poles.' };
  const overPoles = profileStride(horse, `${gait}-poles`)!;
  // Poles are spaced by the step at walk and trot: a stride is two of them.
  const steps = gait === 'canter' ? 1 : 2;
  const stride = {
    ...overPoles,
    shortM: overPoles.shortM * steps,
    normalM: overPoles.normalM * steps,
    longM: overPoles.longM * steps,
  };
  return { gait, laneM: Math.max(1, (row.items - 1) * row.spacingM), stride };
}
