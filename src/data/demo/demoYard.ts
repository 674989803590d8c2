import {
  headingFromFacing,
  newItem,
  type ExerciseParams,
  type FenceForm,
  type FigurePart,
  type HorseLevel,
  type HorseType,
  type Item,
  type LegTrackChoice,
  type PlannedTrack,
  type Rein,
  type TrackGait,
} from '@/core';
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

type DemoTest = {
  horse: string;
  rider: string;
  entry: 'walk' | 'trot' | 'canter' | 'flat-walk' | 'running-walk' | 'fox-trot';
  daysAgo: number;
  /** After schooling on its day; before it where this is left out. */
  after?: true;
  stridesM: number[];
  rhythm: number;
  accepted: boolean;
  seed: number;
};

/**
 * Stride tests of a season: the horse's true strides on the day, short, normal and long, and how it went. Quill's trot
 * comes on; Barley's canter gets shorter towards the end.
 */
export const DEMO_TESTS: DemoTest[] = [
  {
    horse: 'quill',
    rider: 'ode',
    entry: 'trot',
    daysAgo: 120,
    stridesM: [1.95, 2.55, 2.8],
    rhythm: 3,
    accepted: false,
    seed: 21,
  },
  {
    horse: 'quill',
    rider: 'ode',
    entry: 'trot',
    daysAgo: 78,
    stridesM: [1.9, 2.62, 2.92],
    rhythm: 3,
    accepted: false,
    seed: 22,
  },
  {
    horse: 'quill',
    rider: 'ode',
    entry: 'trot',
    daysAgo: 44,
    stridesM: [1.84, 2.66, 3.0],
    rhythm: 4,
    accepted: false,
    seed: 23,
  },
  {
    horse: 'quill',
    rider: 'ode',
    entry: 'trot',
    daysAgo: 9,
    stridesM: [1.78, 2.7, 3.1],
    rhythm: 4,
    accepted: true,
    seed: 24,
  },
  {
    horse: 'quill',
    rider: 'ode',
    entry: 'trot',
    daysAgo: 9,
    after: true,
    stridesM: [1.7, 2.71, 3.22],
    rhythm: 5,
    accepted: false,
    seed: 30,
  },
  {
    horse: 'quill',
    rider: 'ode',
    entry: 'canter',
    daysAgo: 78,
    stridesM: [1.7, 2.3, 2.6],
    rhythm: 3,
    accepted: false,
    seed: 25,
  },
  {
    horse: 'quill',
    rider: 'ode',
    entry: 'canter',
    daysAgo: 9,
    stridesM: [1.66, 2.34, 2.68],
    rhythm: 4,
    accepted: true,
    seed: 26,
  },
  {
    horse: 'barley',
    rider: 'bas',
    entry: 'canter',
    daysAgo: 90,
    stridesM: [1.6, 2.05, 2.25],
    rhythm: 4,
    accepted: false,
    seed: 27,
  },
  {
    horse: 'barley',
    rider: 'bas',
    entry: 'canter',
    daysAgo: 20,
    stridesM: [1.62, 1.9, 2.0],
    rhythm: 2,
    accepted: false,
    seed: 28,
  },
  {
    horse: 'thimble',
    rider: 'neve',
    entry: 'walk',
    daysAgo: 30,
    stridesM: [1.15, 1.42, 1.55],
    rhythm: 4,
    accepted: true,
    seed: 29,
  },
  {
    horse: 'tansy',
    rider: 'maud',
    entry: 'flat-walk',
    daysAgo: 60,
    stridesM: [1.5, 1.72, 1.9],
    rhythm: 4,
    accepted: true,
    seed: 41,
  },
  {
    horse: 'tansy',
    rider: 'maud',
    entry: 'running-walk',
    daysAgo: 60,
    stridesM: [2.0, 2.36, 2.6],
    rhythm: 4,
    accepted: true,
    seed: 42,
  },
  {
    horse: 'tansy',
    rider: 'maud',
    entry: 'fox-trot',
    daysAgo: 60,
    stridesM: [1.9, 2.2, 2.4],
    rhythm: 4,
    accepted: true,
    seed: 43,
  },
  // Ridden western: a quiet lope is eight strides in 60 ft (common practice, no source).
  ...(
    [
      ['trot', [1.6, 1.95, 2.2], 44],
      ['canter', [1.9, 2.29, 2.6], 45],
    ] as const
  ).map(([entry, stridesM, seed]) => ({
    ...{ horse: 'fennel', rider: 'bas', entry, daysAgo: 50, stridesM: [...stridesM], rhythm: 4, accepted: true, seed },
  })),
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

/** Exercises of the shelf that the demo has on its sand. `first` is where the frame lies; null for where it usually does. */
type DemoExercise = {
  id: string;
  kind: string;
  rein: Rein;
  params: ExerciseParams;
  first: { xM: number; yM: number; facingDeg: number } | null;
  session: string | null;
};

type DemoLayout = {
  key: string;
  name: string;
  arena: string;
  group: string[];
  tags: string[];
  exercises: DemoExercise[];
  items: Item[];
  tracks: PlannedTrack[];
};

const NOTHING_BY_HAND = { items: [], tracks: [] };

const row = (
  gait: 'walk' | 'trot' | 'canter',
  params: ExerciseParams,
  first: { xM: number; yM: number; facingDeg: number },
): DemoExercise => ({ id: 'sorrel', kind: `${gait}-poles`, rein: 'left', params, first, session: null });

const fence = (id: string, form: FenceForm, xM: number, yM: number, facingDeg: number): Item => ({
  ...newItem(form, id, { xM, yM }, headingFromFacing(facingDeg)),
});

const pole = (id: string, xM: number, yM: number): Item => ({
  ...newItem('pole', id, { xM, yM }, headingFromFacing(0)),
});

const leg = (track: LegTrackChoice = 'natural') => ({
  ...{ track, setting: 'course' as const, approach: 'canter' as const, asked: null, circle: null },
});

/** Round the lower school on the left rein, from B on, so far and with these gaits between. */
function roundInGaits(gait: TrackGait, lengthM: number, parts: FigurePart[]): PlannedTrack {
  const cornerRadiusM = 6;
  const roundM = 2 * (20 + 40) - cornerRadiusM * (8 - 2 * Math.PI);
  const start = { at: { xM: 20, yM: 20 }, headingRad: Math.PI / 2 };
  const figure = { kind: 'round-arena', start, rein: 'left', cornerRadiusM, rounds: lengthM / roundM } as const;
  return {
    ...{ kind: 'figures', id: 'round', name: null, gait, passes: 1 },
    figures: [{ id: 'all-round', name: null, gait: null, parts, figure }],
  };
}

export const DEMO_LAYOUTS: DemoLayout[] = [
  {
    key: 'five-trot',
    name: 'Five trot poles, quarter line',
    arena: 'lower',
    group: ['quill'],
    tags: ['poles', 'rhythm'],
    exercises: [row('trot', { poles: 5 }, { xM: 5, yM: 17.26, facingDeg: 0 })],
    ...NOTHING_BY_HAND,
  },
  {
    key: 'raised-walk',
    name: 'Raised walk poles for the small ones',
    arena: 'lower',
    group: ['thimble'],
    tags: ['poles'],
    exercises: [
      row(
        'walk',
        { poles: 4, poleM: 2.5, raised: ['left', 'right', 'left', 'right'], blockM: 0.1 },
        { xM: 15, yM: 27, facingDeg: 180 },
      ),
    ],
    ...NOTHING_BY_HAND,
  },
  {
    key: 'three-canter',
    name: 'Three canter poles up the field',
    arena: 'field',
    group: ['larkspur'],
    tags: ['poles', 'canter'],
    exercises: [row('canter', { poles: 3, poleM: 3.5 }, { xM: 17.5, yM: 26.7, facingDeg: 0 })],
    ...NOTHING_BY_HAND,
  },
  {
    key: 'bend',
    name: 'Four on the bend for three',
    arena: 'lower',
    group: ['quill', 'larkspur', 'osprey'],
    tags: ['fences', 'suppleness'],
    exercises: [
      { id: 'alder', kind: 'fences-on-bend', rein: 'left', params: { fences: 4 }, first: null, session: null },
    ],
    ...NOTHING_BY_HAND,
  },
  {
    key: 'course',
    name: 'Course of eight, low',
    arena: 'field',
    group: ['quill', 'larkspur', 'osprey'],
    tags: ['fences', 'course'],
    exercises: [],
    items: [
      fence('heron', 'vertical', 8.75, 16, 0),
      fence('willow', 'oxer', 8.75, 34.5, 0),
      fence('plover', 'vertical', 26.25, 38, 180),
      fence('alder', 'vertical', 26.25, 20, 180),
      fence('linnet', 'oxer', 13.5, 22, 30),
      fence('hazel', 'cross-rail', 19.15, 31.79, 30),
      fence('rowan', 'wall', 20.5, 7, 90),
    ],
    tracks: [
      {
        ...{ kind: 'items', id: 'course', name: null, gait: 'course-canter', passes: 1 },
        course: { speedMPerMin: 325, startM: 12, finishM: 12 },
        through: ['heron', 'willow', 'plover', 'alder', 'linnet', 'hazel', 'willow', 'rowan'].map((item, index) => ({
          item,
          reversed: index === 6,
        })),
        legs: [leg(), leg(), leg(), leg(), leg(), leg({ via: { xM: 16, yM: 47 } }), leg({ via: { xM: 3, yM: 20 } })],
      },
    ],
  },
  {
    key: 'line',
    name: 'Two fences, four or five',
    arena: 'field',
    group: ['barley', 'quill', 'larkspur', 'osprey'],
    tags: ['fences', 'adjustability'],
    exercises: [],
    items: [fence('tansy', 'vertical', 22, 18, 0), fence('sedge', 'vertical', 22, 37.4, 0)],
    tracks: [
      {
        ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1 },
        through: ['tansy', 'sedge'].map(item => ({ item, reversed: false })),
        legs: [leg()],
      },
    ],
  },
  {
    key: 'flat',
    name: 'Three loops and a spiral',
    arena: 'lower',
    group: ['thimble', 'barley', 'quill'],
    tags: ['flat', 'suppleness'],
    exercises: [
      { id: 'heron', kind: 'serpentine', rein: 'left', params: { loops: 3 }, first: null, session: 'flat work' },
      { id: 'willow', kind: 'spiral', rein: 'left', params: {}, first: null, session: 'flat work' },
    ],
    ...NOTHING_BY_HAND,
  },
  {
    key: 'flat-session',
    name: 'Warm-up: corners, loops and yields',
    arena: 'lower',
    group: ['quill', 'barley', 'larkspur'],
    tags: ['flat', 'suppleness', 'warm-up'],
    exercises: [
      { id: 'sorrel', kind: 'free-walk', rein: 'left', params: {}, first: null, session: 'warm-up' },
      { id: 'sedge', kind: 'corners', rein: 'left', params: {}, first: null, session: 'warm-up' },
      { id: 'teal', kind: 'serpentine', rein: 'left', params: { loops: 3 }, first: null, session: 'warm-up' },
      { id: 'wren', kind: 'leg-yield', rein: 'left', params: {}, first: null, session: 'warm-up' },
      { id: 'dunlin', kind: 'shoulder-in', rein: 'right', params: {}, first: null, session: 'warm-up' },
      { id: 'knot', kind: 'canter-depart-on-eight', rein: 'left', params: {}, first: null, session: 'warm-up' },
    ],
    ...NOTHING_BY_HAND,
  },
  {
    key: 'ladder',
    name: 'Fewer steps to canter',
    arena: 'lower',
    group: ['barley', 'quill'],
    tags: ['flat', 'departs'],
    exercises: [
      { id: 'ash', kind: 'transitions-ladder', rein: 'left', params: { rungs: 3 }, first: null, session: null },
    ],
    ...NOTHING_BY_HAND,
  },
  {
    key: 'running-walk',
    name: 'Two poles in running walk',
    arena: 'lower',
    group: ['tansy'],
    tags: ['poles', 'gaits'],
    exercises: [],
    items: [pole('moss', 5, 28), pole('reed', 5, 31)],
    tracks: [
      {
        ...{ kind: 'items', id: 'row', name: null, gait: 'running-walk', course: null, passes: 1 },
        through: ['moss', 'reed'].map(item => ({ item, reversed: false })),
        legs: [{ ...leg('direct'), setting: 'poles', approach: 'trot' }],
      },
    ],
  },
  {
    key: 'easy-gaits',
    name: 'Flat walk, all round',
    arena: 'lower',
    group: ['tansy'],
    tags: ['flat', 'gaits'],
    exercises: [],
    items: [],
    tracks: [roundInGaits('flat-walk', 120, [])],
  },
  {
    key: 'gaits-in-turn',
    name: 'Running walk, and canter out of two gaits',
    arena: 'lower',
    group: ['tansy'],
    tags: ['flat', 'gaits', 'departs'],
    exercises: [],
    items: [],
    tracks: [
      roundInGaits('running-walk', 230, [
        { fromM: 0, toM: 25, gait: 'flat-walk' },
        { fromM: 70, toM: 85, gait: 'flat-walk' },
        { fromM: 100, toM: 115, gait: 'canter' },
        { fromM: 115, toM: 140, gait: 'flat-walk' },
        { fromM: 175, toM: 190, gait: 'trot' },
        { fromM: 190, toM: 210, gait: 'canter' },
      ]),
    ],
  },
  {
    key: 'large-and-small',
    name: 'Large and fast, small and slow',
    arena: 'lower',
    group: ['fennel'],
    tags: ['flat', 'western'],
    exercises: [{ id: 'vetch', kind: 'large-and-small-circle', rein: 'left', params: {}, first: null, session: null }],
    ...NOTHING_BY_HAND,
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

/** The lesson that is coming. */
export const DEMO_LESSON = {
  name: 'The bend, built up',
  layout: 'bend',
  pairs: ['bas-barley', 'ode-quill', 'ode-larkspur'],
  eachRein: 2,
};
