import type { ExerciseGround } from './exercise';
import { hasWords } from '../words/plainWords';
import { exerciseText } from './exerciseSearch';
import { exerciseSketch } from './layOutExercise';
import { SHELF } from './shelf';

const GROUND: ExerciseGround = {
  ...{ arena: { widthM: 20, lengthM: 60, letters: '20x60' }, school: 'whole-stride' },
  horses: [{ id: 'h', name: 'Juniper', heightM: 1.6, type: 'all-round', level: 'novice', strides: {} }],
};
const found = (words: string) =>
  SHELF.filter(recipe => hasWords(exerciseText(recipe, GROUND, exerciseSketch(recipe, GROUND)), words)).map(
    ({ kind }) => kind,
  );

test.each([
  ['counter shoulder-in', 'shoulder-in'],
  ['Counter-Shoulder-In', 'shoulder-in'],
  ['renvers', 'shoulder-in'],
  ['gaited', 'trot-poles'],
  ['placing pole', 'grid'],
  ['bounce', 'grid'],
  ['wrong lead', 'transitions-ladder'],
  ['rhythm poles', 'walk-poles'],
])('“%s” finds %s', (words, kind) => expect(found(words)).toContain(kind));

test('what no exercise says finds none, and nothing typed finds all', () => {
  expect(found('submarine')).toEqual([]);
  expect(found('')).toHaveLength(SHELF.length);
  expect(found('counter shoulder-in')).not.toContain('grid');
});
