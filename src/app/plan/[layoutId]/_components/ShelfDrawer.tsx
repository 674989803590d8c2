'use client';

import { LayoutDrawing } from '@/components/Sand/LayoutDrawing';
import { Sand, sandTextM } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import {
  exerciseGround,
  exerciseSketch,
  HORSE_LEVELS,
  layoutLabels,
  placeArrangement,
  placeExercise,
  PURPOSES,
  reckonLayout,
  SHELF,
  type Arena,
  type Item,
  type PlannedTrack,
  type Recipe,
  type Rein,
} from '@/core';
import { newId } from '@/components/newId';
import type { OwnExercise } from '@/data/queries/ownExercises';
import type { Horse } from '@/data/queries/horses';
import {
  Button,
  Drawer,
  Group,
  MultiSelect,
  SegmentedControl,
  Select,
  Stack,
  Text,
  TextInput,
  Title,
} from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { memo, useDeferredValue, useMemo, useState } from 'react';
import type { Selection } from '../_state/selection';
import type { EditorGround, PlanControls } from '../_state/usePlanEditor';
import { removeOwnExerciseAction } from '../../shelfActions';
import classes from './ShelfDrawer.module.css';

type ShelfDrawerProps = {
  controls: PlanControls;
  ground: EditorGround;
  horses: readonly Horse[];
  own: readonly OwnExercise[];
  onClose: () => void;
  onPlaced: (selection: Selection, track: string | null) => void;
};

type Filter = { words: string; purpose: string | null; level: string | null };

/** The exercises by what they are for; one that is taken asks only what it needs. */
export default function ShelfDrawer({ controls, ground, horses, own, onClose, onPlaced }: ShelfDrawerProps) {
  const [filter, setFilter] = useState<Filter>({ words: '', purpose: null, level: null });
  const [taken, setTaken] = useState<Recipe | null>(null);
  const shown = useDeferredValue(filter);
  const recipes = SHELF.filter(({ guidance }) => matches(shown, guidance.title, guidance.purposes, guidance.level));
  const mine = own.filter(({ title, purposes, level }) => matches(shown, title, purposes, level));
  const { plan } = controls.present;
  const on = useMemo(() => exerciseGround(plan, { horseIds: null }, ground), [plan, ground]);
  const place = (recipe: Recipe, rein: Rein, horseIds: string[] | null, session: string | null) => {
    const placed = placeExercise(plan, ground, { id: newId(), recipe, rein, horseIds, session });
    controls.change(() => placed.plan);
    if (placed.adapted)
      notifications.show({ message: 'Laid out smaller than usual: the arena or the horses ask for it.' });
    onPlaced({ ids: [placed.id], leg: null }, session);
    onClose();
  };
  const placeOwn = (exercise: OwnExercise) => {
    const middle = { xM: ground.arena.widthM / 2, yM: ground.arena.lengthM / 2 };
    const placed = placeArrangement(plan, exercise, middle, newId);
    controls.change(() => placed.plan);
    onPlaced({ ids: placed.ids, leg: null }, null);
    onClose();
  };
  return (
    <Drawer opened onClose={onClose} title="The shelf" size={520} overlayProps={{ backgroundOpacity: 0.2 }}>
      {taken ? (
        <Taking recipe={taken} {...{ controls, horses }} onBack={() => setTaken(null)} onPlace={place} />
      ) : (
        <Stack gap="sm">
          <Group grow gap="xs">
            <TextInput
              aria-label="Search the shelf"
              placeholder="circle, grid, rhythm …"
              data-autofocus
              value={filter.words}
              onChange={event => setFilter({ ...filter, words: event.currentTarget.value })}
            />
            <Select
              aria-label="Purpose"
              placeholder="any purpose"
              clearable
              data={[...PURPOSES]}
              value={filter.purpose}
              onChange={purpose => setFilter({ ...filter, purpose })}
            />
            <Select
              aria-label="Level"
              placeholder="any level"
              clearable
              data={[...HORSE_LEVELS]}
              value={filter.level}
              onChange={level => setFilter({ ...filter, level })}
            />
          </Group>
          {recipes.length + mine.length === 0 && (
            <Text c="slate.7">Nothing on the shelf is like that. Take a word or a choice away.</Text>
          )}
          {mine.length > 0 && (
            <>
              <Title order={3} size="h5">
                Your own
              </Title>
              <ul className={classes.cards}>
                {mine.map(exercise => (
                  <OwnCard
                    key={exercise.id}
                    exercise={exercise}
                    arena={ground.arena}
                    onTake={() => placeOwn(exercise)}
                  />
                ))}
              </ul>
            </>
          )}
          <ul className={classes.cards}>
            {recipes.map(recipe => (
              <li key={recipe.kind}>
                <button type="button" className={classes.card} onClick={() => setTaken(recipe)}>
                  <Sketch recipe={recipe} ground={on} />
                  <strong>{recipe.guidance.title}</strong>
                  <span>
                    {recipe.guidance.purposes.join(', ')} · {recipe.guidance.level}
                  </span>
                </button>
              </li>
            ))}
          </ul>
        </Stack>
      )}
    </Drawer>
  );
}

