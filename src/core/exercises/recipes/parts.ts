import { USUAL_LIMITS } from '../../cautions/cautionLimits';
import type { Figure, PlannedFigure } from '../../figures/figure';
import { wallPose } from '../../figures/figurePlaces';
import { pointAlong, type PointM } from '../../geometry/pointM';
import type { Pose } from '../../geometry/pose';
import type { Fence, FenceForm } from '../../items/item';
import type { Pole } from '../../items/pole';
import { DEFAULT_LEG, type FigureTrack, type ItemTrack, type PlannedLeg } from '../../layout/layout';
import type { TrackGait } from '../../layout/trackGait';
import { layoutStride } from '../../layout/layoutStrides';
import type { Approach, Setting } from '../../stride/school';
import { groundForCountM, type TestedStride } from '../../stride/readDistance';
import { groupGround } from '../../stride/groupGround';
import type { DistanceCase } from '../../stride/distanceRule';
import type { RiddenItem } from '../../items/item';
import { AS_LAID, type ExerciseGround, type Seat, type Stage, type StageSet } from '../exercise';

/** What recipes are made of. Everything lies in a frame: x ahead, y to the left, headings from x. */

export const POLE_LENGTH_M = 3;
export const FENCE_WIDTH_M = 3;
const FLAT = { leftM: 0, rightM: 0 };

export function poleAt(id: string, { at, headingRad }: Pose, lengthM = POLE_LENGTH_M, raisedM = 0): Pole {
  const raised = raisedM > 0 ? { leftM: raisedM, rightM: raisedM } : FLAT;
  return { kind: 'pole', id, name: null, at, headingRad, lengthM, raised };
}

export function fenceAt(
  id: string,
  form: FenceForm,
  { at, headingRad }: Pose,
  changes: Partial<
    Pick<Fence, 'widthM' | 'heightM' | 'spreadM' | 'ridden' | 'groundLineBeforeM' | 'corner' | 'filler'>
  >,
): Fence {
  const heightM = changes.heightM ?? 0.6;
  return {
    ...{ kind: 'fence', id, name: null, form, at, headingRad, widthM: FENCE_WIDTH_M, spreadM: 0, ridden: 'both-ways' },
    ...{ groundLineBeforeM: null, filler: false, corner: null },
    ...changes,
    heightM,
    sideHeightM: form === 'cross-rail' ? heightM * 2 : null,
  };
}

/** A pose on the line straight ahead. */
export const ahead = (xM: number, yM = 0): Pose => ({ at: { xM, yM }, headingRad: 0 });

/** A pose on the circle to the left that touches the frame's origin, so far round it. */
export function onCircle(radiusM: number, turnedRad: number): Pose {
  const at: PointM = { xM: radiusM * Math.sin(turnedRad), yM: radiusM * (1 - Math.cos(turnedRad)) };
  return { at, headingRad: turnedRad };
}

/** Common practice, no source: low fences to learn on, lower for ponies. */
export function lowHeightM({ horses }: ExerciseGround): number {
  return Math.min(...horses.map(({ heightM }) => heightM)) < 1.3 ? 0.4 : 0.6;
}

/** How high the fences of an exercise are: all of them, and those that have a height of their own (0: as all). Metres. */
export type Heights = { heightM: number; heightsM: readonly number[] };

/** Every fence as low as the horses want it. */
export const usualHeights = (ground: ExerciseGround): Heights => ({ heightM: lowHeightM(ground), heightsM: [] });

/** The strides of the horses for a gait and a setting. */
export function stridesOf({ horses }: ExerciseGround, gait: TrackGait, setting: Setting): TestedStride[] {
  return horses.flatMap(horse => layoutStride(horse, gait, setting) ?? []);
}

/** The normal stride in the middle of the horses', metres. */
export function middleStrideM(ground: ExerciseGround, gait: TrackGait, setting: Setting): number {
  const normals = stridesOf(ground, gait, setting).map(({ normalM }) => normalM);
  return Math.sqrt(Math.min(...normals) * Math.max(...normals));
}

export type Distance = { gait: TrackGait; setting: Setting; approach?: Approach; from: RiddenItem; to: RiddenItem };

