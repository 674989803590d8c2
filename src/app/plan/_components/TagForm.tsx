'use client';

import { FormModal } from '@/components/form/FormModal';
import type { LayoutCard } from '@/components/LayoutCards/LayoutCards';
import { tagsForm } from '@/files/yardForms';
import { TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { zod4Resolver } from 'mantine-form-zod-resolver';
import { useRouter } from 'next/navigation';
import { tagLayoutAction } from '../actions';

/** The words a layout is found by. */
export default function TagForm({ card, onClose }: { card: LayoutCard; onClose: () => void }) {
  const router = useRouter();
  const form = useForm({ initialValues: { tags: card.tags.join(', ') }, validate: zod4Resolver(tagsForm) });
  return (
    <FormModal
      title={`Tags of ${card.name}`}
      opened
      onClose={onClose}
      form={form}
      sendLabel="Keep the tags"
      onSend={async values => {
        const outcome = await tagLayoutAction(card.id, values);
        if (outcome.ok) router.refresh();
        return outcome;
      }}
    >
      <TextInput label="Tags" description="Apart by commas" data-autofocus {...form.getInputProps('tags')} />
    </FormModal>
  );
}
