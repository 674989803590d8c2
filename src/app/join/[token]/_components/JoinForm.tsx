'use client';

import { anew } from '@/components/anew';
import { Alert, Button, Stack } from '@mantine/core';
import { useState } from 'react';
import { joinAction } from '../../../sign-in/actions';

/** One tap, and this device is that person’s until its session is ended. */
export function JoinForm({ token, name }: { token: string; name: string }) {
  const [problem, setProblem] = useState<string | null>(null);
  const [sending, setSending] = useState(false);
  const join = async () => {
    setSending(true);
    const outcome = await joinAction(token).catch(() => null);
    if (outcome?.ok) return anew('/');
    setSending(false);
    setProblem(outcome?.problem ?? 'The server did not answer: try again.');
  };
  return (
    <Stack gap="sm">
      <p>
        From now on this device is signed in as <strong>{name}</strong>.
      </p>
      {problem && (
        <Alert color="chestnut" role="alert">
          {problem}
        </Alert>
      )}
      <Button size="lg" loading={sending} onClick={join}>
        Come in as {name}
      </Button>
    </Stack>
  );
}
