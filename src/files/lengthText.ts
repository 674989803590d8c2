import { parseLength, type ParseLengthOptions } from '@/core';
import { z } from 'zod';

export type LengthTextOptions = ParseLengthOptions & {
  /** What the length is of, for the sentence: "The pole". */
  what: string;
  minM: number;
  maxM: number;
  /** The bounds in words, as the reader writes them. */
  bounds: string;
};

/** A typed length, in any unit, as metres within bounds; says what is wrong otherwise. */
export function lengthText({ what, minM, maxM, bounds, ...options }: LengthTextOptions) {
  return z.string().transform((text, context) => {
    const parsed = parseLength(text, options);
    if (parsed.ok && parsed.lengthM >= minM && parsed.lengthM <= maxM) return parsed.lengthM;
    context.addIssue({ code: 'custom', message: parsed.ok ? `${what} is ${bounds}.` : parsed.reason });
    return z.NEVER;
  });
}
