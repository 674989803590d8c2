'use client';

import { parseLength } from '@/core';
import { CommitField, type Fault, type Read } from '../CommitField/CommitField';
import { useLengths } from '../Lengths/LengthsProvider';

type LengthFieldProps = {
  label: string;
  /** The value shown, metres; null for none, where several differ. */
  lengthM: number | null;
  minM: number;
  maxM: number;
  /** Called with a good value; returns a reason if it cannot be, at once or later. */
  onCommit: (lengthM: number) => Fault | Promise<Fault>;
  description?: string;
  disabled?: boolean;
  size?: 'xs' | 'sm' | 'lg';
  hideLabel?: boolean;
  placeholder?: string;
};

const SIGN = /^\s*[-−]\s*/;

/** A length that can be typed in any unit; where less than nothing is allowed, with its sign. */
export function LengthField({ lengthM, minM, maxM, ...field }: LengthFieldProps) {
  const { unit, formatSigned } = useLengths();
  const read = (typed: string): Read<number> => {
    const below = minM < 0 && SIGN.test(typed);
    const parsed = parseLength(below ? typed.replace(SIGN, '') : typed, { defaultUnit: unit });
    if (!parsed.ok) return parsed;
    const value = below ? -parsed.lengthM : parsed.lengthM;
    if (value < minM || value > maxM)
      return { ok: false, reason: `${field.label} is ${formatSigned(minM)} to ${formatSigned(maxM)}.` };
    return { ok: true, value };
  };
  return <CommitField {...field} text={lengthM === null ? '' : formatSigned(lengthM)} read={read} />;
}
