import { MAX_HORSE_HEIGHT_M, MIN_HORSE_HEIGHT_M, parseLength, type LengthUnit } from '@/core';
import { z } from 'zod';

/** A bare height says by its size what it is in: 1.6 metres, 15.3 hands, 160 centimetres. */
function unitOfBareHeight(text: string): LengthUnit {
  const value = Number.parseFloat(text.replace(',', '.'));
  if (value < 3) return 'm';
  return value < 30 ? 'hands' : 'cm';
}

/** A horse's height at the withers as typed, in metres. */
export const heightText = z.string().transform((text, context) => {
  if (text.trim() === '') {
    context.addIssue({ code: 'custom', message: 'Type the height, such as 15.2 hands or 158 cm.' });
    return z.NEVER;
  }
  const parsed = parseLength(text, { defaultUnit: unitOfBareHeight(text) });
  if (parsed.ok && parsed.lengthM >= MIN_HORSE_HEIGHT_M && parsed.lengthM <= MAX_HORSE_HEIGHT_M) return parsed.lengthM;
  context.addIssue({
    code: 'custom',
    message: parsed.ok ? 'A horse stands 60 to 220 cm (6 to 21.2 hands) at the withers.' : parsed.reason,
  });
  return z.NEVER;
});
