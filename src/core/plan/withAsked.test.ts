import { findRecipe } from '../exercises/shelf';
import { layOutPlaced } from './layOutPlaced';
import { EMPTY_PLAN, type PlacedRecipe } from './plan';
import { placeExercise } from './placeExercise';
import { exerciseGround } from './resolvePlan';
import { withAsked } from './withAsked';

const ARENA = { widthM: 20, lengthM: 60, letters: '20x60' } as const;

function onSand(kind: string) {
  const ground = { arena: ARENA, horses: [] };
  const wanted = { id: 'one', recipe: findRecipe(kind)!, rein: 'left', horseIds: null, session: null } as const;
  const [placed] = placeExercise(EMPTY_PLAN, ground, wanted).plan.exercises;
  const layOut = (one: PlacedRecipe) => layOutPlaced(one, exerciseGround(EMPTY_PLAN, one, ground));
  const laid = layOut(placed!);
  if (!laid.ok) throw new Error(laid.reason);
  return { exercise: { placed: placed!, params: laid.params }, layOut };
}

test('from every letter that is chosen a leg-yield stays on the sand: its end goes ahead of it', () => {
  const { exercise, layOut } = onSand('leg-yield');
  for (const from of ['D', 'L', 'X', 'I', 'G', 'K', 'V', 'E', 'S'])
    expect(layOut(withAsked(exercise, { ...exercise.params, from }, ARENA))).toMatchObject({ ok: true });
});

test('only what differs is kept: all else follows the horses still', () => {
  const { exercise } = onSand('volte');
  const { placed, params } = exercise;
  expect(withAsked(exercise, { ...params, rounds: 3 }, ARENA)).toEqual({
    ...placed,
    params: { ...placed.params, rounds: 3 },
  });
});

test('what was moved goes home to the letter that is chosen, and stays where it was moved to otherwise', () => {
  const { exercise } = onSand('circle');
  const away = { at: { xM: 3, yM: 4 }, headingRad: 0 };
  const moved = { ...exercise, placed: { ...exercise.placed, place: away } };
  expect(withAsked(moved, { ...moved.params, from: 'B' }, ARENA).place).toEqual(exercise.placed.place);
  expect(withAsked(moved, { ...moved.params, rounds: 2 }, ARENA).place).toEqual(away);
});
