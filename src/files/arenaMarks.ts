import { z } from 'zod';

const Metres = z.number().min(-5).max(205);
const Facing = z.number().min(0).lt(360);

/**
 * What is marked on an arena's sand: where one comes in, how the ground falls, which way home lies, and the places that
 * are bad. Directions are facings, clockwise from "towards C".
 */
export const ArenaMarks = z.strictObject({
  entrance: z.strictObject({ xM: Metres, yM: Metres }).nullable().default(null),
  fall: z
    .strictObject({ facingDeg: Facing, percent: z.number().gt(0).max(30) })
    .nullable()
    .default(null),
  homeFacingDeg: Facing.nullable().default(null),
  patches: z
    .array(
      z.strictObject({
        id: z.string().min(1).max(60),
        at: z.strictObject({ xM: Metres, yM: Metres }),
        radiusM: z.number().min(0.5).max(20),
        words: z.string().trim().min(1).max(80),
      }),
    )
    .max(40)
    .default([]),
  /** Where it lies on the earth: its corner left of A, and the way its long side runs, clockwise from north. */
  place: z
    .strictObject({
      latDeg: z.number().min(-85).max(85),
      lonDeg: z.number().min(-180).max(180),
      bearingDeg: z.number().min(0).lt(360),
    })
    .nullable()
    .default(null),
});
export type ArenaMarks = z.infer<typeof ArenaMarks>;

export const NO_MARKS: ArenaMarks = ArenaMarks.parse({});

/** Stored marks; what an older Roan wrote has nothing of it. */
export function readArenaMarks(json: unknown): ArenaMarks {
  const parsed = ArenaMarks.safeParse(json);
  return parsed.success ? parsed.data : NO_MARKS;
}
