import type { Arena } from '../arena/arena';
import { chainEnd, type Chain } from '../geometry/chain';
import { isChainInside } from '../geometry/insideArena';
import type { Pose } from '../geometry/pose';
import type { TrackGait } from '../layout/trackGait';
import { dubinsShortest } from '../track/dubins';
import { gaitRadiusM } from '../track/gaitRadius';
import { naturalTrack } from '../track/naturalTrack';
import { alongLoopM, loopPart, railLoop } from '../track/railLoop';
import type { Rein } from '../track/rein';
import { turnsAsWideAs, wideLine } from '../track/wideLine';
import { levelTurnM } from '../track/turnCost';
import type { PlannedFigure } from './figure';
import { rideFigure } from './rideFigure';
import { plainStretch, type RidePiece } from './stretch';

/** `figureOf`: for each piece its figure, from 0; null for a way from one figure to the next. */
export type Session =
  { ok: true; pieces: RidePiece[]; figureOf: (number | null)[] } | { ok: false; figure: number; reason: string };

/** Common practice, no source: the corner of a working gait, ridden between two figures. */
const CORNER_M = 5;

const SAME_PLACE_M = 1e-6;

/**
 * Figures ridden one after the other as one track. From the end of one to the start of the next one rides along the
 * wall where both lie on it and on one rein, else the natural line.
 * @returns the pieces, or which figure (from 0) cannot be ridden or reached, and why
 */
export function rideSession(arena: Arena, figures: readonly PlannedFigure[], gait: TrackGait): Session {
  const pieces: RidePiece[] = [];
  const figureOf: (number | null)[] = [];
  for (const [index, planned] of figures.entries()) {
    const ride = rideFigure(planned, gait, arena);
    if (!ride.ok) return { ok: false, figure: index, reason: ride.reason };
    const last = pieces[pieces.length - 1];
    const first = ride.pieces[0];
    if (last && first) {
      const way = wayBetween(arena, last, { pose: planned.figure.start, rein: planned.figure.rein }, gait);
      if (way === 'none')
        return { ok: false, figure: index, reason: 'No line on this sand leads to it from the figure before.' };
      if (way) {
        pieces.push(way);
        figureOf.push(null);
      }
    }
    pieces.push(...ride.pieces);
    figureOf.push(...ride.pieces.map(() => index));
  }
  return { ok: true, pieces, figureOf };
}

/** Where a piece leaves the horse, and which way the horse then faces. */
export function leavesPose(piece: RidePiece): Pose {
  if (piece.kind === 'station') return piece.leaves;
  const end = chainEnd(piece.chain);
  return { at: end.at, headingRad: end.headingRad + straightened(piece) };
}

/** A yielding horse goes on the way it faces; one in shoulder-in goes on along its path. */
function straightened(piece: Extract<RidePiece, { kind: 'stretch' }>): number {
  const across = piece.sideways?.movement === 'leg-yield' || piece.sideways?.movement === 'half-pass';
  const turns = piece.chain.segments.some(segment => segment.kind === 'arc');
  return across && !turns ? piece.sideways!.bodyRad : 0;
}

function wayBetween(
  arena: Arena,
  last: RidePiece,
  next: { pose: Pose; rein: Rein },
  trackGait: TrackGait,
): RidePiece | null | 'none' {
  const from = leavesPose(last);
  const to = next.pose;
  if (isSamePose(from, to)) return null;
  const gait = last.kind === 'stretch' ? last.gait : trackGait;
  if (last.rein === next.rein) {
    const rail = alongWall(arena, from, to, next.rein);
    if (rail) return plainStretch(rail, gait, next.rein);
  }
  const chain = linkBetween(arena, from, to, gait);
  return chain ? plainStretch(chain, gait, next.rein) : 'none';
}

/** How wide a link turns where it can, metres: what a green horse carries, so that a link never asks more than its figures. */
const wideEnoughM = (gait: TrackGait): number => levelTurnM(gait, 'green') ?? gaitRadiusM(gait);

/** A line from one figure to the next; where the natural one turns tighter than need be, a wider one if there is room. */
function linkBetween(arena: Arena, from: Pose, to: Pose, gait: TrackGait): Chain | null {
  const isInside = (chain: Chain) => isChainInside(arena, chain, -SAME_PLACE_M);
  const natural = naturalTrack(from, to, arena, gaitRadiusM(gait));
  const chain = natural.ok ? natural.chain : dubinsShortest(from, to, gaitRadiusM(gait)).chain;
  const ground = { arena, smallestRadiusM: wideEnoughM(gait), strideM: 0 };
  const isWide = (way: Chain) => turnsAsWideAs(way, ground.smallestRadiusM) && isInside(way);
  if (isWide(chain)) return chain;
  const wider = naturalTrack(from, to, arena, ground.smallestRadiusM);
  if (wider.ok && isWide(wider.chain)) return wider.chain;
  return wideLine(from, to, ground, isInside)?.chain ?? (isInside(chain) ? chain : null);
}

function isSamePose(a: Pose, b: Pose): boolean {
  const apartM = Math.hypot(b.at.xM - a.at.xM, b.at.yM - a.at.yM);
  return apartM < SAME_PLACE_M && Math.abs(Math.sin((b.headingRad - a.headingRad) / 2)) < SAME_PLACE_M;
}

/** Along the walls from one pose to another, where both lie on the track beside them. */
function alongWall(arena: Arena, from: Pose, to: Pose, rein: Rein): Chain | null {
  const insetM = Math.min(from.at.xM, from.at.yM, arena.widthM - from.at.xM, arena.lengthM - from.at.yM);
  if (!(insetM >= -SAME_PLACE_M && 2 * (insetM + CORNER_M) <= Math.min(arena.widthM, arena.lengthM))) return null;
  const loop = railLoop(arena, rein, CORNER_M, Math.max(0, insetM));
  const fromM = alongLoopM(loop, from);
  const toM = alongLoopM(loop, to);
  return fromM === null || toM === null ? null : loopPart(loop, fromM, toM);
}
