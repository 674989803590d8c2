'use client';

import { Choice } from '@/components/Choice';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import {
  breakApart,
  isAtItsLetters,
  layoutLabels,
  placeMoved,
  withAsked,
  type Fence,
  type PlacedRecipe,
  type Pose,
  type ResolvedExercise,
} from '@/core';
import type { Horse } from '@/data/queries/horses';
import { Button, MultiSelect, Stack, Title } from '@mantine/core';
import { useMemo } from 'react';
import type { LegPlace } from '../../_state/selection';
import { stopLabels } from '../../_state/stopLabels';
import { useTyping } from '../../_state/useTyping';
import { ExerciseGuide } from '../ExerciseGuide';
import { HeightRows } from './HeightRows';
import { LegRows } from './LegRows';
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
  const { placed, guidance, laid, params } = exercise;
  const { format, say } = useLengths();
  const typing = useTyping(controls);
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
  const { layout } = controls.shown.resolved;
  const labels = layoutLabels(layout);
  const track = layout.tracks.find(({ id }) => id === laid.tracks[0]?.id);
  const reckoned = controls.shown.tracks.find(({ id }) => id === track?.id);
  const fences = laid.items.filter((item): item is Fence => item.kind === 'fence');
  const onSelectLeg = (leg: LegPlace) => onSelect({ ids: [], leg });
  const ground = useMemo(
    () => ({ arena: layout.arena, school: layout.school, horses: layout.horses }),
    [layout.arena, layout.school, layout.horses],
  );
  return (
    <Stack gap="xs" component="section" aria-label={say(guidance.title)}>
      <Title order={2} size="h4">
        {say(placed.name ?? guidance.title)}
      </Title>
      <NameField thing={placed} controls={controls} />
      <Choice
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
      {paramSpecs(placed.kind, params).map(spec => (
        <ParamField
          key={spec.key}
          spec={spec}
          params={params}
          place={{ kind: placed.kind, arena, rein: placed.rein }}
          isMoved={!isAtItsLetters(arena, placed)}
          onParams={next => put(withAsked(exercise, next, arena))}
        />
      ))}
      <MultiSelect
        searchable
        label="Laid out for"
        placeholder={
          placed.horseIds !== null ? '' : layout.horses.length === 0 ? 'any horse (160 cm)' : 'the whole group'
        }
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
      {track?.kind === 'items' && reckoned?.kind === 'items' && reckoned.legs.length > 0 && (
        <LegRows
          {...{ track, reckoned, labels, typing, onSelectLeg }}
          stops={stopLabels(track, layout.items, labels)}
        />
      )}
      <HeightRows fences={fences} labels={labels} typing={typing} />
      <ul className={classes.facts}>
        {laid.facts.map(({ what, horse, lengthM }) => (
          <li key={`${what} ${horse}`}>
            {what}
            {horse && ` for ${horse}`}: <strong>{format(lengthM)}</strong>
          </li>
        ))}
      </ul>
      <ExerciseGuide guidance={guidance} laid={laid} ground={ground} />
    </Stack>
  );
}

/** Where an exercise begins and which way it is ridden there: its first figure, or where its items are laid from. */
function entryOf({ placed, laid }: ResolvedExercise): Pose {
  const [track] = laid.tracks;
  return (track?.kind === 'figures' ? track.figures[0]?.figure.start : undefined) ?? placed.place;
}