/**
 * The ground that a count wants: one horse's own at its normal stride, or what serves a group best.
 * @throws {RangeError} a count that is not rated there
 */
export function groundFor(ground: ExerciseGround, strides: number, distance: Distance): number {
  const { gait, setting, approach = 'canter', from, to } = distance;
  const horses = stridesOf(ground, gait, setting);
  const rule: DistanceCase = { school: ground.school, setting, approach, from, to };
  const groundM =
    horses.length === 1
      ? groundForCountM(strides, rule, horses[0]!.normalM)
      : (groupGround(strides, rule, horses)?.groundM ?? null);
  if (groundM === null) throw new RangeError(`groundFor: ${strides} strides from ${from.kind} to ${to.kind}`);
  return groundM;
}

/** A track over items, in order. */
export function trackThrough(
  id: string,
  gait: TrackGait,
  order: readonly string[],
  legs: Partial<PlannedLeg> | readonly Partial<PlannedLeg>[],
  passes = 1,
): ItemTrack {
  return {
    ...{ kind: 'items', id, name: null, gait, course: null, passes },
    through: order.map(item => ({ item, reversed: false })),
    legs: order
      .slice(1)
      .map((_, index) => ({ ...DEFAULT_LEG, ...(Array.isArray(legs) ? legs[index] : legs) }) as PlannedLeg),
  };
}

/** A figure with its gait and what is asked on its parts, before it has an id in its session. */
export type AskedFigure = Omit<PlannedFigure, 'id' | 'name'>;

/** A session of figures. */
export function sessionOf(
  id: string,
  gait: TrackGait,
  figures: readonly (Figure | AskedFigure)[],
  passes = 1,
): FigureTrack {
  const planned = figures.map((figure, index) => ({
    ...{ id: `f${index + 1}`, name: null },
    ...('figure' in figure ? figure : { figure, gait: null, parts: [] }),
  }));
  return { kind: 'figures', id, name: null, gait, figures: planned, passes };
}

export function stage(
  name: string,
  focus: string,
  seat: Seat,
  changes: Partial<Omit<Stage, 'name' | 'focus' | 'seat' | 'set'>> & { set?: Partial<StageSet> } = {},
): Stage {
  const { set, ...rest } = changes;
  return { gait: null, asked: null, ...rest, name, focus, seat, set: { ...AS_LAID, ...set } };
}

/** Up the quarter line on the side where one comes along on the left rein, a line of this length in the middle. */
export function quarterLine({ arena }: ExerciseGround, lengthM: number): Pose {
  return { at: { xM: (arena.widthM * 3) / 4, yM: (arena.lengthM - lengthM) / 2 }, headingRad: Math.PI / 2 };
}

/** A line of this length from corner to corner, in the middle of the arena. */
export function diagonalLine({ arena }: ExerciseGround, lengthM: number): Pose {
  const headingRad = Math.atan2(arena.lengthM, -arena.widthM);
  const middle = { xM: arena.widthM / 2, yM: arena.lengthM / 2 };
  return { at: pointAlong(middle, headingRad, -lengthM / 2), headingRad };
}

/** The frame's origin where the arena's is: for figures that are laid out at their places on the sand. */
export const ON_THE_SAND: Pose = { at: { xM: 0, yM: 0 }, headingRad: 0 };

/** On the track in the middle of the near short side, on the left rein: where circles and serpentines begin. */
export function middleOfShortSide({ arena }: ExerciseGround): Pose {
  return wallPose(arena, 'near', arena.widthM / 2, 'left');
}

/** On the track along the long side that one comes up on the left rein, where a piece of this length in its middle begins. */
export function alongLongSide({ arena }: ExerciseGround, lengthM: number): Pose {
  return wallPose(arena, 'right', (arena.lengthM - lengthM) / 2, 'left');
}

/** The tightest turn that every horse carries, metres. */
export function turnRadiusM({ horses }: ExerciseGround, gait: 'trot' | 'canter'): number {
  return Math.max(...horses.map(({ level }) => USUAL_LIMITS.turnRadiusM[level][gait]));
}

/** Largest first: n, n − 1, … down to `least`. */
export function countsDown(most: number, least: number): number[] {
  return Array.from({ length: Math.max(0, most - least + 1) }, (_, index) => most - index);
}
