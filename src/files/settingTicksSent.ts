import { z } from 'zod';
import { MOST_LETTERS, MOST_TICKS, type SettingTick } from './settingTick';

const Tick: z.ZodType<SettingTick> = z.strictObject({
  piece: z.string().min(1).max(MOST_LETTERS.piece),
  place: z.string().max(MOST_LETTERS.place),
  ticked: z.boolean(),
  tappedAtMs: z.number().int().min(0).max(8.64e15),
});

/** Ticks as a page sends them, for the server to take. */
export const SettingTicks = z.strictObject({
  ticks: z.array(Tick).max(MOST_TICKS),
  /** The clock of the device when it sent this. */
  sentAtMs: z.number().int().min(0).max(8.64e15).optional(),
  /** The number of the last answer that the page had. */
  after: z.number().int().min(0).optional(),
});
