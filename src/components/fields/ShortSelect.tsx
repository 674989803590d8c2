import classes from './ShortSelect.module.css';

type ShortSelectProps = {
  'aria-label': string;
  value: string;
  data: readonly { value: string; label: string }[];
  onChange: (value: string) => void;
};

/** One of a few, in the browser's own list: under a thumb it is as large as the device makes it. */
export function ShortSelect({ value, data, onChange, ...props }: ShortSelectProps) {
  return (
    <select
      aria-label={props['aria-label']}
      className={classes.select}
      value={value}
      onChange={event => onChange(event.currentTarget.value)}
    >
      {data.map(one => (
        <option key={one.value} value={one.value}>
          {one.label}
        </option>
      ))}
    </select>
  );
}
