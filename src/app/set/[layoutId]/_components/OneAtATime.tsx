'use client';

import { Button, Progress } from '@mantine/core';
import { IconArrowLeft, IconArrowRight, IconCheck } from '@tabler/icons-react';
import { useState } from 'react';
import type { Ticks } from '../_state/useTicks';
import { Measures } from './Measures';
import type { SetStep } from './setStep';
import { StepPicture } from './StepPicture';
import classes from './OneAtATime.module.css';

type OneAtATimeProps = { steps: readonly SetStep[]; ticks: Ticks };

/** One step of the work, large, with buttons for the thumb below it. */
export function OneAtATime({ steps, ticks }: OneAtATimeProps) {
  const isTicked = ({ id, place }: SetStep) => ticks.isTicked(id, place) ?? false;
  const [at, setAt] = useState(() => firstOpen(steps, isTicked));
  const step = steps[Math.min(at, steps.length - 1)]!;
  const done = steps.filter(isTicked).length;
  const tap = () => {
    const stands = !isTicked(step);
    ticks.tap(step.id, step.place, stands);
    if (stands && at < steps.length - 1) setAt(at + 1);
  };
  return (
    <section className={`${classes.one} roan-no-print`} aria-label="One at a time">
      <Progress value={(done / steps.length) * 100} aria-label={`${done} of ${steps.length} stand`} size="sm" />
      <h2 className={classes.title}>
        <span>{step.label}</span> {step.name}
      </h2>
      <div className={classes.picture}>
        <StepPicture picture={step.picture} />
      </div>
      <Measures step={step} large />
      <div className={classes.thumb}>
        <Button
          size="xl"
          px="md"
          variant="default"
          aria-label="Back one"
          disabled={at === 0}
          onClick={() => setAt(at - 1)}
        >
          <IconArrowLeft />
        </Button>
        <Button
          size="xl"
          className={classes.stands}
          leftSection={<IconCheck />}
          disabled={!ticks.ready}
          aria-pressed={isTicked(step)}
          variant={isTicked(step) ? 'default' : 'filled'}
          onClick={tap}
        >
          It stands
        </Button>
        <Button
          size="xl"
          px="md"
          variant="default"
          aria-label="Next without a tick"
          disabled={at === steps.length - 1}
          onClick={() => setAt(at + 1)}
        >
          <IconArrowRight />
        </Button>
      </div>
    </section>
  );
}

function firstOpen(steps: readonly SetStep[], isTicked: (step: SetStep) => boolean): number {
  return Math.max(
    0,
    steps.findIndex(step => !isTicked(step)),
  );
}
