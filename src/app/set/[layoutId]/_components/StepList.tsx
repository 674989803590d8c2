import { useMoreAndMore } from '@/components/useMoreAndMore';
import { UnstyledButton } from '@mantine/core';
import type { Ticks } from '../_state/useTicks';
import { Measures } from './Measures';
import type { SetStep } from './setStep';
import { StepPicture } from './StepPicture';
import classes from './StepList.module.css';

/** More than most layouts have. */
const FIRST_STEPS = 60;

type StepListProps = { steps: readonly SetStep[]; ticks: Ticks; onPiece: (id: string) => void };

/** Every peg and piece in the order of the work, each with its measures, its check and a box to tick. */
export function StepList({ steps, ticks, onPiece }: StepListProps) {
  const shown = useMoreAndMore(FIRST_STEPS, steps.length);
  return (
    <ol className={classes.list} aria-label="Pieces in the order of the work">
      {steps.slice(0, shown).map(step => {
        const isTicked = ticks.isTicked(step.id, step.place) ?? false;
        return (
          <li key={step.id} className={classes.step} data-ticked={isTicked || undefined} data-step={step.id}>
            <div className={classes.head}>
              <input
                type="checkbox"
                className={classes.tick}
                aria-label={`${step.label} stands`}
                checked={isTicked}
                disabled={!ticks.ready}
                onChange={event => ticks.tap(step.id, step.place, event.currentTarget.checked)}
              />
              <UnstyledButton className={classes.name} onClick={() => onPiece(step.id)}>
                <span className={classes.number}>{step.label}</span> {step.name}
                <small className="roan-no-print">put it back: these alone, large</small>
              </UnstyledButton>
            </div>
            <div className={classes.body}>
              <div className={classes.picture}>
                <StepPicture pictured={step.pictured} />
              </div>
              <Measures step={step} />
            </div>
          </li>
        );
      })}
    </ol>
  );
}
