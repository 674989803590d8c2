import type { Chain } from '../geometry/chain';
import { chainPart } from '../geometry/chainPart';
import { segmentLengthM } from '../geometry/segment';
import type { HorseLevel } from '../horse/horseLevel';
import type { TrackGait } from '../layout/trackGait';
import { gaitSpeedMPerMin } from '../figures/gaitSpeed';

/** Standard gravity, m/s² (CGPM 1901, exact). */
const GRAVITY = 9.80665;

/** Common practice, no source: a horse leans into a turn by about so much as schooling asks; a jump-off asks about 30°. */
export const USUAL_LEAN_RAD = (20 * Math.PI) / 180;

/** The tightest turn that a horse of a level carries, metres (common practice, no source). */
export const LEVEL_TURN_M: Record<HorseLevel, { trot: number; canter: number }> = {
  green: { trot: 5, canter: 8 },
  novice: { trot: 4, canter: 5 },
  advanced: { trot: 3, canter: 3 },
};

/** The tightest turn that a horse of a level carries at a gait, metres; null at walk, where it says nothing. */
export function levelTurnM(gait: TrackGait, level: HorseLevel): number | null {
  if (gait === 'walk' || gait === 'flat-walk') return null;
  return LEVEL_TURN_M[level][gait === 'canter' || gait === 'course-canter' ? 'canter' : 'trot'];
}

/**
 * The tightest turn that fits a gait's speed, metres: v² / (g·tan θ) for a lean of θ (mechanics). On a tighter one the
 * pair slows down.
 * @param leanRad - over 0, under a right angle
 * @throws {RangeError} a lean outside those bounds
 */
export function fittingRadiusM(gait: TrackGait, leanRad: number): number {
  if (!(leanRad > 0 && leanRad < Math.PI / 2)) throw new RangeError(`fittingRadiusM: leanRad ${leanRad}`);
  const speedMPerS = gaitSpeedMPerMin(gait) / 60;
  return speedMPerS ** 2 / (GRAVITY * Math.tan(leanRad));
}

/**
 * The share of its stride that a pair keeps on a turn: it slows to √(r·g·tan θ) while the rhythm stays, so that the stride
 * shortens by √(r / r_fit); 1 on turns that fit.
 */
export function turnShare(radiusM: number, fittingM: number): number {
  return radiusM >= fittingM ? 1 : Math.sqrt(radiusM / fittingM);
}

/** A piece of ground that is ridden with the same share of the stride. */
export type GroundPiece = { lengthM: number; share: number };

/** The ground of a leg in pieces: from the back of the first footprint to the front of the second, along the track. */
export type LegGroundCost = {
  /** The ground as it counts for strides, metres: on turns that cost it is divided by their share. */
  countedM: number;
  /** The shortest share on it; 1 where no turn costs. */
  turnShare: number;
  pieces: readonly GroundPiece[];
};

/**
 * What the turns of a leg cost.
 * @param fittingM - the tightest turn that fits the gait's speed; null where turns are taken to cost nothing
 */
export function groundCost(chain: Chain, fromM: number, groundM: number, fittingM: number | null): LegGroundCost {
  const free = { countedM: groundM, turnShare: 1, pieces: [{ lengthM: groundM, share: 1 }] };
  if (fittingM === null || groundM === 0) return free;
  if (!chain.segments.some(segment => segment.kind === 'arc' && segment.radiusM < fittingM)) return free;
  const pieces = chainPart(chain, fromM, fromM + groundM).segments.map(segment => ({
    lengthM: segmentLengthM(segment),
    share: segment.kind === 'arc' ? turnShare(segment.radiusM, fittingM) : 1,
  }));
  return {
    countedM: pieces.reduce((sum, { lengthM, share }) => sum + lengthM / share, 0),
    turnShare: Math.min(...pieces.map(({ share }) => share)),
    pieces,
  };
}

/** How far along the ground one is when so much of it has been counted, metres. */
export function alongCounted({ pieces, countedM }: LegGroundCost, atCountedM: number): number {
  let [alongM, leftM] = [0, Math.min(atCountedM, countedM)];
  for (const { lengthM, share } of pieces) {
    if (leftM <= lengthM / share) return alongM + leftM * share;
    alongM += lengthM;
    leftM -= lengthM / share;
  }
  return alongM;
}

/** A turn that a horse cannot carry at its gait: how tight it is, and the tightest that it can be, metres. */
export type TooTightTurn = { radiusM: number; leastM: number };

export type TurningHorse = {
  level: HorseLevel;
  /** How short its stride gets on the flat at that gait, a share of normal. */
  shortShare: number;
};

/**
 * The tightest turn that a horse can carry at a gait, metres: of its level, or where its stride would be shorter than it
 * can go on the flat, whichever is wider. At walk only the stride counts.
 */
export function leastTurnM(gait: TrackGait, { level, shortShare }: TurningHorse, fittingM: number | null): number {
  const byStride = (fittingM ?? 0) * shortShare ** 2;
  return Math.max(levelTurnM(gait, level) ?? 0, byStride);
}
