import { Disc } from './Disc';
import classes from './rows.module.css';

type ReadyRow = { key: string; name: string; stage: string; ready: boolean; reason: string };

/** Each pair with a full disc where it has earned the next stage, an empty one where it has not yet, and why. */
export function ReadyRows({ rows }: { rows: readonly ReadyRow[] }) {
  return (
    <ul className={classes.rows}>
      {rows.map(({ key, name, stage, ready, reason }) => (
        <li key={key}>
          <svg viewBox="0 0 16 16" width="16" height="16" aria-hidden="true">
            <Disc x={8} y={8} r={6} hits={ready ? 1 : 0} of={1} />
          </svg>
          <span>
            <strong>{name}</strong> {ready ? 'ready' : 'not yet'}, after “{stage}”<small>{reason}</small>
          </span>
        </li>
      ))}
    </ul>
  );
}
