'use client';

import { anew } from '@/components/anew';
import { Alert, Button, PasswordInput, Stack, TextInput } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import { signInAction } from '../actions';

/** Name and passphrase; one sentence where they do not go together. */
export function SignInForm({ to }: { to: string }) {
  const [name, setName] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [sending, setSending] = useState(false);
  const send = async (event: FormEvent) => {
    event.preventDefault();
    setSending(true);
    setProblem(null);
    const outcome = await signInAction({ name, passphrase }).catch(() => null);
    // The whole page anew: everything that was kept of it was for nobody.
    if (outcome?.ok) return anew(to);
    setSending(false);
    setPassphrase('');
    setProblem(outcome?.problem ?? 'The server did not answer: try again.');
  };
  return (
    <form onSubmit={send} aria-label="Sign in">
      <Stack gap="sm">
        <TextInput
          label="Name"
          autoComplete="username"
          value={name}
          onChange={event => setName(event.currentTarget.value)}
        />
        <PasswordInput
          label="Passphrase"
          autoComplete="current-password"
          value={passphrase}
          onChange={event => setPassphrase(event.currentTarget.value)}
        />
        {problem && (
          <Alert color="chestnut" role="alert">
            {problem}
          </Alert>
        )}
        <Button type="submit" loading={sending} disabled={name.trim() === '' || passphrase === ''}>
          Sign in
        </Button>
      </Stack>
    </form>
  );
}
