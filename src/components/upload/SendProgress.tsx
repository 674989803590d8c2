import { Button, Group, Progress, Text } from '@mantine/core';
import type { SendStep } from './uploadFile';

const WORDS = { reading: 'Reading the file', sending: 'Sending it', waiting: 'Roan looks at it' } as const;

/** How far a file is on its way, and a way to stop it. */
export function SendProgress({ step, onStop }: { step: SendStep; onStop: () => void }) {
  const percent = Math.round(step.share * 100);
  return (
    <Group gap="sm" role="status" w="100%">
      <Text size="sm">
        {WORDS[step.step]} {step.step === 'waiting' ? '…' : `${percent} %`}
      </Text>
      <Progress value={percent} animated={step.step === 'waiting'} flex={1} miw={80} aria-label={WORDS[step.step]} />
      <Button size="xs" variant="default" onClick={onStop}>
        Stop
      </Button>
    </Group>
  );
}
