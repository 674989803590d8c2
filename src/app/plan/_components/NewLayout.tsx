'use client';

import { FormModal } from '@/components/FormModal/FormModal';
import type { PoleGait } from '@/core';
import { layoutForm } from '@/files/yardForms';
import { Button, Group, Select, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { IconPlus } from '@tabler/icons-react';
import { zod4Resolver } from 'mantine-form-zod-resolver';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { addLayoutAction } from '../actions';

type Choice = { id: string; name: string };

type NewLayoutProps = { arenas: Choice[]; horses: Choice[] };

/** Begins a layout: a row of poles, asked for in one go and adjusted on the sand. */
export function NewLayout({ arenas, horses }: NewLayoutProps) {
  const router = useRouter();
  const [opened, setOpened] = useState(false);
  const form = useForm({
    initialValues: {
      name: '',
      arenaId: arenas[0]?.id ?? '',
      horseId: horses[0]?.id ?? '',
      gait: 'trot' as PoleGait,
      poles: '4',
    },
    validate: zod4Resolver(layoutForm),
  });
  const options = (choices: Choice[]) => choices.map(({ id, name }) => ({ value: id, label: name }));
  const close = () => setOpened(false);
  return (
    <>
      <Button leftSection={<IconPlus size={16} />} onClick={() => setOpened(true)}>
        New layout
      </Button>
      {opened && (
        <FormModal
          title="A row of poles"
          opened
          onClose={close}
          form={form}
          sendLabel="Lay it out"
          onSend={async values => {
            const outcome = await addLayoutAction(values);
            if (outcome.ok) router.push(`/plan/${outcome.layoutId}`);
            return outcome;
          }}
        >
          <TextInput
            label="Name"
            placeholder="Four trot poles, centre line"
            data-autofocus
            {...form.getInputProps('name')}
          />
          <Select label="Arena" data={options(arenas)} {...form.getInputProps('arenaId')} />
          <Group grow align="flex-start">
            <Select
              label="Gait"
              data={[
                { value: 'walk', label: 'Walk poles' },
                { value: 'trot', label: 'Trot poles' },
                { value: 'canter', label: 'Canter poles' },
              ]}
              {...form.getInputProps('gait')}
            />
            <TextInput label="Poles" inputMode="numeric" {...form.getInputProps('poles')} />
          </Group>
          <Select label="Set for" data={options(horses)} {...form.getInputProps('horseId')} />
        </FormModal>
      )}
    </>
  );
}
