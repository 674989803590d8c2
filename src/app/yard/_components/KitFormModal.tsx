'use client';

import { FormModal } from '@/components/form/FormModal';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { KitPiece } from '@/data/queries/kit';
import { KIT_KINDS, KIT_SIZES, kitForm, type KitKind } from '@/files/yardForms';
import { Group, Select, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { zod4Resolver } from 'mantine-form-zod-resolver';
import { saveKitAction } from '../actions';
import { KIT_LABELS } from '../kitWords';

type KitValues = { id?: string; kind: KitKind; name: string; size: string; count: string };

type KitFormModalProps = {
  /** The kit to change; none adds some. */
  piece?: KitPiece;
  opened: boolean;
  onClose: () => void;
};

/** Some kit of one kind, and how many of it. */
export function KitFormModal({ piece, opened, onClose }: KitFormModalProps) {
  const { unit, format } = useLengths();
  const form = useForm<KitValues>({
    initialValues: {
      id: piece?.id,
      kind: piece?.kind ?? 'pole',
      name: piece?.name ?? '',
      size: piece?.sizeM ? format(piece.sizeM) : '',
      count: piece ? String(piece.count) : '',
    },
    validate: zod4Resolver(kitForm(unit)),
  });
  const { kind } = form.getValues();
  return (
    <FormModal
      title={piece ? 'Change the kit' : 'Add some kit'}
      opened={opened}
      onClose={onClose}
      form={form}
      changes={piece}
      onSend={(values, _, sent) => saveKitAction(values, sent)}
      sendLabel={piece ? 'Save the kit' : 'Add the kit'}
    >
      <Select
        label="What"
        data={KIT_KINDS.map(value => ({ value, label: KIT_LABELS[value] }))}
        {...form.getInputProps('kind')}
      />
      <Group grow align="flex-start">
        <TextInput label="How many" data-autofocus {...form.getInputProps('count')} />
        {KIT_SIZES[kind] && <TextInput label={kind === 'pole' ? 'Length' : 'Height'} {...form.getInputProps('size')} />}
      </Group>
      <TextInput
        label="Called"
        description="If you tell them apart: “white”, “light ones”."
        {...form.getInputProps('name')}
      />
    </FormModal>
  );
}
