import type { Arena } from '../arena/arena';
import { chainOf, joinChains, netTurnRad, smallestRadiusM, type Chain } from '../geometry/chain';
import { isChainInside } from '../geometry/insideArena';
import { pointAlong, type PointM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';
import { segmentLengthM } from '../geometry/segment';
import { ridingDepthM, ridingPose, ridingWidthM } from '../items/footprint';
import type { RiddenItem } from '../items/item';
import type { PlannedLeg } from '../layout/layout';
import { dubinsShortest } from './dubins';
import { naturalTrack, type NaturalTrack } from './naturalTrack';

/** An item as it is ridden in a track. */
export type RiddenEnd = { item: RiddenItem; reversed: boolean };

export type LegGround = {
  arena: Arena;
  /** R_g of the gait, metres. */
  smallestRadiusM: number;
  /** The longest normal stride among the horses at this gait, metres: what a wide line keeps straight. */
  strideM: number;
};

export type LegTrack =
  /** `instead`: why the track is not the one that was wanted; the shortest possible or the natural one stands in. */
  | { ok: true; chain: Chain; instead: null | 'no-natural-track' | 'no-wide-track' }
  | { ok: false; reason: 'no-wide-track' | 'no-rein' };

const WIDE_STRIDES_AFTER = 1;
const WIDE_STRIDES_BEFORE = 2;

/** The shortest possible track, at the gait's smallest radius or the natural track's if that is smaller. */
export function directLeg(from: Pose, to: Pose, ground: LegGround): Chain {
  return shortestBeside(from, to, ground, naturalTrack(from, to, ground.arena, ground.smallestRadiusM));
}

function shortestBeside(from: Pose, to: Pose, ground: LegGround, natural: NaturalTrack): Chain {
  const naturalRadiusM = natural.ok ? (natural.radiusM ?? Infinity) : Infinity;
  return dubinsShortest(from, to, Math.min(ground.smallestRadiusM, naturalRadiusM)).chain;
}

export type ThreeTracks = { natural: Extract<LegTrack, { ok: true }>; direct: Chain; wide: LegTrack };

/** All three tracks of a leg, with the natural one reckoned once. */
export function threeTracks(from: RiddenEnd, to: RiddenEnd, ground: LegGround): ThreeTracks {
  const start = endPose(from);
  const end = endPose(to);
  const natural = naturalTrack(start, end, ground.arena, ground.smallestRadiusM);
  const direct = shortestBeside(start, end, ground, natural);
  return {
    natural: natural.ok
      ? { ok: true, chain: natural.chain, instead: null }
      : { ok: true, chain: direct, instead: 'no-natural-track' },
    direct,
    wide: wideLeg(from, to, ground),
  };
}

/** The natural track, or the shortest possible where there is none. */
export function naturalLeg(from: Pose, to: Pose, ground: LegGround): Extract<LegTrack, { ok: true }> {
  const natural = naturalTrack(from, to, ground.arena, ground.smallestRadiusM);
  if (natural.ok) return { ok: true, chain: natural.chain, instead: null };
  return {
    ok: true,
    chain: dubinsShortest(from, to, ground.smallestRadiusM).chain,
    instead: 'no-natural-track',
  };
}

/** Straight for a stride after the first item and for two before the second, natural between; or why that cannot be. */
export function wideLeg(from: RiddenEnd, to: RiddenEnd, ground: LegGround): LegTrack {
  const start = endPose(from);
  const end = endPose(to);
  const outM = ridingDepthM(from.item) / 2 + WIDE_STRIDES_AFTER * ground.strideM;
  const inM = ridingDepthM(to.item) / 2 + WIDE_STRIDES_BEFORE * ground.strideM;
  const turnFrom: Pose = { at: pointAlong(start.at, start.headingRad, outM), headingRad: start.headingRad };
  const turnTo: Pose = { at: pointAlong(end.at, end.headingRad, -inM), headingRad: end.headingRad };
  const out = chainOf(start, [{ kind: 'straight', lengthM: outM }]);
  const into = chainOf(turnTo, [{ kind: 'straight', lengthM: inM }]);
  if (!isChainInside(ground.arena, out) || !isChainInside(ground.arena, into))
    return { ok: false, reason: 'no-wide-track' };
  const between = naturalTrack(turnFrom, turnTo, ground.arena, ground.smallestRadiusM);
  if (!between.ok) return { ok: false, reason: 'no-wide-track' };
  return { ok: true, chain: joinChains([out, between.chain, into]), instead: null };
}

/** Through a point: the heading there is h(from→via) + h(via→to) − h(from→to), each half natural. */
export function viaLeg(from: Pose, to: Pose, via: PointM, ground: LegGround): Extract<LegTrack, { ok: true }> {
  const heading = (a: PointM, b: PointM) => Math.atan2(b.yM - a.yM, b.xM - a.xM);
  const headingRad = heading(from.at, via) + heading(via, to.at) - heading(from.at, to.at);
  const there: Pose = { at: via, headingRad };
  const first = naturalLeg(from, there, ground);
  const second = naturalLeg(there, to, ground);
  return { ok: true, chain: joinChains([first.chain, second.chain]), instead: first.instead ?? second.instead };
}

/** The track of a leg as planned. A wide line that does not fit gives way to the natural one, and says so. */
export function legTrack(from: RiddenEnd, to: RiddenEnd, leg: PlannedLeg, ground: LegGround): LegTrack {
  const start = endPose(from);
  const end = endPose(to);
  if (from.item.id === to.item.id && from.reversed === to.reversed) {
    if (!leg.circle) return { ok: false, reason: 'no-rein' };
    const { rein, radiusM } = leg.circle;
    const sweepRad = (rein === 'left' ? 1 : -1) * 2 * Math.PI;
    return { ok: true, chain: chainOf(start, [{ kind: 'turn', radiusM, sweepRad }]), instead: null };
  }
  if (typeof leg.track === 'object') return viaLeg(start, end, leg.track.via, ground);
  switch (leg.track) {
    case 'direct':
      return { ok: true, chain: directLeg(start, end, ground), instead: null };
    case 'natural':
      return naturalLeg(start, end, ground);
    case 'wide': {
      const wide = wideLeg(from, to, ground);
      return wide.ok ? wide : { ...naturalLeg(start, end, ground), instead: 'no-wide-track' };
    }
  }
}

function endPose({ item, reversed }: RiddenEnd): Pose {
  return ridingPose(item, reversed);
}

export type LegMeasures = {
  /** Centre to centre along the track. */
  trackM: number;
  /** From the back of the first footprint to the front of the next; 0 where they overlap. */
  groundM: number;
  insideM: number;
  outsideM: number;
  smallestRadiusM: number | null;
  /** Straight ground behind the first footprint, and before the next. */
  straightOutM: number;
  straightInM: number;
};

/** A leg in numbers. */
export function measureLeg(from: RiddenItem, to: RiddenItem, chain: Chain): LegMeasures {
  const behindM = ridingDepthM(from) / 2;
  const beforeM = ridingDepthM(to) / 2;
  const groundM = Math.max(0, chain.lengthM - behindM - beforeM);
  const halfWidthM = Math.min(ridingWidthM(from), ridingWidthM(to)) / 2;
  const driftM = halfWidthM * Math.abs(netTurnRad(chain));
  const straight = (chainEndSegmentM: number, depthM: number) =>
    Math.min(groundM, Math.max(0, chainEndSegmentM - depthM));
  return {
    trackM: chain.lengthM,
    groundM,
    insideM: Math.max(0, groundM - driftM),
    outsideM: groundM + driftM,
    smallestRadiusM: smallestRadiusM(chain),
    straightOutM: straight(straightRunM(chain.segments), behindM),
    straightInM: straight(straightRunM([...chain.segments].reverse()), beforeM),
  };
}

/** How far one goes straight before the first arc. */
function straightRunM(segments: Chain['segments']): number {
  let runM = 0;
  for (const segment of segments) {
    if (segment.kind === 'arc') break;
    runM += segmentLengthM(segment);
  }
  return runM;
}
