'use client';

import { anew } from '@/components/anew';
import { Alert, Button, PasswordInput, Stack, TextInput } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import { beginYardAction } from '../actions';

/** The first passphrase of a yard: nobody else has one yet, and none is given by default. */
export function BeginForm({ needsCode }: { needsCode: boolean }) {
  const [typed, setTyped] = useState({ code: '', name: '', passphrase: '' });
  const [problem, setProblem] = useState<string | null>(null);
  const [sending, setSending] = useState(false);
  const field = (key: keyof typeof typed) => ({
    value: typed[key],
    onChange: (event: { currentTarget: { value: string } }) => setTyped({ ...typed, [key]: event.currentTarget.value }),
  });
  const send = async (event: FormEvent) => {
    event.preventDefault();
    setSending(true);
    setProblem(null);
    const outcome = await beginYardAction(typed).catch(() => null);
    if (outcome?.ok) return anew('/yard/access');
    setSending(false);
    setProblem(outcome?.problem ?? 'The server did not answer: try again.');
  };
  return (
    <form onSubmit={send} aria-label="The first passphrase">
      <Stack gap="sm">
        <p style={{ margin: 0 }}>
          Nobody can come in yet. Choose the passphrase of the instructor: a few words that nobody would guess, ten
          letters or more.
        </p>
        {needsCode && (
          <TextInput label="Code" description="Printed where Roan was started" autoComplete="off" {...field('code')} />
        )}
        <TextInput label="Your name" autoComplete="username" {...field('name')} />
        <PasswordInput label="Passphrase" autoComplete="new-password" {...field('passphrase')} />
        {problem && (
          <Alert color="chestnut" role="alert">
            {problem}
          </Alert>
        )}
        <Button type="submit" loading={sending}>
          Set the passphrase
        </Button>
      </Stack>
    </form>
  );
}
