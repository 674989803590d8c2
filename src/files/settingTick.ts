import { facingFromHeading, type Item, type PointM } from '@/core';
import { z } from 'zod';

/** A tap on a piece of a setting sheet: it stands, or it does not. */
export const SettingTick = z.strictObject({
  piece: z.string().min(1).max(90),
  place: z.string().max(120),
  ticked: z.boolean(),
  tappedAtMs: z.number().int().min(0).max(8.64e15),
});
export type SettingTick = z.infer<typeof SettingTick>;

export const SettingTicks = z.strictObject({ ticks: z.array(SettingTick).max(500) });

export type TicksAnswer = { kind: 'taken'; ticks: SettingTick[] } | { kind: 'refused'; problem: string };

/** Where a piece belongs, to the millimetre: a tick for another place says nothing of this one. */
export function placeOf(item: Pick<Item, 'at'> & { headingRad?: number }): string {
  const facing = item.headingRad === undefined ? '' : ` ${facingFromHeading(item.headingRad).toFixed(1)}`;
  return `${placeOfPoint(item.at)}${facing}`;
}

export const placeOfPoint = ({ xM, yM }: PointM) => `${xM.toFixed(3)} ${yM.toFixed(3)}`;
