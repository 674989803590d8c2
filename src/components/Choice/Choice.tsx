'use client';

import { useEffect, useId, useRef, type ReactNode } from 'react';
import classes from './Choice.module.css';

type ChoiceProps<Value extends string> = {
  'aria-label': string;
  data: readonly { value: Value; label: ReactNode }[];
  value: Value;
  onChange: (value: Value) => void;
  disabled?: boolean;
  /** As wide as there is room. */
  fullWidth?: boolean;
  size?: 'xs' | 'sm' | 'md' | 'xl';
  className?: string;
};

/**
 * One of a few, all of them in sight, in the browser's own radios. What was chosen before the page was alive (a slow phone, a page
 * that was kept) is taken as it comes alive: the browser shows it as chosen, so that a second tap on it would say nothing.
 */
export function Choice<Value extends string = string>(props: ChoiceProps<Value>) {
  const { data, value, onChange, disabled, fullWidth, size = 'sm', className = '' } = props;
  const root = useRef<HTMLDivElement>(null);
  const name = useId();
  useEffect(() => {
    const early = root.current?.querySelector<HTMLInputElement>('input:checked')?.value;
    if (early !== undefined && early !== value) onChange(early as Value);
    // As it comes alive, and never again.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return (
    <div
      ref={root}
      role="radiogroup"
      aria-label={props['aria-label']}
      className={`${classes.track} roan-no-print ${className}`}
      data-size={size}
      data-full-width={fullWidth || undefined}
    >
      {data.map(one => (
        <label key={one.value} className={classes.word}>
          <input
            type="radio"
            className={classes.radio}
            name={name}
            value={one.value}
            checked={one.value === value}
            disabled={disabled}
            onChange={() => onChange(one.value)}
          />
          {one.label}
        </label>
      ))}
    </div>
  );
}
