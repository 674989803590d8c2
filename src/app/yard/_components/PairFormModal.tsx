'use client';

import { FormModal } from '@/components/form/FormModal';
import { pairForm } from '@/files/yardForms';
import { Select } from '@mantine/core';
import { useForm } from '@mantine/form';
import { zod4Resolver } from 'mantine-form-zod-resolver';
import { addPairAction } from '../actions';

type Choice = { id: string; name: string };

type PairFormModalProps = { riders: Choice[]; horses: Choice[]; opened: boolean; onClose: () => void };

/** Puts a rider and a horse together. */
export function PairFormModal({ riders, horses, opened, onClose }: PairFormModalProps) {
  const form = useForm({
    initialValues: { riderId: '', horseId: '' },
    validate: zod4Resolver(pairForm),
  });
  const options = (choices: Choice[]) => choices.map(({ id, name }) => ({ value: id, label: name }));
  return (
    <FormModal
      title="Add a pair"
      opened={opened}
      onClose={onClose}
      form={form}
      onSend={values => addPairAction(values)}
      sendLabel="Add the pair"
    >
      <Select label="Rider" placeholder="Who rides" data={options(riders)} {...form.getInputProps('riderId')} />
      <Select label="Horse" placeholder="Which horse" data={options(horses)} {...form.getInputProps('horseId')} />
    </FormModal>
  );
}
