'use client';

import { TextInput } from '@mantine/core';
import { useState } from 'react';

export type Read<Value> = { ok: true; value: Value } | { ok: false; reason: string };

type CommitFieldProps<Value> = {
  label: string;
  /** The value as it stands, in words. */
  text: string;
  /** Reads what was typed, or says why it cannot be read. */
  read: (typed: string) => Read<Value>;
  /** Called with a good value once the field is left or Enter is pressed; returns a reason if it cannot be. */
  onCommit: (value: Value) => string | null;
  description?: string;
  disabled?: boolean;
  size?: 'sm' | 'lg';
};

/**
 * A field whose value counts once it is left. What was typed stays until it can be read, with the reason beside it;
 * leaving the field untouched changes nothing, not even by rounding. Escape brings the old value back.
 */
export function CommitField<Value>(props: CommitFieldProps<Value>) {
  const { label, text, read, onCommit, description, disabled, size = 'sm' } = props;
  const [typed, setTyped] = useState<string | null>(null);
  const [reason, setReason] = useState<string | null>(null);

  const reset = () => {
    setTyped(null);
    setReason(null);
  };
  const commit = () => {
    if (typed === null || typed.trim() === text) return reset();
    const result = read(typed);
    const fault = result.ok ? onCommit(result.value) : result.reason;
    if (fault === null) reset();
    else setReason(fault);
  };

  return (
    <TextInput
      label={label}
      description={description}
      disabled={disabled}
      size={size}
      value={typed ?? text}
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
