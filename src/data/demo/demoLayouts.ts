import {
  headingFromFacing,
  newItem,
  type ExerciseParams,
  type FenceForm,
  type FigurePart,
  type Item,
  type LegTrackChoice,
  type PlannedTrack,
  type Rein,
  type TrackGait,
} from '@/core';

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
