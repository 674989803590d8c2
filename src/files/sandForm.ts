import { z } from 'zod';
import { layoutForm } from './yardForms';

/** What stands at the end of a way that was walked. */
export const WALKED_CHOICES = ['pole', 'cross-rail', 'vertical', 'oxer'] as const;
export const WALKED_FROM = ['near', 'far', 'left', 'right'] as const;
const LengthM = z.number().min(0).max(200);

/** A layout that is made of what stands on the sand, as it is sent. */
export const sandForm = layoutForm.extend({
  from: z.enum(WALKED_FROM),
  fromLeftHandM: LengthM,
  pieces: z
    .array(z.strictObject({ gapM: LengthM, choice: z.enum(WALKED_CHOICES) }))
    .min(1, 'Walk to the first piece.')
    .max(40, 'A line has at most 40 pieces.'),
});
