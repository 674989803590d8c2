'use client';

import { Modal } from '@/components/Modal/Modal';
import { Button } from '@mantine/core';
import { useMediaQuery } from '@mantine/hooks';
import type { Ticks } from '../_state/useTicks';
import { Measures } from './Measures';
import type { SetStep } from './setStep';
import { StepPicture } from './StepPicture';

type BigPieceProps = { step: SetStep; ticks: Ticks; onClose: () => void };

/** One piece by itself, large: how to put it back. */
export function BigPiece({ step, ticks, onClose }: BigPieceProps) {
  const isPhone = useMediaQuery('(max-width: 48em)');
  const put = () => {
    ticks.tap(step.id, step.place, true);
    onClose();
  };
  return (
    <Modal opened onClose={onClose} fullScreen={isPhone} size="lg" title={`Put it back: ${step.label}, ${step.name}`}>
      <StepPicture pictured={step.pictured} />
      <Measures step={step} large />
      <Button size="xl" fullWidth mt="md" disabled={!ticks.ready} onClick={put}>
        It stands again
      </Button>
    </Modal>
  );
}
