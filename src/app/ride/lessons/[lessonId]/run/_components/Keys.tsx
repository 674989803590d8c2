import classes from './RunLesson.module.css';

type KeysProps<Value extends string | number> = {
  label: string;
  value: Value | null;
  options: readonly { value: Value; label: string }[];
  onChoose: (value: Value) => void;
  disabled?: boolean;
  /** Six short keys in a row. */
  short?: boolean;
};

/** Large keys of which one holds. */
export function Keys<Value extends string | number>({
  label,
  value,
  options,
  onChoose,
  disabled,
  short,
}: KeysProps<Value>) {
  return (
    <div role="group" aria-label={label} className={short ? classes.counts : classes.keys}>
      {options.map(option => (
        <button
          key={option.value}
          type="button"
          aria-pressed={option.value === value}
          className={classes.key}
          disabled={disabled}
          onClick={() => onChoose(option.value)}
        >
          {option.label}
        </button>
      ))}
    </div>
  );
}
