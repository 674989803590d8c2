'use client';

import { FormModal } from '@/components/form/FormModal';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { defaultStride, HORSE_TYPES, isGaitedGait, type HorseLevel, type HorseType, type StrideEntryKey } from '@/core';
import { heightText } from '@/files/heightText';
import { horseForm, TYPED_STRIDES } from '@/files/yardForms';
import { Select, SimpleGrid, Text, Textarea, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { zod4Resolver } from 'mantine-form-zod-resolver';
import { saveHorseAction } from '../actions';
import { TYPE_LABELS } from '../typeLabels';
import { typedStrideM, type HorseFigures } from '../yardFigures';

type HorseValues = {
  id?: string;
  name: string;
  height: string;
  type: HorseType;
  bornYear: string;
  level: HorseLevel;
  stiffSide: 'left' | 'right' | 'neither';
  notes: string;
  strides: Record<string, string>;
};

const LEVELS = [
  { value: 'green', label: 'little: green' },
  { value: 'novice', label: 'some: novice' },
  { value: 'advanced', label: 'much: advanced' },
];
const STIFF_SIDES = [
  { value: 'neither', label: 'neither' },
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
];

type HorseFormModalProps = {
  /** The horse to change; none adds a new one. */
  horse?: HorseFigures;
  opened: boolean;
  onClose: () => void;
};

/** A horse: name, height, type, and the normal strides that are known; an empty stride is reckoned from the height. */
export function HorseFormModal({ horse, opened, onClose }: HorseFormModalProps) {
  const { unit, format, say } = useLengths();
  const form = useForm<HorseValues>({
    initialValues: {
      id: horse?.id,
      name: horse?.name ?? '',
      height: horse?.heightText ?? '',
      type: horse?.type ?? 'all-round',
      bornYear: horse?.bornYear ? String(horse.bornYear) : '',
      level: horse?.level ?? 'novice',
      stiffSide: horse?.stiffSide ?? 'neither',
      notes: horse?.notes ?? '',
      strides: Object.fromEntries(
        TYPED_STRIDES.map(({ entry }) => {
          const typedM = typedStrideM(horse, entry);
          return [entry, typedM === null ? '' : format(typedM)];
        }),
      ),
    },
    validate: zod4Resolver(horseForm(unit)),
  });
  const { height, type } = form.getValues();
  const heightM = heightText.safeParse(height);
  /** The gaits of a gaited horse are asked of one, and of any that has one of them typed in. */
  const isAsked = (entry: StrideEntryKey) =>
    !isGaitedGait(entry) || type === 'gaited' || typedStrideM(horse, entry) !== null;
  const usual = (entry: StrideEntryKey) => {
    const stride = heightM.success ? defaultStride(entry, heightM.data, type) : null;
    const own = horse?.strides[entry];
    if (own?.source === 'tested') return `tested: ${format(own.normalM)}`;
    return stride ? `usually ${format(stride.normalM)}` : '';
  };

  return (
    <FormModal
      title={horse ? `Change ${horse.name}` : 'Add a horse'}
      opened={opened}
      onClose={onClose}
      form={form}
      changes={horse}
      onSend={(values, seen, sent) => saveHorseAction(values, seen, sent)}
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
      <SimpleGrid cols={{ base: 1, xs: 3 }} spacing="sm">
        <TextInput label="Born in" placeholder="2014" {...form.getInputProps('bornYear')} />
        <Select label="Has learned" data={LEVELS} {...form.getInputProps('level')} />
        <Select label="Stiff side" data={STIFF_SIDES} {...form.getInputProps('stiffSide')} />
      </SimpleGrid>
      <Textarea label="Notes" autosize minRows={2} maxRows={6} {...form.getInputProps('notes')} />
      <Text size="sm" c="dimmed">
        Normal strides, where you know them. Left empty, a stride is reckoned from a test, or else from height and type.
      </Text>
      <SimpleGrid cols={{ base: 1, xs: 2 }} spacing="sm" verticalSpacing="xs">
        {TYPED_STRIDES.filter(({ entry }) => isAsked(entry)).map(({ entry, label }) => (
          <TextInput
            key={entry}
            size="sm"
            label={say(label)}
            placeholder={usual(entry)}
            {...form.getInputProps(`strides.${entry}`)}
          />
        ))}
      </SimpleGrid>
    </FormModal>
  );
}
