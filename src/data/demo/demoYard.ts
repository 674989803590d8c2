import { type HorseLevel, type HorseType } from '@/core';
import { NO_MARKS, type ArenaMarks } from '@/files/arenaMarks';
import type { KitKind } from '@/files/yardForms';
import type { PersonRole } from '../queries/people';

/** Teasel Bank: an invented yard with invented people and horses. */
export const DEMO_YARD = { name: 'Teasel Bank', timeZone: 'Europe/London' };

const marks = (own: Partial<ArenaMarks>): ArenaMarks => ({ ...NO_MARKS, ...own });

export const DEMO_ARENAS = [
  {
    key: 'lower',
    name: 'Lower school',
    widthM: 20,
    lengthM: 40,
    letters: '20x40' as const,
    boundary: 'walls' as const,
    marks: marks({ entrance: { xM: 10, yM: 0 }, homeFacingDeg: 200 }),
  },
  {
    key: 'field',
    name: 'Field arena',
    widthM: 35,
    lengthM: 60,
    letters: 'none' as const,
    boundary: 'fence' as const,
    marks: marks({
      entrance: { xM: 35, yM: 12 },
      homeFacingDeg: 110,
      fall: { facingDeg: 270, percent: 1.5 },
      patches: [{ id: 'deep', at: { xM: 6, yM: 44 }, radiusM: 3, words: 'deep after rain' }],
    }),
  },
];

export const DEMO_PEOPLE: { key: string; name: string; role: PersonRole; stepLengthM: number | null }[] = [
  { key: 'maud', name: 'Maud Ferrier', role: 'instructor', stepLengthM: 0.88 },
  { key: 'ode', name: 'Ode Quillan', role: 'rider', stepLengthM: null },
  { key: 'bas', name: 'Bas Tamsin', role: 'rider', stepLengthM: null },
  { key: 'neve', name: 'Neve Arkwell', role: 'rider', stepLengthM: null },
  { key: 'jory', name: 'Jory Pell', role: 'helper', stepLengthM: null },
];

type DemoHorse = {
  key: string;
  name: string;
  heightM: number;
  type: HorseType;
  bornYear: number;
  level: HorseLevel;
  stiffSide?: 'left' | 'right';
  notes?: string;
  trotStepM?: number;
};

export const DEMO_HORSES: DemoHorse[] = [
  { key: 'thimble', name: 'Thimble', heightM: 1.18, type: 'pony', bornYear: 2011, level: 'novice' },
  { key: 'barley', name: 'Barley', heightM: 1.45, type: 'cob', bornYear: 2016, level: 'novice', stiffSide: 'right' },
  {
    key: 'quill',
    name: 'Quill',
    heightM: 1.6,
    type: 'all-round',
    bornYear: 2014,
    level: 'novice',
    stiffSide: 'left',
    notes: 'Stiff to the left after a rest day; better once she has cantered. Dislikes the blue filler.',
  },
  {
    key: 'larkspur',
    name: 'Larkspur',
    heightM: 1.65,
    type: 'blood',
    bornYear: 2018,
    level: 'novice',
    trotStepM: 1.45,
  },
  { key: 'osprey', name: 'Osprey', heightM: 1.75, type: 'warmblood', bornYear: 2013, level: 'advanced' },
  { key: 'tansy', name: 'Tansy', heightM: 1.5, type: 'gaited', bornYear: 2012, level: 'novice' },
  {
    ...{ key: 'fennel', name: 'Fennel', heightM: 1.48, type: 'all-round', bornYear: 2015, level: 'novice' },
    notes: 'Ridden western: jog and lope.',
  },
];

export const DEMO_KIT: { kind: KitKind; name: string; sizeM: number | null; count: number }[] = [
  { kind: 'pole', name: 'striped', sizeM: 3.5, count: 14 },
  { kind: 'pole', name: 'light', sizeM: 2.5, count: 6 },
  { kind: 'stand-pair', name: '', sizeM: null, count: 8 },
  { kind: 'cup', name: '', sizeM: null, count: 40 },
  { kind: 'block', name: '', sizeM: 0.15, count: 12 },
  { kind: 'cone', name: '', sizeM: null, count: 20 },
  { kind: 'filler', name: 'blue', sizeM: null, count: 2 },
];

/** Walks over a taped 20 m: who, how many days ago, and the steps. */
export const DEMO_WALKS = [
  { person: 'jory', daysAgo: 40, steps: [24.5, 25, 24.5] },
  { person: 'ode', daysAgo: 12, steps: [25.5] },
];

export const DEMO_PAIRS = [
  { key: 'ode-quill', rider: 'ode', horse: 'quill' },
  { key: 'bas-barley', rider: 'bas', horse: 'barley' },
  { key: 'neve-thimble', rider: 'neve', horse: 'thimble' },
  { key: 'ode-larkspur', rider: 'ode', horse: 'larkspur' },
  { key: 'maud-osprey', rider: 'maud', horse: 'osprey' },
  { key: 'maud-tansy', rider: 'maud', horse: 'tansy' },
  { key: 'bas-fennel', rider: 'bas', horse: 'fennel' },
];

/**
 * The rides of the demo: who rode what, how many days ago, the step the horse really took (metres), and which pole it
 * tends to rap. Bas's cob is short for Quill's row; Ode's blood horse reaches over it.
 */
export const DEMO_RIDES = [
  { layout: 'five-trot', pair: 'ode-quill', daysAgo: 16, stepM: 1.33, entry: 0.5, passes: 6, raps: 4, seed: 11 },
  { layout: 'five-trot', pair: 'ode-quill', daysAgo: 9, stepM: 1.352, entry: 0.5, passes: 6, raps: 4, seed: 12 },
  { layout: 'five-trot', pair: 'ode-quill', daysAgo: 2, stepM: 1.368, entry: 0.52, passes: 4, raps: 0, seed: 13 },
  { layout: 'five-trot', pair: 'bas-barley', daysAgo: 9, stepM: 1.27, entry: 0.55, passes: 4, raps: 3, seed: 14 },
  { layout: 'raised-walk', pair: 'neve-thimble', daysAgo: 2, stepM: 0.645, entry: 0.45, passes: 4, raps: 2, seed: 15 },
];

/** The lesson that is coming. */
export const DEMO_LESSON = {
  name: 'The bend, built up',
  layout: 'bend',
  pairs: ['bas-barley', 'ode-quill', 'ode-larkspur'],
  eachRein: 2,
};
