'use client';

import { anewWithout } from '@/components/offline/forgetKept';
import { Alert, Button, Group, Stack } from '@mantine/core';
import { useState } from 'react';
import { chooseYardAction } from '../actions';

/** `as`: who one is there. */
export type YardHere = { id: string; name: string; as: string };

/** Goes to another yard: what waits to be sent stays with the yard that it was tapped in. */
export function YardChoice({ yards, nowId }: { yards: readonly YardHere[]; nowId: string }) {
  const [problem, setProblem] = useState<string | null>(null);
  const [going, setGoing] = useState<string | null>(null);
  const choose = async (id: string) => {
    setGoing(id);
    setProblem(null);
    const outcome = await chooseYardAction(id).catch(() => null);
    if (outcome?.ok) return anewWithout('/');
    setGoing(null);
    setProblem(outcome?.problem ?? 'The server did not answer: this yard is still shown.');
  };
  return (
    <Stack gap="xs">
      {yards.map(({ id, name, as }) => (
        <Group key={id} justify="space-between">
          <span>
            <strong>{name}</strong> {as && <small>{as}</small>}
          </span>
          {id === nowId ? (
            <span>shown now</span>
          ) : (
            <Button variant="default" loading={going === id} onClick={() => void choose(id)}>
              Go to {name}
            </Button>
          )}
        </Group>
      ))}
      {problem && (
        <Alert color="chestnut" role="alert">
          {problem}
        </Alert>
      )}
    </Stack>
  );
}
