'use client';

import { useFocusGivenBack } from '@/components/Modal/useFocusGivenBack';
import { useSay } from '@/components/Lengths/LengthsProvider';
import { CroppedSand } from '@/components/Sand/CroppedSand';
import {
  exerciseGround,
  exerciseSketch,
  exerciseText,
  hasWords,
  HORSE_LEVELS,
  isForGaited,
  isForRider,
  placeArrangement,
  placeExercise,
  plainWords,
  PURPOSES,
  SHELF,
  type ExerciseGround,
  type LaidExercise,
  type Recipe,
  type Rein,
} from '@/core';
import { newId } from '@/components/newId';
import type { OwnExercise } from '@/data/queries/ownExercises';
import type { Horse } from '@/data/queries/horses';
import { Drawer, Group, Select, Stack, Text, TextInput, Title } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { memo, useDeferredValue, useMemo, useState } from 'react';
import type { Selection } from '../_state/selection';
import type { PlanControls } from '../_state/usePlanEditor';
import type { EditorGround } from '../_state/shown';
import { ExercisePicture } from './ExercisePicture';
import { OwnCard } from './OwnCard';
import classes from './ShelfDrawer.module.css';
import { TakeExercise } from './TakeExercise';

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
  const say = useSay();
  const [filter, setFilter] = useState<Filter>({ words: '', purpose: null, level: null });
  const [taken, setTaken] = useState<Recipe | null>(null);
  const shown = useDeferredValue(filter);
  const { plan } = controls.present;
  const on = useMemo(() => exerciseGround(plan, { horseIds: null }, ground), [plan, ground]);
  const shelf = useMemo(() => SHELF.map(recipe => onShelf(recipe, on)), [on]);
  const recipes = shelf.filter(({ text, recipe: { guidance } }) =>
    matches(shown, `${text} ${say(text)}`, guidance.purposes, guidance.level),
  );
  const mine = own.filter(({ title, purposes, level }) =>
    matches(shown, plainWords([title, ...purposes, level].join(' ')), purposes, level),
  );
  const sections = shelfSections(recipes, on.horses);
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
  useFocusGivenBack();
  return (
    <Drawer opened onClose={onClose} title="The shelf" size={560} overlayProps={{ backgroundOpacity: 0.2 }}>
      {taken ? (
        <TakeExercise recipe={taken} {...{ controls, horses, ground }} onBack={() => setTaken(null)} onPlace={place} />
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
            <Text c="dimmed">Nothing on the shelf is like that. Take a word or a choice away.</Text>
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
          {sections.map(({ title, recipes: ofIt }) => (
            <section key={title ?? 'all'} aria-label={title ?? 'Exercises'}>
              {title && (
                <Title order={3} size="h5" mb="xs">
                  {title}
                </Title>
              )}
              <ul className={classes.cards}>
                {ofIt.map(({ recipe, laid }) => (
                  <li key={recipe.kind}>
                    <button type="button" className={classes.card} onClick={() => setTaken(recipe)}>
                      <Sketch laid={laid} ground={on} />
                      <strong>{say(recipe.guidance.title)}</strong>
                      <span>
                        {say(recipe.guidance.purposes.join(', '))} · {recipe.guidance.level}
                      </span>
                    </button>
                  </li>
                ))}
              </ul>
            </section>
          ))}
        </Stack>
      )}
    </Drawer>
  );
}

/** What is ridden in a gaited horse's own gaits stands apart: first where one of the group is such a horse. */
function shelfSections(recipes: readonly OnShelf[], horses: ExerciseGround['horses']) {
  const gaited = { title: 'For gaited horses', recipes: recipes.filter(({ recipe }) => isForGaited(recipe)) };
  const rider = { title: 'For the rider', recipes: recipes.filter(({ recipe }) => isForRider(recipe)) };
  const others = { title: null, recipes: recipes.filter(({ recipe }) => !isForGaited(recipe) && !isForRider(recipe)) };
  const hasGaited = horses.some(({ type }) => type === 'gaited');
  return (hasGaited ? [gaited, { ...others, title: 'For every horse' }, rider] : [others, rider, gaited]).filter(
    section => section.recipes.length > 0,
  );
}

/** An exercise of the shelf as it would lie here, with the words that it is found by. */
type OnShelf = { recipe: Recipe; laid: LaidExercise | null; text: string };

function onShelf(recipe: Recipe, ground: ExerciseGround): OnShelf {
  const laid = exerciseSketch(recipe, ground);
  return { recipe, laid, text: exerciseText(recipe, ground, laid) };
}

function matches(
  { words, purpose, level }: Filter,
  text: string,
  purposes: readonly string[],
  itsLevel: string,
): boolean {
  const isLike = hasWords(text, words);
  return isLike && (purpose === null || purposes.includes(purpose)) && (level === null || level === itsLevel);
}

/** A small true drawing: laid out for these horses on this sand, at its last stage, with the strides of the first of them. */
const Sketch = memo(function Sketch({ laid, ground }: { laid: LaidExercise | null; ground: ExerciseGround }) {
  const stage = laid?.stages.at(-1);
  return (
    <span className={classes.sketch} aria-hidden="true">
      {laid && stage ? (
        <ExercisePicture laid={laid} ground={ground} stage={stage} />
      ) : (
        <CroppedSand arena={ground.arena} items={[]} tracks={[]} />
      )}
    </span>
  );
});
