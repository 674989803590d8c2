import type { Pose } from '../geometry/pose';
import type { TrackGait } from '../layout/trackGait';
import type { Rein } from '../track/rein';

/** What is done on the spot, or in steps that do not follow a tangent. Turns: left is positive. */
export type StationDeed =
  | { kind: 'halt'; seconds: number }
  | { kind: 'turn-on-forehand'; turnRad: number }
  | { kind: 'turn-on-haunches'; turnRad: number }
  | { kind: 'rein-back'; steps: number }
  | { kind: 'side-pass'; steps: number; towards: Rein }
  | { kind: 'flexions'; eachSide: number };

/** How long the strides of a stretch are asked to be. */
export type Pace = 'normal' | 'short' | 'long';

/** Riding that rests the horse: the reins given, or long enough to stretch down. */
export const RESTS = ['free-walk', 'loose-rein'] as const;
export type Rest = (typeof RESTS)[number];

/** Movements on more than one track, or across the horse's own length. */
export const SIDEWAYS_MOVEMENTS = [
  'leg-yield',
  'half-pass',
  'shoulder-in',
  'counter-shoulder-in',
  'travers',
  'renvers',
] as const;
export type SidewaysMovement = (typeof SIDEWAYS_MOVEMENTS)[number];

/**
 * A figure of the flat with its parameters. `start` is where it begins and the way one rides there; `rein` the rein it
 * begins on. Lengths in metres, `headingRad` anticlockwise from +x.
 */
export type Figure =
  /** A circle or a volte to the side of the rein; half a round is half a volte. */
  | { kind: 'circle'; start: Pose; rein: Rein; diameterM: number; rounds: number }
  /**
   * In and out again by half circles of these diameters, widest first. In on a bend, or yielding in with outside flexion;
   * out always by yielding from the inside leg.
   */
  | { kind: 'spiral'; start: Pose; rein: Rein; diametersM: number[]; school: 'bend' | 'yield'; times: number }
  /**
   * From the middle of a short side, loops that each take a share of the length and reach half the width. With `yieldM`
   * each loop turns so far inside it and yields out to it.
   */
  | {
      kind: 'serpentine';
      start: Pose;
      rein: Rein;
      loops: number;
      lengthM: number;
      widthM: number;
      yieldM?: number;
    }
  /** Two circles that touch at the start: the first on the rein, the second on the other. */
  | { kind: 'eight'; start: Pose; rein: Rein; firstDiameterM: number; secondDiameterM: number; times: number }
  /** Half a circle and back to the line one came from, `returnM` back along it; or the other way round. */
  | { kind: 'half-circle-return'; start: Pose; rein: Rein; diameterM: number; returnM: number; lineFirst: boolean }
  /** From one line to another with a turn to each side and a straight between: diagonals, centre line, across, S. */
  | { kind: 'change-rein'; start: Pose; end: Pose; rein: Rein; radiusM: number }
  /** Round the arena along the wall, with corners of one radius. */
  | { kind: 'round-arena'; start: Pose; rein: Rein; cornerRadiusM: number; rounds: number }
  | { kind: 'shallow-loop'; start: Pose; rein: Rein; lengthM: number; depthM: number }
  | { kind: 'straight'; start: Pose; rein: Rein; lengthM: number }
  /** Forwards and sideways at once, the horse straight or bent but parallel to where it began. */
  | {
      kind: 'sideways';
      start: Pose;
      rein: Rein;
      movement: 'leg-yield' | 'half-pass';
      towards: Rein;
      aheadM: number;
      asideM: number;
    }
  /**
   * Along the rail in walk: counter shoulder-in, a few steps off it, the forehand round the haunches, back to the rail farther
   * on; and the same at the other end, to where it began.
   */
  | { kind: 'rail-turnback'; start: Pose; rein: Rein; alongM: number; offM: number; asideM: number }
  | { kind: 'station'; start: Pose; rein: Rein; deed: StationDeed };

export type FigureKind = Figure['kind'];

export const FIGURE_KINDS: readonly FigureKind[] = [
  'circle',
  'spiral',
  'serpentine',
  'eight',
  'half-circle-return',
  'change-rein',
  'round-arena',
  'shallow-loop',
  'straight',
  'sideways',
  'rail-turnback',
  'station',
];

/** What is asked on a part of a figure, from one distance along it to another. What it leaves out stays as it is. */
export type FigurePart = {
  fromM: number;
  toM: number;
  gait?: TrackGait;
  pace?: Pace;
  /** Shoulder-in and its kin: the body at an angle to the track. */
  sideways?: Exclude<SidewaysMovement, 'leg-yield' | 'half-pass'>;
  /** Bent to the outside for a few strides. */
  counterBend?: boolean;
  /** It is a rest, and counts as one. */
  rest?: Rest;
};

/** A figure as it is planned in a session: its gait (null: the track's) and what is asked where. */
export type PlannedFigure = {
  id: string;
  name: string | null;
  figure: Figure;
  gait: TrackGait | null;
  parts: FigurePart[];
};
