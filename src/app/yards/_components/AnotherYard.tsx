'use client';

import { anewWithout } from '@/components/offline/forgetKept';
import { Alert, Button, Group, TextInput } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import { beginAnotherYardAction } from '../actions';

/** Begins a yard beside this one, with nothing in it but whoever begins it. */
export function AnotherYard() {
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [sending, setSending] = useState(false);
  const begin = async (event: FormEvent) => {
    event.preventDefault();
    setSending(true);
    setProblem(null);
    const outcome = await beginAnotherYardAction(name).catch(() => null);
    if (outcome?.ok) return anewWithout('/');
    setSending(false);
    setProblem(outcome?.problem ?? 'The server did not answer: try again.');
  };
  return (
    <form onSubmit={begin}>
      <p>You are its instructor, with the passphrase that you have here. Nothing of this yard is seen there.</p>
      <Group align="end">
        <TextInput label="Name of the new yard" value={name} onChange={event => setName(event.currentTarget.value)} />
        <Button type="submit" variant="default" loading={sending} disabled={name.trim() === ''}>
          Begin it
        </Button>
      </Group>
      {problem && (
        <Alert color="chestnut" role="alert">
          {problem}
        </Alert>
      )}
    </form>
  );
}
