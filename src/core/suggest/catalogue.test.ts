import { findRecipe } from '../exercises/shelf';
import { EMPTY_PLAN } from '../plan/plan';
import { exerciseGround } from '../plan/resolvePlan';
import { layOutExercise } from '../exercises/layOutExercise';
import { catalogueOf } from './catalogue';
import { seededYard } from './testSeededYard';

const { ground, pairs } = seededYard(3);
const GROUP = pairs.map(({ horse }) => horse.id);
const on = { ...ground, arena: { widthM: 35, lengthM: 60, letters: 'none' } as const };
const catalogue = catalogueOf(on, GROUP);

test('what a lesson is made of has the stages of its exercise by their names, with what they take', () => {
  expect(catalogue.length).toBeGreaterThan(30);
  for (const { exercise, title, purposes, level, stages } of catalogue) {
    const { guidance } = findRecipe(exercise)!;
    expect({ title, purposes, level }).toEqual({
      ...{ title: guidance.title, purposes: guidance.purposes, level: guidance.level },
    });
    const ground = exerciseGround({ ...EMPTY_PLAN, groupIds: GROUP }, { horseIds: null }, on);
    const params = findRecipe(exercise)!.wishes(ground)[0]!;
    const laid = layOutExercise(findRecipe(exercise)!, ground, { rein: 'left', params });
    expect(stages.map(({ name }) => name)).toEqual(laid.exercise.stages.map(({ name }) => name));
    for (const { rideTime, eachRein } of stages) {
      expect(rideTime.rideMin).toBeGreaterThanOrEqual(0);
      expect(eachRein).toBe(guidance.repetitions.eachRein);
    }
  }
});

test('what is jumped is fences, what is stepped over poles, and what has neither is flat', () => {
  const kinds = (exercise: string) => catalogue.find(one => one.exercise === exercise)!.stages.map(({ kind }) => kind);
  expect(new Set(kinds('trot-poles'))).toEqual(new Set(['poles']));
  expect(new Set(kinds('circle'))).toEqual(new Set(['flat']));
  // A narrow fence lies as a pole first.
  expect(kinds('narrow-fence')).toEqual(['poles', 'fences', 'fences']);
});

test('nothing is taught by a test of the stride, nor by rest, nor what is for the rider', () => {
  const kinds = catalogue.map(({ exercise }) => exercise);
  for (const rest of ['stride-test-lane', 'flexions', 'free-walk', 'loose-rein', 'halt-and-pat'])
    expect(kinds).not.toContain(rest);
});

test('what is for gaited horses is offered where all of a group are', () => {
  const gaited = { ...on, horses: on.horses.map(horse => ({ ...horse, type: 'gaited' as const })) };
  const own = catalogueOf(gaited, GROUP).map(({ exercise }) => exercise);
  const others = catalogue.map(({ exercise }) => exercise);
  expect(own.filter(kind => !others.includes(kind)).length).toBeGreaterThan(0);
  const [first] = gaited.horses;
  const mixed = { ...on, horses: [first!, { ...on.horses[0]!, id: 'other' }] };
  expect(
    catalogueOf(
      mixed,
      mixed.horses.map(({ id }) => id),
    ).map(({ exercise }) => exercise),
  ).toEqual(others);
});

test('on a small sand there is what fits on it, and nothing else', () => {
  const small = catalogueOf({ ...on, arena: { widthM: 12, lengthM: 24, letters: 'none' } }, GROUP);
  expect(small.length).toBeGreaterThan(0);
  expect(small.length).toBeLessThan(catalogue.length);
  for (const { exercise, stages } of small) expect([exercise, stages.length > 0]).toEqual([exercise, true]);
});
