'use client';

import { FormModal } from '@/components/form/FormModal';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { ArenaLetters } from '@/core';
import type { ArenaBoundary, NamedArena } from '@/data/queries/arenas';
import { arenaForm } from '@/files/yardForms';
import { Group, Select, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { zod4Resolver } from 'mantine-form-zod-resolver';
import { saveArenaAction } from '../actions';

type ArenaValues = {
  id?: string;
  name: string;
  width: string;
  length: string;
  letters: ArenaLetters;
  boundary: ArenaBoundary;
};

type ArenaFormModalProps = {
  /** The arena to change; none adds a new one. */
  arena?: NamedArena;
  opened: boolean;
  onClose: () => void;
};

/** An arena of any size, with the letters of 20 × 60 or 20 × 40 where it has them. */
export function ArenaFormModal({ arena, opened, onClose }: ArenaFormModalProps) {
  const { unit, format } = useLengths();
  const form = useForm<ArenaValues>({
    initialValues: {
      id: arena?.id,
      name: arena?.name ?? '',
      width: format(arena?.widthM ?? 20),
      length: format(arena?.lengthM ?? 40),
      letters: arena?.letters ?? 'none',
      boundary: arena?.boundary ?? 'walls',
    },
    validate: zod4Resolver(arenaForm(unit)),
  });
  return (
    <FormModal
      title={arena ? `Change ${arena.name}` : 'Add an arena'}
      opened={opened}
      onClose={onClose}
      form={form}
      changes={arena}
      onSend={(values, seen, sent) => saveArenaAction(values, seen, sent)}
      sendLabel={arena ? 'Save the arena' : 'Add the arena'}
    >
      <TextInput label="Name" data-autofocus {...form.getInputProps('name')} />
      <Group grow align="flex-start">
        <TextInput label="Short side" {...form.getInputProps('width')} />
        <TextInput label="Long side" {...form.getInputProps('length')} />
      </Group>
      <Select
        label="Letters"
        description="Letters stand at their published places, so they need sand of their size: 20 m × 40 m or 20 m × 60 m."
        data={[
          { value: 'none', label: 'None' },
          { value: '20x40', label: '20 × 40: A K E H C M B F' },
          { value: '20x60', label: '20 × 60: A K V E S H C M R B P F' },
        ]}
        {...form.getInputProps('letters')}
      />
      <Select
        label="Round it"
        data={[
          { value: 'walls', label: 'Walls' },
          { value: 'fence', label: 'A fence' },
          { value: 'open', label: 'Nothing: open sand' },
        ]}
        {...form.getInputProps('boundary')}
      />
    </FormModal>
  );
}
