'use client';

import { FormModal } from '@/components/FormModal/FormModal';
import { layoutForm } from '@/files/yardForms';
import { Button, MultiSelect, Select, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { IconPlus } from '@tabler/icons-react';
import { zod4Resolver } from 'mantine-form-zod-resolver';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { addLayoutAction } from '../actions';

type Choice = { id: string; name: string };

type NewLayoutProps = { arenas: Choice[]; horses: Choice[] };

/** Begins a layout: empty sand, for the horses of a lesson. */
export function NewLayout({ arenas, horses }: NewLayoutProps) {
  const router = useRouter();
  const [opened, setOpened] = useState(false);
  const form = useForm({
    initialValues: { name: '', arenaId: arenas[0]?.id ?? '', horseIds: [] as string[] },
    validate: zod4Resolver(layoutForm),
  });
  const options = (choices: Choice[]) => choices.map(({ id, name }) => ({ value: id, label: name }));
  return (
    <>
      <Button leftSection={<IconPlus size={16} />} onClick={() => setOpened(true)}>
        New layout
      </Button>
      {opened && (
        <FormModal
          title="A new layout"
          opened
          onClose={() => setOpened(false)}
          form={form}
          sendLabel="Rake the sand"
          onSend={async values => {
            const outcome = await addLayoutAction(values);
            if (outcome.ok) router.push(`/plan/${outcome.layoutId}`);
            return outcome;
          }}
        >
          <TextInput label="Name" placeholder="Bend of four, Thursday" data-autofocus {...form.getInputProps('name')} />
          <Select label="Arena" data={options(arenas)} {...form.getInputProps('arenaId')} />
          <MultiSelect
            searchable
            label="Horses of the lesson"
            description="Distances are reckoned for each of them. Nobody yet: it is for any horse"
            data={options(horses)}
            {...form.getInputProps('horseIds')}
          />
        </FormModal>
      )}
    </>
  );
}
