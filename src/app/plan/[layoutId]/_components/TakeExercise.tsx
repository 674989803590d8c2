'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { Choice } from '@/components/Choice';
import { exerciseGround, layOutExercise, layoutLabels, type Recipe, type Rein } from '@/core';
import { newId } from '@/components/newId';
import type { Horse } from '@/data/queries/horses';
import { Button, Group, MultiSelect, Select, Stack, Text, Title } from '@mantine/core';
import { useMemo, useState } from 'react';
import type { PlanControls } from '../_state/usePlanEditor';
import type { EditorGround } from '../_state/shown';
import { ExerciseGuide } from './ExerciseGuide';

type TakeExerciseProps = {
  recipe: Recipe;
  ground: EditorGround;
  controls: PlanControls;
  horses: readonly Horse[];
  onBack: () => void;
  onPlace: (recipe: Recipe, rein: Rein, horseIds: string[] | null, session: string | null) => void;
};

/** What an exercise asks before it lies on the sand: for which horses, on which rein, and what it is ridden behind. */
export function TakeExercise({ recipe, ground, controls, horses, onBack, onPlace }: TakeExerciseProps) {
  const say = useSay();
  const { plan } = controls.present;
  const { guidance } = recipe;
  const [rein, setRein] = useState<Rein>('left');
  const [horseIds, setHorseIds] = useState<string[]>([]);
  const sessions = [...new Set(plan.exercises.flatMap(({ session }) => session ?? []))];
  const [fresh] = useState(newId);
  const [session, setSession] = useState<string | null>(sessions[0] ?? fresh);
  const { track: called } = layoutLabels(controls.shown.resolved.layout);
  const on = useMemo(
    () => exerciseGround(plan, { horseIds: horseIds.length === 0 ? null : horseIds }, ground),
    [plan, horseIds, ground],
  );
  const laid = useMemo(() => layOutExercise(recipe, on, { rein }).exercise, [recipe, on, rein]);
  const isFlat = laid.tracks.every(({ kind }) => kind === 'figures');
  return (
    <Stack gap="sm">
      <Title order={3} size="h4">
        {say(guidance.title)}
      </Title>
      <Text size="sm">
        For {say(guidance.purposes.join(', '))}; {guidance.level} pairs.
      </Text>
      <Choice
        aria-label="Rein"
        value={rein}
        onChange={value => setRein(value as Rein)}
        data={[
          { value: 'left', label: 'Left rein' },
          { value: 'right', label: 'Right rein' },
        ]}
      />
      <MultiSelect
        searchable
        label="For"
        placeholder={
          horseIds.length === 0 ? (plan.groupIds.length === 0 ? 'a horse of 160 cm' : 'the whole group') : ''
        }
        data={horses.map(({ id, name }) => ({ value: id, label: name }))}
        value={horseIds}
        onChange={setHorseIds}
      />
      {isFlat && (
        <Select
          label="Ridden"
          data={[
            ...sessions.map(id => ({ value: id, label: `in ${called(id)}, after what is there` })),
            { value: fresh, label: sessions.length === 0 ? 'as the beginning of flat work' : 'as another session' },
            { value: '', label: 'as a track of its own' },
          ]}
          value={session ?? ''}
          onChange={value => setSession(value === '' ? null : value)}
        />
      )}
      <Group>
        <Button
          data-autofocus
          onClick={() => onPlace(recipe, rein, horseIds.length === 0 ? null : horseIds, isFlat ? session : null)}
        >
          Put it on the sand
        </Button>
        <Button variant="default" onClick={onBack}>
          Back to the shelf
        </Button>
      </Group>
      <ExerciseGuide guidance={guidance} laid={laid} ground={on} />
    </Stack>
  );
}
