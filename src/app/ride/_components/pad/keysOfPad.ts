import {
  FIGURE_POINTS,
  FOOTFALL_PLACES,
  gaitWord,
  isGaitedGait,
  RIDE_FAULTS,
  SLIPS,
  TRACK_GAITS,
  TRANSITIONS,
  type PadStep,
  type PassMark,
  type TappedMark,
  type TrackGait,
} from '@/core';

/** A key of the pad: what it says of where one is. */
export type PadKey = {
  name: string;
  /** In little room. */
  short?: string;
  /** Where in the gap between two poles the foot fell, a share of it: drawn on the key. */
  gapAt?: number;
  /** On a keyboard. */
  letter: string;
  of: (step: PadStep | null) => TappedMark;
  /** Of the stop that was left, where strides are counted to the next. */
  at: 'here' | 'left';
  /** It is of a place: until one is chosen it says nothing. */
  needsStep: boolean;
};

const PLAIN: readonly TrackGait[] = ['walk', 'trot', 'canter', 'course-canter'];
const isCanter = (gait: TrackGait) => gait === 'canter' || gait === 'course-canter';
const placeOf = (step: PadStep | null) => step?.place ?? 1;

const key = (name: string, letter: string, of: PadKey['of'], needsStep = true): PadKey => ({
  ...{ name, letter, of, needsStep, at: 'here' },
});

const OUTCOMES = [
  ['rub', 'r', 'rub'],
  ['down', 'd', 'down'],
  ['refusal', 'f', 'refusal'],
  ['run-out left', 'k', 'run-out left'],
  ['run-out right', 'l', 'run-out right'],
] as const;

const OUTCOME_KEYS = OUTCOMES.map(([name, letter, outcome]) =>
  key(name, letter, step => ({ kind: 'fence', place: placeOf(step), outcome })),
);
const LEAD_KEYS = [
  ['left lead', 'q', 'left'],
  ['right lead', 'e', 'right'],
  ['cross-canter', 'x', 'cross-canter'],
].map(([name, letter, lead]): PadKey => ({
  ...key(name!, letter!, step => ({ kind: 'lead', place: placeOf(step), lead: lead as 'left' })),
  at: 'left',
}));
const HIT_KEY = key('hit', 'h', step => ({ kind: 'hit', place: placeOf(step) }));
const BROKE_KEY = key(
  'broke gait',
  'b',
  step => ({
    kind: 'fault',
    place: step && (step.kind === 'fence' || step.kind === 'pole') ? step.place : null,
    fault: RIDE_FAULTS[0]!,
  }),
  false,
);
const FOOT_KEYS = [
  ['a third', 't', FOOTFALL_PLACES.third],
  ['middle', 'm', FOOTFALL_PLACES.middle],
  ['three quarters', 'w', FOOTFALL_PLACES.threeQuarters],
] as const;
const HOW_LETTERS = ['p', 'l', 'r', 'x'];
const POINT_LETTERS = ['s', 'd', 'h'];

/** What the horse slips away from where it goes sideways: a hand or a leg of the rider. */
const SLIP_KEYS = SLIPS.map((from, index) =>
  key(`off ${from}`, 'agjk'[index]!, step => ({
    ...{ kind: 'slip', place: placeOf(step), from },
    ...(step?.kind === 'figure' && step.part !== null && { part: step.part }),
    ...(step?.kind === 'figure' && step.aside && { at: step.aside }),
  })),
);
/** How good it was on the whole: what “until a change” is judged by. */
const QUALITY_KEYS = [1, 2, 3, 4, 5].map((value): PadKey => ({
  ...key(`quality ${value} of 5`, 'yuiov'[value - 1]!, () => ({ kind: 'quality', value }), false),
  short: String(value),
}));

/** A gaited horse slips into one of these, the likeliest first; those that find no key are among what else can be said. */
const SLIPPED_INTO: readonly TrackGait[] = [
  ...(['pace', 'trot', 'running-walk', 'fox-trot', 'flat-walk', 'saddle-gait'] as const),
];
/** Over poles their row is their own; on the flat what else can be said has its key in it. */
const MOST_GAIT_KEYS = { poles: 5, flat: 4 };

/** `isGaited`: a horse with gaits of its own may slip into them in any gait. `rider`: what is watched in the rider, where that is what is worked on. */
type AskedOfPad = {
  gait: TrackGait;
  stops: number;
  counted: boolean;
  figures: number;
  isGaited?: boolean;
  rider?: readonly string[];
};

const RIDER_LETTERS = 'asdfghjk';

/** Things of the rider, each as often as it was seen. */
function riderKeys(rider: readonly string[]): PadKey[] {
  return rider.map((what, index) => key(what, RIDER_LETTERS[index]!, () => ({ kind: 'rider', what }), false));
}

/**
 * The keys that a question most often needs where one is, in rows; nothing that cannot happen there.
 * @param ridden - the gait that is asked, how many are ridden over, whether strides are counted between them,
 *   and how many figures it has: one alone is spoken of as a whole until a part of it is chosen
 */
