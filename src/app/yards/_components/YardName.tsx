'use client';

import { Alert, Button, Group, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState, type FormEvent } from 'react';
import { renameYardAction } from '../actions';

/** What the yard is called. */
export function YardName({ name: now }: { name: string }) {
  const router = useRouter();
  const [name, setName] = useState(now);
  const [problem, setProblem] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const save = async (event: FormEvent) => {
    event.preventDefault();
    setSaving(true);
    const outcome = await renameYardAction(name).catch(() => null);
    setSaving(false);
    setProblem(outcome?.ok ? null : (outcome?.problem ?? 'The server did not answer: try again.'));
    if (outcome?.ok) router.refresh();
  };
  return (
    <form onSubmit={save}>
      <Group align="end">
        <TextInput label="Its name" value={name} onChange={event => setName(event.currentTarget.value)} />
        <Button type="submit" loading={saving} disabled={name.trim() === '' || name === now}>
          Save
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
