import type { Item } from '../items/item';
import type { Plan } from './plan';

/** Short words that are told apart when they are called across an arena. */
const WORDS = [
  'heron',
  'willow',
  'plover',
  'alder',
  'linnet',
  'hazel',
  'swift',
  'rowan',
  'dunlin',
  'aspen',
  'wren',
  'thistle',
  'curlew',
  'maple',
  'teal',
  'merlin',
  'lapwing',
  'elder',
  'siskin',
  'clover',
];

/** A name that nothing in the plan has: fences and exercises are called by a word, the rest by what it is and a number. */
export function freshName(plan: Plan, kind: Item['kind'] | 'exercise' | 'track'): string {
  const taken = namesOf(plan);
  if (kind === 'fence' || kind === 'exercise') {
    const word = WORDS.find(candidate => !taken.has(candidate));
    if (word) return word;
  }
  const stem = kind === 'exercise' ? 'set' : kind;
  return `${stem} ${firstFree(number => taken.has(`${stem} ${number}`))}`;
}

/** A copy's name: the old one with the next number behind it. */
export function copyName(plan: Plan, name: string): string {
  const taken = namesOf(plan);
  const stem = name.replace(/ \d+$/, '');
  return `${stem} ${firstFree(number => taken.has(`${stem} ${number}`), 2)}`;
}

function namesOf({ items, tracks, exercises }: Plan): Set<string> {
  const sessions = exercises.flatMap(({ session }) => session ?? []);
  return new Set([...[...items, ...tracks, ...exercises].map(({ id }) => id), ...sessions]);
}

function firstFree(isTaken: (number: number) => boolean, from = 1): number {
  let number = from;
  while (isTaken(number)) number += 1;
  return number;
}
