'use client';

import { FormModal } from '@/components/form/FormModal';
import { arrangementOf, HORSE_LEVELS, PURPOSES, type Item, type PlannedTrack } from '@/core';
import { writeLayout } from '@/files/layoutPaper';
import { MultiSelect, Select, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useRouter } from 'next/navigation';
import { keepOwnExerciseAction } from '../../shelfActions';

type KeepOnShelfProps = { items: readonly Item[]; tracks: readonly PlannedTrack[]; onClose: () => void };

const ANY_ARENA = { widthM: 100, lengthM: 100, letters: 'none' } as const;

/** Keeps what is selected on the shelf, under a name and a purpose of one's own. */
export default function KeepOnShelf({ items, tracks, onClose }: KeepOnShelfProps) {
  const router = useRouter();
  const form = useForm({ initialValues: { title: '', purposes: [] as string[], level: 'novice' } });
  return (
    <FormModal
      title={`Keep ${items.length} on the shelf`}
      opened
      onClose={onClose}
      form={form}
      sendLabel="Keep it"
      onSend={async values => {
        const document = writeLayout({
          ...{ name: 'arrangement', arena: ANY_ARENA, fall: null, school: 'whole-stride', horses: [], kit: null },
          ...arrangementOf(items, tracks),
        });
        const outcome = await keepOwnExerciseAction(values, document);
        if (outcome.ok) router.refresh();
        return outcome;
      }}
    >
      <TextInput label="Called" data-autofocus {...form.getInputProps('title')} />
      <MultiSelect searchable label="For" data={[...PURPOSES]} {...form.getInputProps('purposes')} />
      <Select label="Level" data={[...HORSE_LEVELS]} {...form.getInputProps('level')} />
    </FormModal>
  );
}
