import { assertNever } from '../assertNever';
import { pointAlong } from '../geometry/pointM';
import { aimFromFlagM, STAND_DEPTH_M } from '../items/footprint';
import type { Fence, Item } from '../items/item';
import { POLE_DIAMETER_M, poleEnds, type Pole } from '../items/pole';
import { RAILS_ACROSS } from '../items/railsAcross';
import { boxFaces, inItsLight, railFaces, type Face, type Solid } from './solid';
import { above } from './spot';

/** Common practice, no source: how high the usual things stand. */
const STAND_HIGH_M = 1.6;
const STAND_WIDE_M = 0.12;
const CONE_HIGH_M = 0.3;
const MARK_HIGH_M = 2;
const BANDS = 7;
/** A rail hangs about so far under the next one. */
const RAIL_APART_M = 0.3;
/** A guide leans on the top of its fence at its far end. */
const BLOCK_HIGH_M = 0.3;

/** An item as it stands on the sand: bars, boxes and stands with their true heights. */
export function solidOf(item: Item): Solid {
  const before = known.get(item);
  if (before) return before;
  const solid = { of: item.id, faces: facesOf(item).map(inItsLight) };
  known.set(item, solid);
  return solid;
}

/** While a track is played its items stay the same: what they look like is reckoned once. */
const known = new WeakMap<Item, Solid>();

function facesOf(item: Item): Face[] {
  switch (item.kind) {
    case 'pole':
      return poleFaces(item);
    case 'fence':
      return item.form === 'corner' ? cornerFaces(item) : fenceFaces(item);
    case 'guide': {
      const end = (share: number) => above(pointAlong(item.at, item.headingRad, item.lengthM * share), LIES_M);
      return railFaces(end(-0.5), end(0.5), POLE_DIAMETER_M, BANDS);
    }
    case 'cone':
      return boxFaces(item.at, 0, { deepM: 0.22, wideM: 0.22, fromM: 0, toM: CONE_HIGH_M }, 'cone');
    case 'block':
      return boxFaces(
        item.at,
        0,
        { deepM: 0.5, wideM: 0.5, fromM: 0, toM: Math.max(item.heightM, BLOCK_HIGH_M) },
        'block',
      );
    case 'marker':
      return boxFaces(item.at, 0, { deepM: 0.1, wideM: 0.1, fromM: 0, toM: MARK_HIGH_M }, 'flag');
    default:
      return assertNever(item);
  }
}

/** The middle of a pole that lies. */
const LIES_M = POLE_DIAMETER_M / 2;

function poleFaces(pole: Pole): Face[] {
  const { left, right } = poleEnds(pole);
  const end = (at: typeof left, raisedM: number) =>
    raisedM > 0
      ? boxFaces(at, pole.headingRad, { deepM: 0.5, wideM: 0.3, fromM: 0, toM: Math.max(raisedM, 0.15) }, 'block')
      : [];
  const { leftM, rightM } = pole.raised;
  return [
    ...end(left, leftM),
    ...end(right, rightM),
    ...railFaces(above(left, leftM + LIES_M), above(right, rightM + LIES_M), POLE_DIAMETER_M, BANDS),
  ];
}

/** Heights of the rails of a fence at its stands and how they hang, front to back. */
function fenceFaces(fence: Fence): Face[] {
  const { at, headingRad, widthM, heightM, spreadM, form, filler } = fence;
  const across = (aheadM: number, leftM: number, zM: number) =>
    above(pointAlong(pointAlong(at, headingRad, aheadM), headingRad + Math.PI / 2, leftM), zM);
  const rail = (aheadM: number, leftZM: number, rightZM: number) =>
    railFaces(across(aheadM, widthM / 2, leftZM), across(aheadM, -widthM / 2, rightZM), POLE_DIAMETER_M, BANDS);
  const shares = RAILS_ACROSS[form];
  const highs = shares.map((_, index) => (form === 'triple-bar' ? (heightM * (index + 1)) / shares.length : heightM));
  const standHighM = Math.max(STAND_HIGH_M, heightM + 0.1);
  const faces = shares.flatMap((share, index) => {
    const aheadM = share * spreadM;
    const topM = highs[index]!;
    const stands = [1, -1].flatMap(side =>
      boxFaces(
        across(aheadM, (side * (widthM + STAND_DEPTH_M / 2)) / 2, 0),
        headingRad,
        { deepM: STAND_DEPTH_M, wideM: STAND_WIDE_M, fromM: 0, toM: standHighM },
        'stand',
      ),
    );
    if (form === 'wall')
      return [
        ...stands,
        ...boxFaces(at, headingRad, { deepM: 0.3, wideM: widthM, fromM: 0, toM: Math.max(topM, 0.1) }, 'panel'),
      ];
    if (form === 'cross-rail') {
      const sideM = fence.sideHeightM ?? 2 * topM;
      return [...stands, ...rail(-0.06, sideM, LIES_M), ...rail(0.06, LIES_M, sideM)];
    }
    const under = share < 0 || shares.length === 1 ? hung(topM) : [];
    return [...stands, ...under.flatMap(zM => rail(aheadM, zM, zM)), ...rail(aheadM, topM, topM)];
  });
  const frontM = -spreadM / 2;
  const fill = filler
    ? boxFaces(
        across(frontM, 0, 0),
        headingRad,
        { deepM: 0.1, wideM: widthM * 0.84, fromM: 0, toM: Math.max(0.2, heightM * 0.6) },
        'filler',
      )
    : [];
  const { groundLineBeforeM } = fence;
  const lies = groundLineBeforeM === null ? [] : rail(frontM - groundLineBeforeM, LIES_M, LIES_M);
  return [...fill, ...lies, ...faces];
}

/** The rails under a top rail, to knee height. */
function hung(topM: number): number[] {
  const count = Math.max(0, Math.floor((topM - 0.2) / RAIL_APART_M));
  return Array.from({ length: count }, (_, index) => topM - (index + 1) * RAIL_APART_M).reverse();
}

/** Two rails that run together at the flag, and where it is ridden. */
function cornerFaces(fence: Fence): Face[] {
  const { at, headingRad, widthM, heightM, spreadM, corner } = fence;
  const toFlag = corner?.narrowEnd === 'right' ? -1 : 1;
  const place = (aheadM: number, leftM: number) =>
    pointAlong(pointAlong(at, headingRad, aheadM), headingRad + Math.PI / 2, leftM);
  const flag = place(0, (toFlag * widthM) / 2);
  const wide = [-spreadM, spreadM].map(aheadM => place(aheadM, (-toFlag * widthM) / 2));
  const post = (point: typeof flag) =>
    boxFaces(
      point,
      headingRad,
      { deepM: 0.3, wideM: STAND_WIDE_M, fromM: 0, toM: Math.max(STAND_HIGH_M, heightM + 0.1) },
      'stand',
    );
  const aim = place(-(spreadM * aimFromFlagM(fence)) / widthM, toFlag * (widthM / 2 - aimFromFlagM(fence)));
  return [
    ...[flag, ...wide].flatMap(post),
    ...wide.flatMap(point =>
      [heightM * 0.5, heightM].flatMap(zM => railFaces(above(point, zM), above(flag, zM), POLE_DIAMETER_M, BANDS)),
    ),
    ...boxFaces(aim, headingRad, { deepM: 0.1, wideM: 0.1, fromM: heightM, toM: heightM + 0.25 }, 'flag'),
  ];
}
