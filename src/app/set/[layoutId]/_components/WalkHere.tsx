import { CountWalk } from '@/components/CountWalk/CountWalk';
import { Button } from '@mantine/core';
import { IconWalk } from '@tabler/icons-react';
import { useState } from 'react';
import type { GroundTruth } from '../_state/useGroundTruth';
import { ChangedLegs } from './ChangedLegs';
import type { SetStep } from './setStep';
import type { Walker } from './walker';

type WalkHereProps = { step: SetStep; truth: GroundTruth; walker: Walker };

/** Counts the first way of a step while it is walked, and says where that puts the piece and what it does to each horse. */
export function WalkHere({ step, truth, walker }: WalkHereProps) {
  const [open, setOpen] = useState(false);
  const way = step.lines.find(({ steps }) => steps !== null);
  if (!way) return null;
  const typed = truth.measure(way.measure);
  const done = (walked: string) => {
    truth.typeMeasure(way.measure, walked);
    setOpen(false);
  };
  return (
    <div>
      <Button variant="default" leftSection={<IconWalk size={20} />} onClick={() => setOpen(true)}>
        Count it while walking
      </Button>
      {typed.text !== '' && (
        <div role="status">
          <p>Walked: {typed.text}. It is kept under “As measured”.</p>
          {truth.ground.kind === 'measured' && <ChangedLegs changes={truth.ground.changes} />}
          {truth.ground.kind === 'faulty' && <p>{truth.ground.problem}</p>}
        </div>
      )}
      {open && (
        <CountWalk
          label={`${step.label}, ${way.words}`}
          planned={way.roundedSteps}
          stepM={walker.stepLengthM}
          onDone={done}
          onClose={() => setOpen(false)}
        />
      )}
    </div>
  );
}
