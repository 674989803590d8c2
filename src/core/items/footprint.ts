import { assertNever } from '../assertNever';
import { pointAlong, type PointM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';
import type { Item, RiddenItem } from './item';
import { POLE_DIAMETER_M } from './pole';

/** Common practice, no source: what the small things take up on the ground. */
const CONE_DIAMETER_M = 0.3;
const BLOCK_SIDE_M = 0.5;
const MARKER_DIAMETER_M = 0.1;
const STAND_DEPTH_M = 0.5;

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

/** The four corners of an item's footprint, anticlockwise from the front left as ridden. */
export function footprintCorners(item: Item): PointM[] {
  const { depthM, widthM, headingRad } = footprint(item);
  return [
    [1, 1],
    [-1, 1],
    [-1, -1],
    [1, -1],
  ].map(([ahead, left]) =>
    pointAlong(pointAlong(item.at, headingRad, (ahead! * depthM) / 2), headingRad + Math.PI / 2, (left! * widthM) / 2),
  );
}

/** Poles and cross-rails count from centre to centre while their spread is under this (common practice, no source). */
const COUNTS_AS_NO_SPREAD_M = 0.3;

/** The depth that a distance is measured around, from back rail to front rail: 0 for poles and thin cross-rails. */
export function ridingDepthM(item: RiddenItem): number {
  if (item.kind === 'pole') return 0;
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

/** The pose over the middle of an item, ridden from its front or from behind. */
export function ridingPose(item: RiddenItem, fromBehind: boolean): Pose {
  return { at: item.at, headingRad: item.headingRad + (fromBehind ? Math.PI : 0) };
}

/** Whether an item may be ridden from behind: poles may, fences only where they are built both ways. */
export function mayRideFromBehind(item: RiddenItem): boolean {
  return item.kind === 'pole' || item.ridden === 'both-ways';
}
