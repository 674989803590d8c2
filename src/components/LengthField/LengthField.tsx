'use client';

import { parseLength } from '@/core';
import { CommitField, type Read } from '../CommitField/CommitField';
import { useLengths } from '../Lengths/LengthsProvider';

type LengthFieldProps = {
  label: string;
  /** The value shown, metres. */
  lengthM: number;
  minM: number;
  maxM: number;
  /** Called with a good value; returns a reason if it cannot be. */
  onCommit: (lengthM: number) => string | null;
  description?: string;
  disabled?: boolean;
};

/** A length that can be typed in any unit. */
export function LengthField({ lengthM, minM, maxM, ...field }: LengthFieldProps) {
  const { unit, format } = useLengths();
  const read = (typed: string): Read<number> => {
    const parsed = parseLength(typed, { defaultUnit: unit });
    if (!parsed.ok) return parsed;
    if (parsed.lengthM < minM || parsed.lengthM > maxM)
      return { ok: false, reason: `${field.label} is ${format(minM)} to ${format(maxM)}.` };
    return { ok: true, value: parsed.lengthM };
  };
  return <CommitField {...field} text={format(lengthM)} read={read} />;
}
