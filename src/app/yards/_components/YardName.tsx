'use client';

import { Problem } from '@/components/form/Problem';
import { useSentForm } from '@/components/form/useSentForm';
import { Button, Group, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { renameYardAction } from '../actions';

/** What the yard is called. */
export function YardName({ name: now }: { name: string }) {
  const router = useRouter();
  const { form, onSubmit, problem, sending, sent } = useSentForm({
    initialValues: { name: now },
    send: ({ name }) => renameYardAction(name),
    onSent: () => {
      sent();
      router.refresh();
    },
  });
  const { name } = form.getValues();
  return (
    <form onSubmit={onSubmit}>
      <Group align="end">
        <TextInput label="Its name" {...form.getInputProps('name')} />
        <Button type="submit" loading={sending} disabled={name.trim() === '' || name === now}>
          Save
        </Button>
      </Group>
      <Problem>{problem}</Problem>
    </form>
  );
}
