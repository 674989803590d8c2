'use client';

import { anew } from '@/components/anew';
import { Problem } from '@/components/form/Problem';
import { useSentForm } from '@/components/form/useSentForm';
import { Button, PasswordInput, Stack, TextInput } from '@mantine/core';
import { signInAction } from '../actions';

/** Name and passphrase; one sentence where they do not go together. */
export function SignInForm({ to }: { to: string }) {
  const { form, onSubmit, problem, sending } = useSentForm({
    initialValues: { name: '', passphrase: '' },
    send: signInAction,
    // The whole page anew: everything that was kept of it was for nobody.
    onSent: () => anew(to),
    clears: 'passphrase',
  });
  const { name, passphrase } = form.getValues();
  return (
    <form onSubmit={onSubmit} aria-label="Sign in">
      <Stack gap="sm">
        <TextInput label="Name" autoComplete="username" {...form.getInputProps('name')} />
        <PasswordInput label="Passphrase" autoComplete="current-password" {...form.getInputProps('passphrase')} />
        <Problem>{problem}</Problem>
        <Button type="submit" loading={sending} disabled={name.trim() === '' || passphrase === ''}>
          Sign in
        </Button>
      </Stack>
    </form>
  );
}
