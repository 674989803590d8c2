'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { FormModal } from '@/components/form/FormModal';
import { PURPOSES, REIN_MEASURES, REINS, TRACK_GAITS } from '@/core';
import { goalForm } from '@/files/goalForm';
import type { GoalTyped } from '@/files/goalTyped';
import { MultiSelect, NumberInput, Select, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { zod4Resolver } from 'mantine-form-zod-resolver';
import { saveGoalAction } from './actions';

/** An exercise of the shelf with the names of its stages. */
export type ExerciseChoice = { kind: string; title: string; stages: readonly string[] };

type GoalFormModalProps = {
  pairId: string;
  goalId: string | null;
  first: GoalTyped;
  exercises: readonly ExerciseChoice[];
  opened: boolean;
  onClose: () => void;
};

const MEASURES = [
  { value: '', label: 'I say myself when it is reached' },
  { value: 'stage', label: 'A stage of an exercise is earned' },
  { value: 'clean', label: 'What is for a purpose goes clean' },
  { value: 'rein', label: 'One rein is as good as the other' },
  { value: 'count', label: 'A stride more or fewer when it is asked' },
  { value: 'head', label: 'The head is carried as wanted' },
];

const GAITS = TRACK_GAITS.filter(gait => gait !== 'course-canter');

/** Sets a goal for a pair, or changes one. */
export function GoalFormModal({ pairId, goalId, first, exercises, opened, onClose }: GoalFormModalProps) {
  const say = useSay();
  const words = (all: readonly string[]) => all.map(value => ({ value, label: say(value.replace('-', ' ')) }));
  const form = useForm<GoalTyped>({ initialValues: first, validate: zod4Resolver(goalForm) });
  const { measure, exercise } = form.values;
  const stages = exercises.find(({ kind }) => kind === exercise)?.stages ?? [];
  const oftenEnough = <NumberInput label="How often, in 100" min={50} max={95} {...form.getInputProps('percent')} />;
  const inGait = (
    <Select
      label="In"
      allowDeselect={false}
      data={[{ value: '', label: 'any gait' }, ...words(GAITS)]}
      {...form.getInputProps('gait')}
    />
  );
  return (
    <FormModal
      title={goalId === null ? 'Set a goal' : 'Change the goal'}
      opened={opened}
      onClose={onClose}
      form={form}
      onSend={(values, _, sent) => saveGoalAction({ pairId, goalId }, values, sent.saveId)}
      sendLabel="Save the goal"
    >
      <TextInput
        label="What you work towards"
        placeholder="Six in a line of five"
        maxLength={120}
        {...form.getInputProps('words')}
      />
      <MultiSelect
        label="What it is for"
        description="Exercises for these are suggested."
        data={words(PURPOSES)}
        maxValues={4}
        {...form.getInputProps('purposes')}
      />
      <Select label="It is reached when" allowDeselect={false} data={MEASURES} {...form.getInputProps('measure')} />
      {measure === 'stage' && (
        <>
          <Select
            label="Exercise"
            searchable
            data={exercises.map(({ kind, title }) => ({ value: kind, label: say(title) }))}
            {...form.getInputProps('exercise')}
            onChange={kind => form.setValues({ exercise: kind ?? '', stage: '0' })}
          />
          {stages.length > 0 && (
            <Select
              label="Stage"
              allowDeselect={false}
              data={stages.map((name, index) => ({ value: String(index), label: say(`${index + 1}: ${name}`) }))}
              {...form.getInputProps('stage')}
            />
          )}
        </>
      )}
      {measure === 'clean' && (
        <>
          <Select label="Purpose" allowDeselect={false} data={words(PURPOSES)} {...form.getInputProps('purpose')} />
          {oftenEnough}
        </>
      )}
      {measure === 'rein' && (
        <>
          <Select label="The rein" allowDeselect={false} data={words(REINS)} {...form.getInputProps('rein')} />
          <Select
            label="As good as the other in"
            allowDeselect={false}
            data={words(REIN_MEASURES)}
            {...form.getInputProps('reinMeasure')}
          />
          {inGait}
        </>
      )}
      {measure === 'count' && (
        <>
          <Select
            label="Asked for"
            allowDeselect={false}
            data={[
              { value: 'more', label: 'one stride more' },
              { value: 'fewer', label: 'one stride fewer' },
            ]}
            {...form.getInputProps('way')}
          />
          {oftenEnough}
        </>
      )}
      {measure === 'head' && (
        <>
          {inGait}
          {oftenEnough}
        </>
      )}
      <TextInput type="date" label="By (where there is a day)" {...form.getInputProps('byDay')} />
    </FormModal>
  );
}
