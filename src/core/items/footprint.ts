import { assertNever } from '../assertNever';
import { pointAlong, type PointM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';
import type { Fence, Item, RiddenItem } from './item';
import { POLE_DIAMETER_M } from './pole';

/** Common practice, no source: what the small things take up on the ground. */
const CONE_DIAMETER_M = 0.3;
const BLOCK_SIDE_M = 0.5;
const MARKER_DIAMETER_M = 0.1;
export const STAND_DEPTH_M = 0.5;

/** The ground an item covers: a rectangle about its centre, deep along its heading and wide across it. */
export type Footprint = { depthM: number; widthM: number; headingRad: number };

/** The footprint of an item as it stands: stands and poles with their true thickness. */
export function footprint(item: Item): Footprint {
  switch (item.kind) {
    case 'pole':
      return { depthM: POLE_DIAMETER_M, widthM: item.lengthM, headingRad: item.headingRad };
    case 'fence':
      return {
        depthM: Math.max(item.spreadM, STAND_DEPTH_M),
        widthM: item.widthM + 2 * STAND_DEPTH_M,
        headingRad: item.headingRad,
      };
    case 'guide':
      return { depthM: item.lengthM, widthM: POLE_DIAMETER_M, headingRad: item.headingRad };
    case 'cone':
      return { depthM: CONE_DIAMETER_M, widthM: CONE_DIAMETER_M, headingRad: 0 };
    case 'block':
      return { depthM: BLOCK_SIDE_M, widthM: BLOCK_SIDE_M, headingRad: 0 };
    case 'marker':
      return { depthM: MARKER_DIAMETER_M, widthM: MARKER_DIAMETER_M, headingRad: 0 };
    default:
      return assertNever(item);
  }
}

/**
 * The four corners of an item's footprint, anticlockwise from the front left as ridden. A corner fence is a wedge: as
 * deep as its stand at the flag, and twice its middle spread at the wide end.
 */
export function footprintCorners(item: Item): PointM[] {
  const { depthM, widthM, headingRad } = footprint(item);
  const wedge = item.kind === 'fence' && item.form === 'corner';
  const leftDepthM = wedge ? cornerEndDepthM(item, 'left') : depthM;
  const rightDepthM = wedge ? cornerEndDepthM(item, 'right') : depthM;
  return (
    [
      [leftDepthM / 2, widthM / 2],
      [-leftDepthM / 2, widthM / 2],
      [-rightDepthM / 2, -widthM / 2],
      [rightDepthM / 2, -widthM / 2],
    ] as const
  ).map(([aheadM, leftM]) => pointAlong(pointAlong(item.at, headingRad, aheadM), headingRad + Math.PI / 2, leftM));
}

function cornerEndDepthM(fence: Fence, end: 'left' | 'right'): number {
  const narrowEnd = fence.corner?.narrowEnd ?? 'left';
  return end === narrowEnd ? STAND_DEPTH_M : Math.max(2 * fence.spreadM, STAND_DEPTH_M);
}

/** How far from the flag of a corner one rides, metres: the aim, or its middle. */
export function aimFromFlagM(fence: Fence): number {
  return Math.min(fence.corner?.aimFromFlagM ?? fence.widthM / 2, fence.widthM);
}

/** Poles and cross-rails count from centre to centre while their spread is under this (common practice, no source). */
const COUNTS_AS_NO_SPREAD_M = 0.3;

/** The depth that a distance is measured around, from back rail to front rail: 0 for poles and thin cross-rails. */
export function ridingDepthM(item: RiddenItem): number {
  if (item.kind === 'pole') return 0;
  if (item.form === 'corner') return (item.spreadM * aimFromFlagM(item)) / (item.widthM / 2);
  return item.form === 'cross-rail' && item.spreadM < COUNTS_AS_NO_SPREAD_M ? 0 : item.spreadM;
}

/** The width there is to ride over. */
export function ridingWidthM(item: RiddenItem): number {
  return item.kind === 'pole' ? item.lengthM : item.widthM;
}

/** The height to clear; a raised pole's is at its middle. */
export function ridingHeightM(item: RiddenItem): number {
  return item.kind === 'pole' ? (item.raised.leftM + item.raised.rightM) / 2 : item.heightM;
}

/** The pose over the middle of an item, or over the aim of a corner, ridden from its front or from behind. */
export function ridingPose(item: RiddenItem, fromBehind: boolean): Pose {
  const headingRad = item.headingRad + (fromBehind ? Math.PI : 0);
  if (item.kind === 'pole' || item.corner === null) return { at: item.at, headingRad };
  const toFlag = item.corner.narrowEnd === 'left' ? 1 : -1;
  const asideM = item.widthM / 2 - aimFromFlagM(item);
  return { at: pointAlong(item.at, item.headingRad + (toFlag * Math.PI) / 2, asideM), headingRad };
}

/** Whether an item may be ridden from behind: poles may, fences only where they are built both ways, a triple bar never. */
export function mayRideFromBehind(item: RiddenItem): boolean {
  return item.kind === 'pole' || (item.ridden === 'both-ways' && item.form !== 'triple-bar');
}