function matches(
  { words, purpose, level }: Filter,
  title: string,
  purposes: readonly string[],
  itsLevel: string,
): boolean {
  const text = [title, ...purposes, itsLevel].join(' ').toLowerCase();
  const all = words
    .toLowerCase()
    .split(/\s+/)
    .every(word => text.includes(word));
  return all && (purpose === null || purposes.includes(purpose)) && (level === null || level === itsLevel);
}

type SketchProps = { recipe: Recipe; ground: ReturnType<typeof exerciseGround> };

/** A small true drawing: laid out for these horses on this sand. */
const Sketch = memo(function Sketch({ recipe, ground }: SketchProps) {
  const laid = useMemo(() => exerciseSketch(recipe, ground), [recipe, ground]);
  if (!laid) return <Drawing arena={ground.arena} items={[]} tracks={[]} />;
  return <Drawing arena={ground.arena} items={laid.items} tracks={laid.tracks} />;
});

function Drawing({ arena, items, tracks }: { arena: Arena; items: Item[]; tracks: PlannedTrack[] }) {
  const view = sandView(arena, 'along');
  const reckoned = reckonLayout({
    ...{ name: '', arena, fall: null, school: 'whole-stride', horses: [], kit: null },
    ...{ items, tracks },
  });
  return (
    <span className={classes.sketch} aria-hidden="true">
      <Sand arena={arena} view={view} label="">
        <LayoutDrawing layout={{ items }} tracks={reckoned} view={view} textM={sandTextM(arena)} />
      </Sand>
    </span>
  );
}

function OwnCard({ exercise, arena, onTake }: { exercise: OwnExercise; arena: Arena; onTake: () => void }) {
  const [gone, setGone] = useState(false);
  const middle = { xM: arena.widthM / 2, yM: arena.lengthM / 2 };
  const at = exercise.items.map(item => ({ ...item, at: { xM: item.at.xM + middle.xM, yM: item.at.yM + middle.yM } }));
  if (gone) return null;
  return (
    <li>
      <button type="button" className={classes.card} onClick={onTake}>
        <Drawing arena={arena} items={at} tracks={[]} />
        <strong>{exercise.title}</strong>
        <span>
          {exercise.purposes.join(', ')} · {exercise.level}
        </span>
      </button>
      <Button
        size="compact-xs"
        variant="subtle"
        color="slate"
        onClick={async () => {
          const outcome = await removeOwnExerciseAction(exercise.id);
          if (outcome.ok) setGone(true);
          else notifications.show({ color: 'chestnut', message: outcome.problem ?? 'It could not be put away.' });
        }}
      >
        Put {exercise.title} away
      </Button>
    </li>
  );
}

type TakingProps = {
  recipe: Recipe;
  controls: PlanControls;
  horses: readonly Horse[];
  onBack: () => void;
  onPlace: (recipe: Recipe, rein: Rein, horseIds: string[] | null, session: string | null) => void;
};

/** What an exercise asks before it lies on the sand: for which horses, on which rein, and what it is ridden behind. */
function Taking({ recipe, controls, horses, onBack, onPlace }: TakingProps) {
  const { plan } = controls.present;
  const { guidance } = recipe;
  const [rein, setRein] = useState<Rein>('left');
  const [horseIds, setHorseIds] = useState<string[]>([]);
  const sessions = [...new Set(plan.exercises.flatMap(({ session }) => session ?? []))];
  const [fresh] = useState(newId);
  const [session, setSession] = useState<string | null>(sessions[0] ?? fresh);
  const { track: called } = layoutLabels(controls.shown.resolved.layout);
  const isFlat = useMemo(
    () => exerciseSketch(recipe, anyGround(controls))?.tracks.every(({ kind }) => kind === 'figures') ?? false,
    [recipe, controls],
  );
  return (
    <Stack gap="sm">
      <Title order={3} size="h4">
        {guidance.title}
      </Title>
      <Text size="sm">
        For {guidance.purposes.join(', ')}. {guidance.level} pairs who know:{' '}
        {guidance.knowFirst.join('; ').toLowerCase()}.
      </Text>
      <SegmentedControl
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
    </Stack>
  );
}

function anyGround(controls: PlanControls) {
  const { arena, horses, school } = controls.shown.resolved.layout;
  const usual = { id: 'any', name: 'any', heightM: 1.6, type: 'all-round', level: 'novice', strides: {} } as const;
  return { arena, school, horses: horses.length > 0 ? horses : [usual] };
}
