import type { Arena } from '@/core';
import { z } from 'zod';
import { ArenaThings, Outline, OwnLetters } from './arenaShape';

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
  /** Its corners where it is no rectangle, its own letters where it has some, and what stands on it. */
  outline: Outline.nullable().default(null),
  ownLetters: OwnLetters.default([]),
  standing: ArenaThings.default([]),
});
export type ArenaMarks = z.infer<typeof ArenaMarks>;

export const NO_MARKS: ArenaMarks = ArenaMarks.parse({});

/** Stored marks; what an older Roan wrote has nothing of it. */
export function readArenaMarks(json: unknown): ArenaMarks {
  const parsed = ArenaMarks.safeParse(json);
  return parsed.success ? parsed.data : NO_MARKS;
}

/** What marks say of the shape of a sand: only what is other than a bare rectangle. */
export function shapeOf({
  outline,
  ownLetters,
  standing,
}: ArenaMarks): Pick<Arena, 'outline' | 'ownLetters' | 'standing'> {
  return {
    ...(outline ? { outline } : {}),
    ...(ownLetters.length > 0 ? { ownLetters } : {}),
    ...(standing.length > 0 ? { standing } : {}),
  };
}
