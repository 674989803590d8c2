'use client';

import { useCountedSteps } from '@/components/motion/useCountedSteps';
import { formatLength } from '@/core';
import { Modal } from '@/components/Modal/Modal';
import { Button } from '@mantine/core';
import { useMediaQuery } from '@mantine/hooks';
import classes from './CountWalk.module.css';

type CountWalkProps = {
  /** What is walked: "1 to 2". */
  label: string;
  /** What the sheet says for it; null where it stood there already. */
  planned: string | null;
  stepM: number;
  /** Called with the steps as somebody would type them: “7½ steps”. */
  onDone: (typed: string) => void;
  onClose: () => void;
};

/** Counting while walking: a tap anywhere on the large key is a step, or the phone counts. */
export function CountWalk({ label, planned, stepM, onDone, onClose }: CountWalkProps) {
  const isPhone = useMediaQuery('(max-width: 48em)');
  const { steps, listening, problem, add, listen, stop, reset } = useCountedSteps();
  const typed = formatLength(steps * stepM, 'steps', { stepLengthM: stepM });
  return (
    <Modal opened onClose={onClose} fullScreen={isPhone} size="md" title={`Walk it: ${label}`}>
      <div className={classes.walk}>
        {planned !== null && <p>The sheet says {planned}.</p>}
        <Button className={classes.key} onClick={() => add(1)} aria-label="One step">
          <span className={classes.count} role="status" aria-label="Steps so far">
            {typed}
          </span>
          <span>{listening ? 'The phone counts' : 'Tap for each step'}</span>
        </Button>
        <div className={classes.row}>
          <Button variant="default" onClick={() => add(0.5)}>
            Half a step
          </Button>
          <Button variant="default" disabled={steps === 0} onClick={() => add(steps >= 1 ? -1 : -0.5)}>
            One back
          </Button>
          <Button variant="default" disabled={steps === 0} onClick={reset}>
            Count again
          </Button>
        </div>
        <Button variant="default" onClick={() => (listening ? stop() : void listen())} aria-pressed={listening}>
          {listening ? 'Stop counting' : 'Let the phone count'}
        </Button>
        {problem && <p role="alert">{problem}</p>}
        <Button
          size="lg"
          disabled={steps === 0}
          onClick={() => {
            stop();
            onDone(typed);
          }}
        >
          I am there
        </Button>
      </div>
    </Modal>
  );
}
