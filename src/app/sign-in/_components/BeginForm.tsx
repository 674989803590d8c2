'use client';

import { anew } from '@/components/anew';
import { Problem } from '@/components/form/Problem';
import { useSentForm } from '@/components/form/useSentForm';
import { Button, PasswordInput, Stack, TextInput } from '@mantine/core';
import { beginYardAction } from '../actions';

/** The first passphrase of a yard: nobody else has one yet, and none is given by default. */
export function BeginForm({ needsCode }: { needsCode: boolean }) {
  const { form, onSubmit, problem, sending } = useSentForm({
    initialValues: { code: '', name: '', passphrase: '' },
    send: beginYardAction,
    onSent: () => anew('/yard/access'),
  });
  return (
    <form onSubmit={onSubmit} aria-label="The first passphrase">
      <Stack gap="sm">
        <p style={{ margin: 0 }}>
          Nobody can come in yet. Choose the passphrase of the instructor: a few words that nobody would guess, ten
          letters or more.
        </p>
        {needsCode && (
          <TextInput
            label="Code"
            description="Printed where Roan was started"
            autoComplete="off"
            {...form.getInputProps('code')}
          />
        )}
        <TextInput label="Your name" autoComplete="username" {...form.getInputProps('name')} />
        <PasswordInput label="Passphrase" autoComplete="new-password" {...form.getInputProps('passphrase')} />
        <Problem>{problem}</Problem>
        <Button type="submit" loading={sending}>
          Set the passphrase
        </Button>
      </Stack>
    </form>
  );
}
