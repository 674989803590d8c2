'use client';

import { FormModal } from '@/components/form/FormModal';
import { layoutForm } from '@/files/yardForms';
import { MultiSelect, Select, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { zod4Resolver } from 'mantine-form-zod-resolver';
import { useRouter } from 'next/navigation';
import { addLayoutAction } from '../actions';

export type LayoutChoice = { id: string; name: string };

type NewLayoutFormProps = { arenas: LayoutChoice[]; horses: LayoutChoice[]; onClose: () => void };

/** What a new layout is asked: its name, its arena, and who rides it. */
export default function NewLayoutForm({ arenas, horses, onClose }: NewLayoutFormProps) {
  const router = useRouter();
  const form = useForm({
    initialValues: { name: '', arenaId: arenas[0]?.id ?? '', horseIds: [] as string[] },
    validate: zod4Resolver(layoutForm),
  });
  const options = (choices: LayoutChoice[]) => choices.map(({ id, name }) => ({ value: id, label: name }));
  return (
    <FormModal
      title="A new layout"
      opened
      onClose={onClose}
      form={form}
      sendLabel="Make the layout"
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
  );
}