export function padKeys(
  kind: PadStep['kind'],
  step: PadStep | null,
  { gait, stops, counted, figures, isGaited = false, rider = [] }: AskedOfPad,
): PadKey[][] {
  if (rider.length > 0) return [riderKeys(rider), QUALITY_KEYS];
  const asked = gaitAt(step) ?? gait;
  const maySlip = isGaited || isGaitedGait(gait) || isGaitedGait(asked);
  const gaitRow = maySlip ? gaitKeys(asked, MOST_GAIT_KEYS.flat) : [];
  switch (kind) {
    case 'fence':
      return [OUTCOME_KEYS, isCanter(gait) ? LEAD_KEYS : [BROKE_KEY]];
    case 'pole':
      if (maySlip) return [gaitKeys(gait, MOST_GAIT_KEYS.poles), [HIT_KEY, ...(isCanter(gait) ? LEAD_KEYS : [])]];
      if (stops > 1 && !counted) return [footKeys(stops), [HIT_KEY, BROKE_KEY]];
      return [[HIT_KEY, BROKE_KEY], isCanter(gait) ? LEAD_KEYS : []];
    case 'transition':
      return [TRANSITIONS.flatMap((how, index) => (isOffered(how, step) ? [howKey(how, index)] : [])), gaitRow];
    case 'figure':
      return [
        ...(step?.kind === 'figure' && step.aside ? [SLIP_KEYS] : gaitRow.length > 0 ? [gaitRow] : []),
        [...FIGURE_POINTS.map((point, index) => pointKey(point, POINT_LETTERS[index]!, figures > 1)), BROKE_KEY],
        QUALITY_KEYS,
      ];
  }
}

/** Where the foot fell: of the gap behind the chosen pole, of the row as a whole where none is chosen. */
function footKeys(stops: number): PadKey[] {
  return FOOT_KEYS.map(([name, letter, fraction]) => ({
    ...key(
      name,
      letter,
      step => ({ kind: 'footfall', place: step ? Math.min(step.place, stops - 1) : null, fraction }),
      false,
    ),
    gapAt: fraction,
  }));
}

/** A lead is right or wrong only where it goes into canter. */
function isOffered(how: (typeof TRANSITIONS)[number], step: PadStep | null): boolean {
  return how !== 'wrong lead' || (step?.kind === 'transition' && step.to !== 'halt' && isCanter(step.to));
}

function howKey(how: (typeof TRANSITIONS)[number], index: number): PadKey {
  return key(how, HOW_LETTERS[index]!, step => ({
    ...{ kind: 'transition', place: placeOf(step), how, trotSteps: null },
    to: step?.kind === 'transition' ? step.to : 'canter',
  }));
}

function pointKey(point: (typeof FIGURE_POINTS)[number], letter: string, needsStep: boolean): PadKey {
  const of = (step: PadStep | null): TappedMark => ({
    ...{ kind: 'figure', place: placeOf(step), point, kept: false },
    ...(step?.kind === 'figure' && step.part !== null && { part: step.part }),
  });
  return key(`${point} lost`, letter, of, needsStep);
}

/** The gait that is asked and those that a horse slips into from it; from a pole on, or for the whole row. */
function gaitKeys(asked: TrackGait, most: number): PadKey[] {
  const gaits = [asked, ...SLIPPED_INTO.filter(gait => gait !== asked)].slice(0, most);
  return gaits.map((ridden, index) =>
    key(gaitWord(ridden), 'gjznc'[index]!, step => ({ kind: 'gait', ridden, ...gaitFrom(step) }), false),
  );
}

/** The gait that is asked from a step on; null where it is that of the whole. */
function gaitAt(step: PadStep | null): TrackGait | null {
  if (step?.kind === 'figure') return step.gait;
  return step?.kind === 'transition' && step.to !== 'halt' ? step.to : null;
}

/** From where on a gait was ridden: from a pole or fence, or so many metres along what is ridden on the flat. */
function gaitFrom(step: PadStep | null): { from?: number; fromM?: number; asked?: TrackGait } {
  if (!step) return {};
  if (step.kind === 'fence' || step.kind === 'pole') return { from: step.place };
  const asked = gaitAt(step);
  return { fromM: step.alongM, ...(asked && { asked }) };
}

/** Whether a mark says just this, however many trot steps came before it: tapped again it is taken back. */
export function saysSame({ id: _, ...mark }: PassMark, said: TappedMark): boolean {
  const bare = (one: object) => JSON.stringify(Object.entries({ ...one, trotSteps: 0 }).sort());
  return bare(mark) === bare(said);
}

/** Whether what a key says is said. */
export function isSaid(marks: readonly PassMark[], said: TappedMark): boolean {
  return marks.some(mark => saysSame(mark, said));
}

/** The gaits that may be ridden instead: those of every horse, and, of a gaited horse or where one of them is asked, its own. */
export function gaitsAbout(asked: TrackGait, isGaited = false): readonly TrackGait[] {
  return PLAIN.includes(asked) && !isGaited ? PLAIN.slice(0, 3) : TRACK_GAITS.filter(gait => gait !== 'course-canter');
}
