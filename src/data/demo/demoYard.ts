import { headingFromFacing, type HorseType, type PoleGait } from '@/core';
import type { PersonRole } from '../queries/people';

/** Teasel Bank: an invented yard with invented people and horses. */
export const DEMO_YARD = { name: 'Teasel Bank', timeZone: 'Europe/London' };

export const DEMO_ARENAS = [
  { key: 'lower', name: 'Lower school', widthM: 20, lengthM: 40, letters: '20x40' as const },
  { key: 'field', name: 'Field arena', widthM: 35, lengthM: 60, letters: 'none' as const },
];

export const DEMO_PEOPLE: { key: string; name: string; role: PersonRole; stepLengthM: number | null }[] = [
  { key: 'maud', name: 'Maud Ferrier', role: 'instructor', stepLengthM: 0.88 },
  { key: 'ode', name: 'Ode Quillan', role: 'rider', stepLengthM: null },
  { key: 'bas', name: 'Bas Tamsin', role: 'rider', stepLengthM: null },
  { key: 'neve', name: 'Neve Arkwell', role: 'rider', stepLengthM: null },
  { key: 'jory', name: 'Jory Pell', role: 'helper', stepLengthM: 0.81 },
];

export const DEMO_HORSES: { key: string; name: string; heightM: number; type: HorseType; trotStepM?: number }[] = [
  { key: 'thimble', name: 'Thimble', heightM: 1.18, type: 'pony' },
  { key: 'barley', name: 'Barley', heightM: 1.45, type: 'cob' },
  { key: 'quill', name: 'Quill', heightM: 1.6, type: 'all-round' },
  { key: 'larkspur', name: 'Larkspur', heightM: 1.65, type: 'blood', trotStepM: 1.45 },
  { key: 'osprey', name: 'Osprey', heightM: 1.75, type: 'warmblood' },
  { key: 'tansy', name: 'Tansy', heightM: 1.5, type: 'gaited' },
];

export const DEMO_PAIRS = [
  { key: 'ode-quill', rider: 'ode', horse: 'quill' },
  { key: 'bas-barley', rider: 'bas', horse: 'barley' },
  { key: 'neve-thimble', rider: 'neve', horse: 'thimble' },
  { key: 'ode-larkspur', rider: 'ode', horse: 'larkspur' },
];

type DemoLayout = {
  key: string;
  name: string;
  arena: string;
  horse: string;
  gait: PoleGait;
  poles: number;
  raisedM?: number;
  poleLengthM: number;
  centre: { xM: number; yM: number };
  headingRad: number;
};

export const DEMO_LAYOUTS: DemoLayout[] = [
  {
    key: 'five-trot',
    name: 'Five trot poles, quarter line',
    arena: 'lower',
    horse: 'quill',
    gait: 'trot',
    poles: 5,
    poleLengthM: 3,
    centre: { xM: 5, yM: 20 },
    headingRad: headingFromFacing(0),
  },
  {
    key: 'raised-walk',
    name: 'Raised walk poles for the small ones',
    arena: 'lower',
    horse: 'thimble',
    gait: 'walk',
    poles: 4,
    raisedM: 0.1,
    poleLengthM: 2.5,
    centre: { xM: 15, yM: 26 },
    headingRad: headingFromFacing(180),
  },
  {
    key: 'three-canter',
    name: 'Three canter poles up the field',
    arena: 'field',
    horse: 'larkspur',
    gait: 'canter',
    poles: 3,
    poleLengthM: 3.5,
    centre: { xM: 17.5, yM: 30 },
    headingRad: headingFromFacing(0),
  },
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
