import type { PointM } from '../geometry/pointM';
import type { TrackGait } from '../layout/trackGait';

/** How a fence was ridden. A clear one need not be marked; it may be, so that somebody looked. */
export const FENCE_OUTCOMES = ['clear', 'rub', 'down', 'refusal', 'run-out left', 'run-out right'] as const;
export type FenceOutcome = (typeof FENCE_OUTCOMES)[number];

export const TAKE_OFFS = ['deep', 'good', 'long'] as const;
/** Common practice, no source: against about two metres behind a fence. */
export const LANDINGS = ['close', 'normal', 'far'] as const;
export const LEADS = ['left', 'right', 'cross-canter'] as const;
export const DEPARTS = ['right', 'wrong lead', 'ran into it'] as const;
/** How a change of gait was ridden. A lead is only right or wrong where it goes into canter. */
export const TRANSITIONS = ['prompt', 'late', 'ran into it', 'wrong lead'] as const;
export const HEAD_HEIGHTS = ['low', 'as wanted', 'high'] as const;
export const FIGURE_POINTS = ['shape', 'bend', 'rhythm'] as const;
/** What a horse slips away from in sideways work. */
export const SLIPS = ['left hand', 'right hand', 'left leg', 'right leg'] as const;

/** So long is a word of note at most, letters. */
export const MOST_NOTE_LETTERS = 500;

/** What can go wrong between fences or in a figure; a yard may have words of its own beside these. */
export const RIDE_FAULTS: readonly string[] = ['break of gait', 'drift left', 'drift right', 'rush', 'spooked'];

/** What is watched in the rider (common practice, no source); a yard may have words of its own. */
export const RIDER_MARKS: readonly string[] = [
  'upper body ahead',
  'leg back',
  'eyes late',
  'inside rein too strong',
  'hands',
  'release',
];

/**
 * One thing noted in a pass. `place` counts from 1: the gap of a footfall (null: the row as a whole), the leg of strides,
 * the item of everything else, the figure of a figure's (`part`: its loop or circle), the transition of a transition's.
 * `at`: where on the sand a slip was. `tapsMs`: when each stride was tapped, from the first tap on. A gait may be ridden `from` a stop on, or `fromM` metres
 * along what is ridden on the flat; `asked`: the gait that was asked there, where it is not that of the whole.
 */
export type PassMark = { id: string } & (
  | { kind: 'footfall'; place: number | null; fraction: number }
  | { kind: 'hit'; place: number }
  | { kind: 'note'; words: string }
  | { kind: 'strides'; place: number; count: number; tapsMs?: number[] }
  | { kind: 'fence'; place: number; outcome: FenceOutcome }
  | { kind: 'take-off'; place: number; where: (typeof TAKE_OFFS)[number] }
  | { kind: 'landing'; place: number; where: (typeof LANDINGS)[number] }
  | { kind: 'lead'; place: number; lead: (typeof LEADS)[number] }
  | { kind: 'aim'; place: number; off: 'left' | 'right' }
  | { kind: 'fault'; place: number | null; fault: string }
  /** As it was marked before each transition had its place. */
  | { kind: 'depart'; how: (typeof DEPARTS)[number]; trotSteps: number | null }
  | {
      kind: 'transition';
      place: number;
      to: TrackGait | 'halt';
      how: (typeof TRANSITIONS)[number];
      trotSteps: number | null;
    }
  | { kind: 'gait'; ridden: TrackGait; from?: number; fromM?: number; asked?: TrackGait }
  | { kind: 'head'; height: (typeof HEAD_HEIGHTS)[number] }
  | { kind: 'figure'; place: number; part?: number; point: (typeof FIGURE_POINTS)[number]; kept: boolean }
  | { kind: 'slip'; place: number; part?: number; from: (typeof SLIPS)[number]; at?: PointM }
  | { kind: 'quality'; value: number }
  | { kind: 'spot'; at: PointM }
  | { kind: 'rider'; what: string }
  /** The pass does not count: it was given up before the line. */
  | { kind: 'void' }
  /** Only a line of the track was ridden, from one place to another. */
  | { kind: 'line'; from: number; to: number }
  /** Where the pair went, as a receiver had it: places on the sand in order, thinned, and what it was laid over. */
  | { kind: 'track'; path: PointM[]; ridden: { item: string; timeS: number }[]; missed: string[]; extra: string[] }
);

export type PassMarkKind = PassMark['kind'];

/** A mark without its id: what a tap says. */
export type TappedMark = PassMark extends infer Mark ? (Mark extends { id: string } ? Omit<Mark, 'id'> : never) : never;

/**
 * What a mark says something about: a second word about the same thing corrects the first. Null for what may be said
 * many times over.
 */
export function markSubject(mark: TappedMark): string | null {
  switch (mark.kind) {
    case 'hit':
    case 'note':
    case 'spot':
    case 'rider':
    case 'fault':
    case 'slip':
      return null;
    case 'gait':
      return `gait ${mark.from ?? mark.fromM?.toFixed(2) ?? 'whole'}`;
    case 'figure':
      return `figure ${mark.place} ${mark.part ?? 'whole'} ${mark.point}`;
    default:
      return 'place' in mark ? `${mark.kind} ${mark.place ?? 'whole'}` : mark.kind;
  }
}

/** The last word on each thing, in the order they were said. */
export function standingMarks(marks: readonly PassMark[]): PassMark[] {
  const last = new Map<string | null, string>();
  for (const mark of marks) {
    last.set(markSubject(mark), mark.id);
  }
  return marks.filter(mark => {
    const subject = markSubject(mark);
    return subject === null || last.get(subject) === mark.id;
  });
}
