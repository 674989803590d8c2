import { useSay } from '@/components/Lengths/LengthsProvider';
import { yardTime } from '@/app/_server/yardTime';
import { changeWords, type RecordNames } from '@/app/ride/recordWords';
import type { RecordChange } from '@/core';
import classes from './Record.module.css';

type ChangeListProps = { changes: readonly RecordChange[]; names: RecordNames; timeZone: string; title: string };

/** What was said otherwise: who, when, what it was before, and what it is after; the latest first. */
export function ChangeList({ changes, names, timeZone, title }: ChangeListProps) {
  const say = useSay();
  const latest = [...changes].sort((a, b) => b.atMs - a.atMs);
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      <ol className={classes.changes}>
        {latest.map(change => {
          const { what, before, after } = changeWords(names, change);
          return (
            <li key={change.id}>
              <strong>{say(what)}</strong>: {say(after)}, before {say(before)}
              <small>
                {yardTime(change.atMs, timeZone, 'ddd D MMM YYYY, HH:mm')}
                {change.by === null ? '' : `, by ${change.by}`}
                {change.undoes === null ? '' : ', by undo or redo'}
              </small>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
