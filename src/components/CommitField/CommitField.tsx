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
  /** Called with a good value once the field is left or Enter is pressed; returns a reason if it cannot be, at once or later. */
  onCommit: (value: Value) => Fault | Promise<Fault>;
  description?: string;
  disabled?: boolean;
  size?: 'xs' | 'sm' | 'lg';
  /** The label is read aloud, and not shown: what stands beside the field says it. */
  hideLabel?: boolean;
  /** What stands in an empty field. */
  placeholder?: string;
};

/** Why a value cannot be; null where it can. */
export type Fault = string | null;

/**
 * A field whose value counts once it is left. What was typed stays until it can be read, with the reason beside it;
 * leaving the field untouched changes nothing, not even by rounding. Escape brings the old value back.
 */
export function CommitField<Value>(props: CommitFieldProps<Value>) {
  const { label, text, read, onCommit, description, disabled, size = 'sm', hideLabel, placeholder } = props;
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
    const tell = (reason: Fault) => (reason === null ? reset() : setReason(reason));
    if (fault instanceof Promise) void fault.then(tell);
    else tell(fault);
  };

  return (
    <TextInput
      label={hideLabel ? undefined : label}
      aria-label={hideLabel ? label : undefined}
      placeholder={placeholder}
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
