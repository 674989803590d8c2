'use client';

import { FitMark } from '@/components/FitMark/FitMark';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { countInWords, exerciseLabel, fittedPlan, layoutLabels, type Fit, type LegFit } from '@/core';
import { Button, Chip, Group, Progress, Text, Title } from '@mantine/core';
import { useState } from 'react';
import type { PlanControls } from '../_state/usePlanEditor';
import { moveWords } from './moveWords';
import type { OfferedChange } from '../_state/offeredMend';
import { useFit, type FitControls } from './useFit';
import { useFittedChange } from './useFittedChange';
import classes from './FitPanel.module.css';

type FitPanelProps = {
  controls: PlanControls;
  /** What it would do, to be drawn beside what stands. */
  onFitted: (change: OfferedChange | null) => void;
};

/** Fences moved as little as they must so that every line rides as asked for the group: looked at first, then made. */
export default function FitPanel({ controls, onFitted }: FitPanelProps) {
  const fit = useFit(controls);
  useFittedChange(fit.state, onFitted);
  const { horses } = controls.shown.resolved.layout;
  const [left, setLeft] = useState<readonly string[]>([]);
  const chosen = horses.map(({ id }) => id).filter(id => !left.includes(id));
  const { state } = fit;
  const locked = controls.present.plan.lockedIds.length;
  if (horses.length === 0)
    return <Text size="sm">Choose who rides first: then Roan finds where the fences suit all of them.</Text>;
  return (
    <section aria-label="Fit it" className={classes.fit}>
      <Title order={2} size="h4">
        Fit it
      </Title>
      <Text size="sm">
        What moves least so that every line rides in the count you asked, or in the one that serves most, for these
        horses. {locked > 0 ? `What you locked (${locked}) stays where it is.` : 'Lock what must stay where it is.'}
      </Text>
      <Chip.Group
        multiple
        value={chosen}
        onChange={value => setLeft(horses.map(({ id }) => id).filter(id => !value.includes(id)))}
      >
        <Group gap={6} role="group" aria-label="For whom">
          {horses.map(({ id, name }) => (
            <Chip key={id} value={id} size="xs">
              {name}
            </Chip>
          ))}
        </Group>
      </Chip.Group>
      {state.kind === 'running' ? (
        <>
          <Progress value={state.share * 100} aria-label="How far it is" />
          <Button size="xs" variant="default" onClick={fit.stop}>
            Stop, and take the best so far
          </Button>
        </>
      ) : (
        <Button size="xs" disabled={chosen.length === 0} onClick={() => fit.begin(chosen)}>
          {state.kind === 'done' ? 'Fit it again' : 'Fit it'}
        </Button>
      )}
      {state.kind === 'failed' && (
        <Text size="sm" role="alert">
          It could not be reckoned here: nothing was changed. Load the page again and try once more.
        </Text>
      )}
      {state.kind === 'done' && <Answer {...{ controls, fit }} answer={state.fit} />}
    </section>
  );
}

type AnswerProps = { controls: PlanControls; fit: FitControls; answer: Fit };

function Answer({ controls, fit, answer }: AnswerProps) {
  const { moved, reading } = answer;
  if (moved.length === 0)
    return (
      <Text size="sm" role="status">
        Nothing that may move would make it better for them: {reading.rodeBefore} of {reading.all} rides are quiet, easy
        or forward.
      </Text>
    );
  const make = () => {
    controls.change(plan => fittedPlan(plan, answer));
    fit.forget();
  };
  return (
    <>
      <Text size="sm" fw={600} role="status">
        {reading.rideAfter} of {reading.all} rides are quiet, easy or forward; before, {reading.rodeBefore}.
      </Text>
      <Legs {...{ controls }} legs={reading.legs} />
      <Moves {...{ controls, answer }} />
      <Group gap={6}>
        <Button size="xs" onClick={make}>
          Move them so
        </Button>
        <Button size="xs" variant="default" onClick={fit.forget}>
          Cancel
        </Button>
      </Group>
    </>
  );
}

/** What each line is for each horse: where it changes, what it was before too. */
function Legs({ controls, legs }: { controls: PlanControls; legs: readonly LegFit[] }) {
  const { short } = layoutLabels(controls.shown.resolved.layout);
  return (
    <table className={classes.legs}>
      <caption>What each horse gets</caption>
      <tbody>
        {legs.map(({ track, leg, from, to, strides, asked, horses }) => (
          <tr key={`${track} ${leg}`}>
            <th scope="row">
              {short(from)} to {short(to)} in {countInWords(strides)}
              {asked && ', asked'}
            </th>
            <td>
              <ul>
                {horses.map(({ horseId, horse, before, after }) => (
                  <li key={horseId}>
                    <span>{horse}</span>
                    {after === null ? 'cannot be ridden' : <FitMark word={after} />}
                    {before !== after && <small>was {before ?? 'not to be ridden'}</small>}
                  </li>
                ))}
              </ul>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What is moved, and which way along its line. */
function Moves({ controls, answer }: { controls: PlanControls; answer: Fit }) {
  const { format } = useLengths();
  const { layout, exercises } = controls.shown.resolved;
  const { inWords } = layoutLabels(layout);
  const called = (id: string) =>
    exercises.some(({ placed }) => placed.id === id) ? exerciseLabel(exercises, id) : inWords(id);
  return (
    <div>
      <Text size="sm" fw={600}>
        What moves
      </Text>
      <ul className={classes.moves}>
        {answer.moved.map(({ piece, move }) => (
          <li key={piece.id}>
            {called(piece.id)}: {moveWords(move, format)}
          </li>
        ))}
      </ul>
    </div>
  );
}
