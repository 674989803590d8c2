import type { StrideWord } from '../stride/strideWord';
import { glanceWord, groupGlance } from './groupGlance';
import type { HorseReading, ReckonedLeg } from './reckonedLeg';

const reading = (horse: string, word: StrideWord | 'between' | 'cannot' | null, asked: StrideWord | null = null) =>
  ({
    ...{ horseId: horse, horse, asked: asked && { strides: 4, q: 1, word: asked } },
    cannot: word === 'cannot' ? { radiusM: 2, leastM: 5 } : null,
    call: word === 'between' ? 'between four and five' : 'whatever',
    options:
      word === null || word === 'between' || word === 'cannot' ? [] : [{ strides: 4, q: 1.02, needM: 3.6, word }],
  }) as unknown as HorseReading;
const leg = (...readings: HorseReading[]) => ({ readings }) as unknown as ReckonedLeg;

test('an asked count speaks for itself, else the count nearest to even', () => {
  expect(glanceWord(reading('a', 'easy', 'short'))).toBe('short');
  const two = reading('a', 'long');
  two.options = [...two.options, { strides: 5, q: 1.001, needM: 3, word: 'easy' }];
  expect(glanceWord(two)).toBe('easy');
  expect(glanceWord(reading('a', null))).toBeNull();
});

test('the horse that the track suits least comes first, with its worst leg', () => {
  const glances = groupGlance({
    legs: [
      leg(reading('Juniper', 'easy'), reading('Sorrel', 'between'), reading('Pip', 'quiet')),
      leg(reading('Juniper', 'forward'), reading('Sorrel', 'easy'), reading('Pip', 'cannot')),
    ],
  });
  expect(glances.map(({ horse, worst }) => [horse, worst])).toEqual([
    ['Pip', 1],
    ['Sorrel', 0],
    ['Juniper', 1],
  ]);
  expect(glances[2]!.words).toEqual(['easy', 'forward']);
});

test('of two alike the one with more against it comes first; what is not rated counts for nothing', () => {
  const glances = groupGlance({
    legs: [
      leg(reading('Juniper', 'quiet'), reading('Sorrel', 'quiet')),
      leg(reading('Juniper', null), reading('Sorrel', 'forward')),
    ],
  });
  expect(glances.map(({ horse }) => horse)).toEqual(['Sorrel', 'Juniper']);
  expect(glances[1]!.words).toEqual(['quiet', null]);
  expect(groupGlance({ legs: [] })).toEqual([]);
});
