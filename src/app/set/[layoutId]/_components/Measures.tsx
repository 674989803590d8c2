'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { offWords } from '@/core';
import type { PrintedLine } from '@/files/printedSheet';
import { UnstyledButton } from '@mantine/core';
import { useState } from 'react';
import type { SetStep } from './setStep';
import classes from './Measures.module.css';

type MeasuresProps = { step: SetStep; large?: boolean };

/**
 * What to measure for one piece: words, tape and own steps to what matters, with the exact length a tap away; then the check and
 * what else is to be known.
 */
export function Measures({ step, large }: MeasuresProps) {
  const { formatChange } = useLengths();
  const [isExact, setExact] = useState(false);
  const length = (lengthM: number) => formatChange(lengthM).slice(1);
  const { lines, checks, notes, tolerance, walkedOffM, gapOffM } = step;
  const shown = (line: Pick<PrintedLine, 'tape' | 'rounded'>) => (isExact ? line.tape : line.rounded);
  const isRounded = [...lines, ...checks].some(({ tape, rounded }) => tape !== rounded);
  // What matters most is the first: the gap from the piece before.
  const matters = tolerance && `${offWords(tolerance, length)} ${tolerance.way} matters for ${tolerance.horse}`;
  return (
    <div className={classes.measures} data-large={large || undefined}>
      <dl className={classes.lines}>
        {lines.map((line, index) => (
          <div key={line.measure} className={classes.line} data-follows={line.follows || undefined}>
            <dt>{line.words}</dt>
            <dd>
              <strong>{shown(line)}</strong>
              {line.steps && <span>{isExact ? line.steps : line.roundedSteps}</span>}
              {line.follows && <span>where its own length ends</span>}
              {index === 0 && matters && <span className={classes.matters}>{matters}</span>}
            </dd>
          </div>
        ))}
        {checks.map(check => (
          <div key={check.words} className={classes.line} data-check="">
            <dt>Check: {check.words}</dt>
            <dd>
              <strong>{shown(check)}</strong>
            </dd>
          </div>
        ))}
      </dl>
      {isRounded && (
        <UnstyledButton
          className={`${classes.exact} roan-no-print`}
          aria-pressed={isExact}
          onClick={() => setExact(!isExact)}
        >
          {isExact ? 'To what matters' : 'Exactly'}
        </UnstyledButton>
      )}
      {notes.length > 0 && <p>{notes.join(' ')}</p>}
      {walkedOffM !== null && (
        <p>
          Walked in steps it may end up to {length(walkedOffM)} off its place
          {gapOffM !== null && `, the gap by itself up to ${length(gapOffM)}`}.
        </p>
      )}
    </div>
  );
}
