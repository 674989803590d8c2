'use client';

import { FormModal } from '@/components/form/FormModal';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { Person } from '@/data/queries/people';
import { personForm } from '@/files/yardForms';
import { Select, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { zod4Resolver } from 'mantine-form-zod-resolver';
import { savePersonAction } from '../actions';

type PersonValues = { id?: string; name: string; role: string; stepLength: string };

type PersonFormModalProps = {
  /** The person to change; none adds a new one. */
  person?: Person;
  opened: boolean;
  onClose: () => void;
};

/** A person, with the length of their own step where it is known. */
export function PersonFormModal({ person, opened, onClose }: PersonFormModalProps) {
  const { unit, format } = useLengths();
  const form = useForm<PersonValues>({
    initialValues: {
      id: person?.id,
      name: person?.name ?? '',
      role: person?.role ?? 'rider',
      stepLength: person?.typedStepM ? format(person.typedStepM) : '',
    },
    validate: zod4Resolver(personForm(unit)),
  });
  return (
    <FormModal
      title={person ? `Change ${person.name}` : 'Add a person'}
      opened={opened}
      onClose={onClose}
      form={form}
      changes={person}
      onSend={(values, _, sent) => savePersonAction(values, sent)}
      sendLabel={person ? 'Save the person' : 'Add the person'}
    >
      <TextInput label="Name" data-autofocus {...form.getInputProps('name')} />
      <Select
        label="What they do"
        data={[
          { value: 'instructor', label: 'Instructor' },
          { value: 'rider', label: 'Rider' },
          { value: 'helper', label: 'Helper' },
          { value: 'office', label: 'Office: sums of all yards' },
        ]}
        {...form.getInputProps('role')}
      />
      <TextInput
        label="Own step"
        description="One step, heel to heel, as they walk a distance. Left empty, walks over a taped length say it."
        placeholder="88 cm"
        {...form.getInputProps('stepLength')}
      />
    </FormModal>
  );
}
