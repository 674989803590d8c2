'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { SetStep } from './setStep';
import classes from './Measures.module.css';

type MeasuresProps = { step: SetStep; large?: boolean };

/** What to measure for one piece: words, tape and own steps, then the check and what else is to be known. */
export function Measures({ step, large }: MeasuresProps) {
  const { formatChange } = useLengths();
  const length = (lengthM: number) => formatChange(lengthM).slice(1);
  const { lines, checks, notes, tolerance, walkedOffM } = step;
  return (
    <div className={classes.measures} data-large={large || undefined}>
      <dl className={classes.lines}>
        {lines.map(({ words, measure, tape, steps, follows }) => (
          <div key={measure} className={classes.line} data-follows={follows || undefined}>
            <dt>{words}</dt>
            <dd>
              <strong>{tape}</strong>
              {steps && <span>{steps}</span>}
              {follows && <span>where its own length ends</span>}
            </dd>
          </div>
        ))}
        {checks.map(({ words, tape }) => (
          <div key={words} className={classes.line} data-check="">
            <dt>Check: {words}</dt>
            <dd>
              <strong>{tape}</strong>
            </dd>
          </div>
        ))}
      </dl>
      {notes.length > 0 && <p>{notes.join(' ')}</p>}
      {tolerance && (
        <p>
          May be {length(tolerance.offM)} off ({tolerance.way}) before {tolerance.horse} reads “{tolerance.after}”.
        </p>
      )}
      {walkedOffM !== null && <p>Walked in steps, it may end up to {length(walkedOffM)} off.</p>}
    </div>
  );
}
