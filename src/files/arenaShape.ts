import { ARENA_THING_KINDS, MOST_CORNERS, outlineAreaM2, outlineFault } from '@/core';
import { z } from 'zod';

const Place = z.strictObject({ xM: z.number().min(-1).max(201), yM: z.number().min(-1).max(201) });

/** The corners of a sand that is no rectangle, anticlockwise. */
export const Outline = z
  .array(Place)
  .min(3)
  .max(MOST_CORNERS)
  .superRefine((corners, context) => {
    const fault = outlineFault(corners);
    if (fault) context.addIssue({ code: 'custom', message: fault });
    else if (outlineAreaM2(corners) < 0)
      context.addIssue({
        code: 'custom',
        message: 'The corners of an outline go round anticlockwise, as seen from above.',
      });
  });

/** Letters at places of the yard’s own. */
export const OwnLetters = z
  .array(z.strictObject({ letter: z.string().trim().min(1).max(3), at: Place }))
  .max(40)
  .superRefine((letters, context) => {
    const twice = letters.find(({ letter }, index) => letters.findIndex(one => one.letter === letter) !== index);
    if (twice) context.addIssue({ code: 'custom', message: `The letter “${twice.letter}” stands there twice.` });
  });

/** What stands on the sand for good. */
export const ArenaThings = z
  .array(
    z.strictObject({
      kind: z.enum(ARENA_THING_KINDS),
      name: z.string().trim().min(1).max(40).nullable(),
      at: Place,
      radiusM: z.number().min(0.05).max(20),
    }),
  )
  .max(40);
