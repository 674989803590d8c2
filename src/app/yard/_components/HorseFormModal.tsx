'use client';

import { FormModal } from '@/components/FormModal/FormModal';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { defaultStride, HORSE_TYPES, type HorseType, type StrideEntryKey } from '@/core';
import { heightText } from '@/files/heightText';
import { horseForm, TYPED_STRIDES } from '@/files/yardForms';
import { Select, SimpleGrid, Text, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { zod4Resolver } from 'mantine-form-zod-resolver';
import { saveHorseAction } from '../actions';
import { TYPE_LABELS } from '../typeLabels';
import type { HorseFigures } from '../yardFigures';

type HorseValues = { id?: string; name: string; height: string; type: HorseType; strides: Record<string, string> };

type HorseFormModalProps = {
  /** The horse to change; none adds a new one. */
  horse?: HorseFigures;
  opened: boolean;
  onClose: () => void;
};

/** A horse: name, height, type, and the normal strides that are known; an empty stride is reckoned from the height. */
export function HorseFormModal({ horse, opened, onClose }: HorseFormModalProps) {
  const { unit, format } = useLengths();
  const form = useForm<HorseValues>({
    initialValues: {
      id: horse?.id,
      name: horse?.name ?? '',
      height: horse?.heightText ?? '',
      type: horse?.type ?? 'all-round',
      strides: Object.fromEntries(
        TYPED_STRIDES.map(({ entry }) => {
          const own = horse?.strides[entry];
          return [entry, own ? format(own.normalM) : ''];
        }),
      ),
    },
    validate: zod4Resolver(horseForm(unit)),
  });
  const { height, type } = form.getValues();
  const heightM = heightText.safeParse(height);
  const usual = (entry: StrideEntryKey) => {
    const stride = heightM.success ? defaultStride(entry, heightM.data, type) : null;
    return stride ? `usually ${format(stride.normalM)}` : '';
  };

  return (
    <FormModal
      title={horse ? `Change ${horse.name}` : 'Add a horse'}
      opened={opened}
      onClose={onClose}
      form={form}
      onSend={values => saveHorseAction(values)}
      sendLabel={horse ? 'Save the horse' : 'Add the horse'}
    >
      <TextInput label="Name" data-autofocus {...form.getInputProps('name')} />
      <TextInput
        label="Height at the withers"
        description="15.2 hands, 158 cm or 1.58 m"
        {...form.getInputProps('height')}
      />
      <Select
        label="Type"
        data={HORSE_TYPES.map(value => ({ value, label: TYPE_LABELS[value] }))}
        {...form.getInputProps('type')}
      />
      <Text size="sm" c="slate.7">
        Normal strides, where you know them. Left empty, a stride is reckoned from height and type.
      </Text>
      <SimpleGrid cols={{ base: 1, xs: 2 }} spacing="sm" verticalSpacing="xs">
        {TYPED_STRIDES.map(({ entry, label }) => (
          <TextInput
            key={entry}
            size="sm"
            label={label}
            placeholder={usual(entry)}
            {...form.getInputProps(`strides.${entry}`)}
          />
        ))}
      </SimpleGrid>
    </FormModal>
  );
}
