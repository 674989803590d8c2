import type { Spot } from './spot';

/** An eye above the sand: where it is, which way it looks, and how wide it sees. */
export type Camera = {
  eye: Spot;
  /** The way it looks over the ground, from x, radians. */
  headingRad: number;
  /** How far it looks down from level, radians; 0 is level. */
  downRad: number;
  /** From the left edge of the picture to the right one, radians. */
  wideRad: number;
  /** The picture’s width by its height. */
  aspect: number;
};

/** A place as the eye has it: so far ahead along the look, to the right of it and up from it, metres. */
export type Seen = { aheadM: number; rightM: number; upM: number };

/** Shares of the picture: x from its left edge to its right one, y from its top to its foot. */
export type PictureShare = { x: number; y: number };

/** What is nearer than this is cut away: nothing that near can be drawn in perspective. */
export const NEAREST_M = 0.3;

/** A place as the eye has it: turned by the look, then tilted. */
export function seenFrom({ eye, headingRad, downRad }: Camera, at: Spot): Seen {
  const [dx, dy, dz] = [at.xM - eye.xM, at.yM - eye.yM, at.zM - eye.zM];
  const levelM = dx * Math.cos(headingRad) + dy * Math.sin(headingRad);
  return {
    aheadM: levelM * Math.cos(downRad) - dz * Math.sin(downRad),
    rightM: dx * Math.sin(headingRad) - dy * Math.cos(headingRad),
    upM: levelM * Math.sin(downRad) + dz * Math.cos(downRad),
  };
}

/**
 * Where something ahead lies in the picture: a pinhole, so that straight stays straight. Beside the picture shares are under 0
 * or over 1.
 * @throws {RangeError} what is not ahead of the eye: it is clipped before
 */
export function shareOf({ wideRad, aspect }: Camera, { aheadM, rightM, upM }: Seen): PictureShare {
  if (!(aheadM > 1e-9)) throw new RangeError(`shareOf: ${aheadM} m ahead`);
  const halfM = Math.tan(wideRad / 2) * aheadM;
  return { x: 0.5 + rightM / (2 * halfM), y: 0.5 - (upM * aspect) / (2 * halfM) };
}

/** A flat face without what is nearer than the nearest that can be drawn; no corners where all of it is. */
export function clippedAhead(face: readonly Seen[]): Seen[] {
  return face.flatMap((corner, index) => {
    const next = face[(index + 1) % face.length]!;
    const [isHere, isNext] = [corner.aheadM >= NEAREST_M, next.aheadM >= NEAREST_M];
    if (isHere === isNext) return isHere ? [corner] : [];
    const share = (NEAREST_M - corner.aheadM) / (next.aheadM - corner.aheadM);
    const between = (from: number, to: number) => from + (to - from) * share;
    const cut: Seen = {
      aheadM: NEAREST_M,
      rightM: between(corner.rightM, next.rightM),
      upM: between(corner.upM, next.upM),
    };
    return isHere ? [corner, cut] : [cut];
  });
}
