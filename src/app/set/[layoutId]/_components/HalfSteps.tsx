'use client';

import { useAct } from '@/components/form/useAct';
import { formatLength } from '@/core';
import { Alert, Button } from '@mantine/core';
import { useState } from 'react';
import { roundStepsAction, type RoundedSteps } from '../../actions';
import { ChangedLegs } from './ChangedLegs';
import type { SetStep } from './setStep';
import type { Walker } from './walker';
import classes from './HalfSteps.module.css';

type HalfStepsProps = {
  layoutId: string;
  walker: Walker;
  measureBy: string;
  stage: string | null;
  steps: readonly SetStep[];
};

/** Walking in half steps only, without a tape: which way to round each measure, and what that does to the horses. */
export function HalfSteps({ layoutId, walker, measureBy, stage, steps }: HalfStepsProps) {
  const [rounded, setRounded] = useState<RoundedSteps | null>(null);
  const { act, busy, problem } = useAct('The server does not answer: try again in a moment.');
  const round = () => act(() => roundStepsAction(layoutId, walker.id, measureBy, stage), setRounded);
  if (!rounded)
    return (
      <div className={`${classes.offer} roan-no-print`} data-choices="">
        <Button variant="default" loading={busy} onClick={round}>
          No tape? Round to half steps of {walker.name}
        </Button>
        {problem && <Alert color="ochre">{problem}</Alert>}
      </div>
    );
  const counts = new Map(rounded.steps);
  const walked = (count: number) =>
    formatLength(count * walker.stepLengthM, 'steps', { stepLengthM: walker.stepLengthM });
  return (
    <section className={classes.box} aria-label="In half steps">
      <h2>In half steps of {walker.name}</h2>
      <p>
        {wordsChange(rounded.changedWords)}{' '}
        {rounded.isBest
          ? 'Every way of rounding these measures was tried: none hurts the horses less.'
          : 'The measures were rounded together, one and two at a time, as long as that hurt the horses less.'}
      </p>
      <ol className={classes.steps}>
        {steps.map(({ id, label, lines }) => (
          <li key={id}>
            <strong>{label}</strong>
            <ul>
              {lines.flatMap(({ measure, words }) => {
                const count = counts.get(measure);
                return count === undefined
                  ? []
                  : [
                      <li key={measure}>
                        {words}: <strong>{walked(count)}</strong>
                      </li>,
                    ];
              })}
            </ul>
          </li>
        ))}
      </ol>
      <ChangedLegs changes={rounded.changes} />
      <Button variant="subtle" className="roan-no-print" onClick={() => setRounded(null)}>
        Back to the exact measures
      </Button>
    </section>
  );
}

/** How much rounding changes of what is said of the horses. */
function wordsChange(count: number): string {
  if (count === 0) return 'No word changes for any horse.';
  return count === 1 ? 'One word changes.' : `${count} words change.`;
}
