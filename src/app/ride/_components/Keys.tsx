import { useSay } from '@/components/Lengths/LengthsProvider';
import type { CSSProperties } from 'react';
import classes from './Keys.module.css';

type KeysProps<Value extends string | number> = {
  label: string;
  value: Value | null;
  options: readonly { value: Value; label: string }[];
  onChoose: (value: Value) => void;
  disabled?: boolean;
  /** Short keys: up to six in a row. */
  short?: boolean;
};

/** Short keys fill their row. */
const inARow = (keys: number) => ({ '--keys': Math.min(6, keys) }) as CSSProperties;

/** Large keys of which one holds. */
export function Keys<Value extends string | number>({
  label,
  value,
  options,
  onChoose,
  disabled,
  short,
}: KeysProps<Value>) {
  const say = useSay();
  return (
    <div
      role="group"
      aria-label={say(label)}
      className={short ? classes.counts : classes.keys}
      style={inARow(options.length)}
    >
      {options.map(option => (
        <button
          key={option.value}
          type="button"
          aria-pressed={option.value === value}
          className={classes.key}
          disabled={disabled}
          onClick={() => onChoose(option.value)}
        >
          {say(option.label)}
        </button>
      ))}
    </div>
  );
}
