'use client';

import { Button, Progress } from '@mantine/core';
import { IconArrowLeft, IconArrowRight, IconCheck } from '@tabler/icons-react';
import { useState } from 'react';
import type { Ticks } from '../_state/useTicks';
import { Measures } from './Measures';
import type { SetStep } from './setStep';
import type { GroundTruth } from '../_state/useGroundTruth';
import type { Walker } from './walker';
import { WalkHere } from './WalkHere';
import { StepPicture } from './StepPicture';
import classes from './OneAtATime.module.css';

type OneAtATimeProps = {
  steps: readonly SetStep[];
  ticks: Ticks;
  truth: GroundTruth;
  /** Whose steps are counted; null with a tape only. */
  walker: Walker | null;
};

/** One step of the work, large, with buttons for the thumb below it. */
export function OneAtATime({ steps, ticks, truth, walker }: OneAtATimeProps) {
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
        <StepPicture pictured={step.pictured} />
      </div>
      <Measures step={step} large />
      {walker && <WalkHere key={step.id} step={step} truth={truth} walker={walker} />}
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
