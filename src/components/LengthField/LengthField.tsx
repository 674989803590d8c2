'use client';

import { parseLength } from '@/core';
import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { useLengths } from '../Lengths/LengthsProvider';

type LengthFieldProps = {
  label: string;
  /** The value shown, metres. */
  lengthM: number;
  minM: number;
  maxM: number;
  /** Called with a good value once the field is left or Enter is pressed; never with a bad one. */
  onCommit: (lengthM: number) => void;
  description?: string;
  disabled?: boolean;
};

/**
 * A length that can be typed in any unit. What was typed stays in the field until it can be read, with the reason
 * beside it; leaving the field untouched changes nothing, not even by rounding.
 */
export function LengthField({ label, lengthM, minM, maxM, onCommit, description, disabled }: LengthFieldProps) {
  const { unit, format } = useLengths();
  const [typed, setTyped] = useState<string | null>(null);
  const [reason, setReason] = useState<string | null>(null);

  const commit = () => {
    if (typed === null || typed.trim() === format(lengthM)) return reset();
    const parsed = parseLength(typed, { defaultUnit: unit });
    if (!parsed.ok) return setReason(parsed.reason);
    if (parsed.lengthM < minM || parsed.lengthM > maxM)
      return setReason(`${label} is ${format(minM)} to ${format(maxM)}.`);
    reset();
    onCommit(parsed.lengthM);
  };
  const reset = () => {
    setTyped(null);
    setReason(null);
  };

  return (
    <TextInput
      label={label}
      description={description}
      disabled={disabled}
      size="sm"
      value={typed ?? format(lengthM)}
      error={reason}
      onChange={event => setTyped(event.currentTarget.value)}
      onBlur={commit}
      onKeyDown={event => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') reset();
      }}
    />
  );
}
