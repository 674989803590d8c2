'use client';

import { useAct } from '@/components/form/useAct';
import { useSaveId } from '@/components/sync/useSaveId';
import { planGoalWeeksAction } from '@/app/ride/season/actions';
import { Modal } from '@/components/Modal/Modal';
import { Select } from '@/components/fields/Select';
import { Button, Stack, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';

type PlanWeeksProps = {
  goalId: string;
  words: string;
  arenas: readonly { id: string; name: string }[];
  startsAt: string;
  onClose: () => void;
};

/** Unrolls the weeks to a goal that is a stage: a lesson a week, from a day on. */
export function PlanWeeks({ goalId, words, arenas, startsAt: first, onClose }: PlanWeeksProps) {
  const router = useRouter();
  const nameSave = useSaveId();
  const [arenaId, setArenaId] = useState(arenas[0]?.id ?? '');
  const [startsAt, setStartsAt] = useState(first);
  const { act, busy, problem } = useAct('The server does not answer: nothing was planned.');
  const plan = () => {
    const start = { goalId, arenaId, startsAt };
    act(
      () => planGoalWeeksAction(start, nameSave(start)),
      () => router.push('/ride/season'),
    );
  };
  return (
    <Modal opened onClose={onClose} title={`The weeks to “${words}”`}>
      <Stack gap="sm">
        <p>A lesson a week, each a stage farther. Where a stage is not earned, the rest waits.</p>
        <Select
          label="Sand"
          allowDeselect={false}
          value={arenaId}
          data={arenas.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={id => id && setArenaId(id)}
        />
        <TextInput
          type="datetime-local"
          label="The first lesson"
          value={startsAt}
          onChange={event => setStartsAt(event.currentTarget.value)}
        />
        {problem && <p role="alert">{problem}</p>}
        <Button mih={44} loading={busy} disabled={startsAt === ''} onClick={plan}>
          Plan the weeks
        </Button>
      </Stack>
    </Modal>
  );
}
