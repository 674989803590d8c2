'use client';

import { Problem } from '@/components/form/Problem';
import { useSentForm } from '@/components/form/useSentForm';
import { anewWithout } from '@/components/offline/forgetKept';
import { Button, Group, TextInput } from '@mantine/core';
import { beginAnotherYardAction } from '../actions';

/** Begins a yard beside this one, with nothing in it but whoever begins it. */
export function AnotherYard() {
  const { form, onSubmit, problem, sending } = useSentForm({
    initialValues: { name: '' },
    send: ({ name }) => beginAnotherYardAction(name),
    onSent: () => void anewWithout('/'),
  });
  return (
    <form onSubmit={onSubmit}>
      <p>You are its instructor, with the passphrase that you have here. Nothing of this yard is seen there.</p>
      <Group align="end">
        <TextInput label="Name of the new yard" {...form.getInputProps('name')} />
        <Button type="submit" variant="default" loading={sending} disabled={form.getValues().name.trim() === ''}>
          Begin it
        </Button>
      </Group>
      <Problem>{problem}</Problem>
    </form>
  );
}
