'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { breakApart, placeMoved, type PlacedRecipe, type Pose, type ResolvedExercise } from '@/core';
import type { Horse } from '@/data/queries/horses';
import { Button, MultiSelect, SegmentedControl, Stack, Text, Title } from '@mantine/core';
import { NameField } from './NameField';
import { ParamField } from './ParamField';
import { PlaceFields } from './PlaceFields';
import { ThingActions, type ThingProps } from './ThingActions';
import { paramSpecs } from '@/core';
import classes from './Reading.module.css';

type ExerciseReadingProps = ThingProps & { exercise: ResolvedExercise; horses: readonly Horse[] };

/** An exercise of the shelf: what it asks stays changeable, and what to know and watch stands under it. */
export function ExerciseReading({ exercise, horses, ...props }: ExerciseReadingProps) {
  const { controls, arena, onSelect } = props;
  const { placed, guidance, laid } = exercise;
  const { format, say } = useLengths();
  const locked = controls.present.plan.lockedIds.includes(placed.id);
  const put = (next: Partial<PlacedRecipe>) =>
    controls.change(plan => ({
      ...plan,
      exercises: plan.exercises.map(one => (one.id === placed.id ? { ...one, ...next } : one)),
    }));
  const apart = () => {
    controls.change(plan => breakApart(plan, controls.shown.resolved, [placed.id]));
    onSelect({ ids: laid.items.map(({ id }) => id), leg: null });
  };
  const entry = entryOf(exercise);
  return (
    <Stack gap="xs" component="section" aria-label={guidance.title}>
      <Title order={2} size="h4">
        {placed.name ?? guidance.title}
      </Title>
      <NameField thing={placed} controls={controls} />
      <SegmentedControl
        size="xs"
        aria-label="Rein"
        value={placed.rein}
        disabled={locked}
        data={[
          { value: 'left', label: 'Left rein' },
          { value: 'right', label: 'Right rein' },
        ]}
        onChange={rein => put({ rein: rein as PlacedRecipe['rein'] })}
      />
      {paramSpecs(placed.kind, placed.params).map(spec => (
        <ParamField
          key={spec.key}
          spec={spec}
          params={placed.params}
          onChange={value => put({ params: { ...placed.params, [spec.key]: value } })}
        />
      ))}
      <MultiSelect
        searchable
        label="Laid out for"
        placeholder={placed.horseIds === null ? 'the whole group' : ''}
        data={horses.map(({ id, name }) => ({ value: id, label: name }))}
        value={placed.horseIds ?? []}
        onChange={ids => put({ horseIds: ids.length === 0 ? null : ids })}
      />
      <PlaceFields
        arena={arena}
        pose={entry}
        hasFacing
        disabled={locked}
        onMove={pose => put({ place: placeMoved(placed.place, entry, pose) })}
      />
      <ThingActions {...props} />
      <Button size="xs" variant="default" onClick={apart} style={{ alignSelf: 'flex-start' }}>
        Break apart
      </Button>
      <ul className={classes.facts}>
        {laid.facts.map(({ what, horse, lengthM }) => (
          <li key={`${what} ${horse}`}>
            {what}
            {horse && ` for ${horse}`}: <strong>{format(lengthM)}</strong>
          </li>
        ))}
      </ul>
      <Stages exercise={exercise} />
      <Words title="Watch the horse" lines={guidance.watchHorse} />
      <Words title="Watch the rider" lines={guidance.watchRider} />
      <Text size="sm">
        <strong>Stand:</strong> {say(guidance.stand)}
      </Text>
      <Words title="If it goes wrong" lines={guidance.faults.map(({ fault, remedy }) => say(`${fault}: ${remedy}`))} />
      <Words title="Take care" lines={guidance.cautions.map(say)} />
    </Stack>
  );
}

function Stages({ exercise }: { exercise: ResolvedExercise }) {
  const { laid, guidance } = exercise;
  return (
    <details className={classes.details}>
      <summary>
        {laid.stages.length} {laid.stages.length === 1 ? 'stage' : 'stages'}, {guidance.repetitions.eachRein} times each
        rein
      </summary>
      <ol>
        {laid.stages.map(({ name, focus, seat }) => (
          <li key={name}>
            {name}: {focus} ({seat})
          </li>
        ))}
      </ol>
    </details>
  );
}

function Words({ title, lines }: { title: string; lines: readonly string[] }) {
  if (lines.length === 0) return null;
  return (
    <details className={classes.details}>
      <summary>{title}</summary>
      <ul>
        {lines.map(line => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </details>
  );
}

/** Where an exercise begins and which way it is ridden there: its first figure, or where its items are laid from. */
function entryOf({ placed, laid }: ResolvedExercise): Pose {
  const [track] = laid.tracks;
  return (track?.kind === 'figures' ? track.figures[0]?.figure.start : undefined) ?? placed.place;
}
