import type { Arena } from '../arena/arena';
import { chainOf, type Chain } from '../geometry/chain';
import { isChainInside } from '../geometry/insideArena';
import type { Pose } from '../geometry/pose';
import { cscChain, cscTrack, turnOnSide, type CscTrack, type Side } from './csc';
import { isCscInside } from './cscInside';

export type NaturalTrack =
  | { ok: true; chain: Chain; radiusM: number | null }
  /** No arc, straight, arc of at most 270° stays on the sand. */
  | { ok: false; reason: 'no-natural-track' };

/** More turning than this is no line any rider would choose. */
const MOST_TURN_RAD = (3 * Math.PI) / 2;
const TURN_ROUNDING_RAD = 1e-9;
/** Fences this nearly in line are ridden straight. */
const IN_LINE_M = 1e-6;
/** Radii outside these bounds say nothing about sand of 200 m and less, and cost digits. */
const NARROWEST_M = 1e-3;
const WIDEST_M = 1e6;
/** Radii this close are the same, so that a tie is a tie. */
const SAME_RADIUS = 1e-9;

/** Right before left: the order ties are settled in. */
const SAME_WAY: readonly (readonly [Side, Side])[] = [
  [-1, -1],
  [1, 1],
];
const S_TRACKS: readonly (readonly [Side, Side])[] = [
  [-1, 1],
  [1, -1],
];

/**
 * The line a rider would choose between two poses: arc, straight, arc with one radius, on the sand, turning at most
 * 270° in all. With R₁ the largest radius at which both arcs turn the same way and R* the largest of any kind: straight
 * where the two are in line; the R₁ track if R₁ is at least the gait's smallest radius R_g; the R* track if even that
 * is not; else the radius between, R* − (R* − R_g)·R₁/R_g, so that nothing jumps while a fence is dragged.
 * @param smallestRadiusM - R_g of the gait, > 0
 * @throws {RangeError} an R_g that is not positive and finite
 */
export function naturalTrack(from: Pose, to: Pose, arena: Arena, smallestRadiusM: number): NaturalTrack {
  if (!(smallestRadiusM > 0 && smallestRadiusM < Infinity))
    throw new RangeError(`naturalTrack: smallestRadiusM ${smallestRadiusM}`);
  const straightM = inLineM(from, to);
  if (straightM !== null) return straightTrack(from, straightM, arena);
  const finder: Finder = { from, to, arena };
  const sameWay = widest(finder, SAME_WAY);
  if (sameWay && sameWay.radiusM >= smallestRadiusM) return found(finder, sameWay);
  const sTrack = widest(finder, S_TRACKS);
  const any = wider(sameWay, sTrack);
  if (!any) return { ok: false, reason: 'no-natural-track' };
  if (any.radiusM <= smallestRadiusM) return found(finder, any);
  const sameWayM = sameWay?.radiusM ?? 0;
  const radiusM = any.radiusM - ((any.radiusM - smallestRadiusM) * sameWayM) / smallestRadiusM;
  return found(finder, widest(finder, [...SAME_WAY, ...S_TRACKS], radiusM) ?? any);
}

type Finder = { from: Pose; to: Pose; arena: Arena };

function found({ from }: Finder, track: CscTrack): NaturalTrack {
  const chain = cscChain(from, track);
  const turns = chain.segments.some(segment => segment.kind === 'arc');
  return { ok: true, chain, radiusM: turns ? track.radiusM : null };
}

/** How far straight on the second pose lies, or null if it is not in line ahead and facing the same way. */
function inLineM(from: Pose, to: Pose): number | null {
  const dx = to.at.xM - from.at.xM;
  const dy = to.at.yM - from.at.yM;
  const aheadM = dx * Math.cos(from.headingRad) + dy * Math.sin(from.headingRad);
  const asideM = dy * Math.cos(from.headingRad) - dx * Math.sin(from.headingRad);
  const turnRad = Math.abs(Math.sin((to.headingRad - from.headingRad) / 2)) * 2;
  return aheadM > 0 && Math.abs(asideM) < IN_LINE_M && turnRad * aheadM < IN_LINE_M ? aheadM : null;
}

function straightTrack(from: Pose, straightM: number, arena: Arena): NaturalTrack {
  const chain = chainOf(from, [{ kind: 'straight', lengthM: straightM }]);
  if (!isChainInside(arena, chain)) return { ok: false, reason: 'no-natural-track' };
  return { ok: true, chain, radiusM: null };
}

/** The track of the largest radius among these kinds, at most `mostM`; ties go to the shorter, then to the right. */
function widest(finder: Finder, kinds: readonly (readonly [Side, Side])[], mostM = Infinity): CscTrack | null {
  let best: CscTrack | null = null;
  // A kind that cannot reach the radius found so far need not be looked at below it.
  for (const sides of kinds) {
    const leastM: number = best === null ? NARROWEST_M : best.radiusM * (1 - SAME_RADIUS);
    best = wider(best, widestOfKind(finder, sides, leastM, mostM));
  }
  return best;
}

function wider(a: CscTrack | null, b: CscTrack | null): CscTrack | null {
  if (!a || !b) return a ?? b;
  if (Math.abs(a.radiusM - b.radiusM) > SAME_RADIUS * a.radiusM) return a.radiusM > b.radiusM ? a : b;
  return b.lengthM < a.lengthM - 1e-9 ? b : a;
}

/**
 * The largest feasible radius is always one at which something gives: the circles touch, their centres coincide, an arc
 * vanishes, the turning reaches 270°, or an arc touches a wall. Each is a radius in closed form.
 */
function widestOfKind(finder: Finder, sides: readonly [Side, Side], leastM: number, mostM: number): CscTrack | null {
  // Turning one way all along adds up to the change of heading: more than 270° is never feasible.
  const [s0, s1] = sides;
  const { from, to } = finder;
  if (s0 === s1 && turnOnSide(from.headingRad, to.headingRad, s0, 1) > MOST_TURN_RAD + TURN_ROUNDING_RAD) return null;
  const limitM = Math.min(mostM, WIDEST_M);
  const radii = candidateRadiiM(finder, sides).filter(radiusM => radiusM >= leastM && radiusM <= limitM);
  radii.push(limitM);
  radii.sort((a, b) => b - a);
  for (const radiusM of radii) {
    const track = feasible(finder, sides, radiusM);
    if (track && isBareBox(finder.arena)) return track;
    // Beside walls aslant and things that stand there a wider one may fit that no radius in closed form tells.
    if (track) return searched(finder, sides, radiusM, limitM) ?? track;
  }
  return isBareBox(finder.arena) ? null : searched(finder, sides, leastM, limitM);
}

const isBareBox = ({ outline, standing }: Arena) => !outline && !standing;

/** How finely radii are tried where none is told in closed form, and how often the first that fits is closed in on. */
const TRIED_SHARE = 0.96;
const CLOSED_IN = 14;

/** The largest radius over one and up to another at which a track fits, as far as trying tells; null where none was found. */
function searched(finder: Finder, sides: readonly [Side, Side], overM: number, limitM: number): CscTrack | null {
  let tooWideM = limitM;
  for (let radiusM = Math.min(limitM, TRIED_FROM_M); radiusM > Math.max(overM, TRIED_TO_M); radiusM *= TRIED_SHARE) {
    let best = feasible(finder, sides, radiusM);
    if (!best) {
      tooWideM = radiusM;
      continue;
    }
    for (let round = 0; round < CLOSED_IN; round += 1) {
      const middleM = (best.radiusM + tooWideM) / 2;
      const track = feasible(finder, sides, middleM);
      if (track) best = track;
      else tooWideM = middleM;
    }
    return best;
  }
  return null;
}

/** No arena has room for wider turns than this beside what stands in it. */
const TRIED_FROM_M = 60;
/** Nobody rides a turn as tight as this. */
const TRIED_TO_M = 1.5;

function feasible({ from, to, arena }: Finder, sides: readonly [Side, Side], radiusM: number): CscTrack | null {
  const track = cscTrack(from, to, sides, radiusM);
  if (!track || track.firstTurnRad + track.secondTurnRad > MOST_TURN_RAD + TURN_ROUNDING_RAD) return null;
  if (!isCscInside(arena, from, to, track)) return null;
  return isBareBox(arena) || isChainInside(arena, cscChain(from, track)) ? track : null;
}

type Vector = { x: number; y: number };

const dot = (a: Vector, b: Vector) => a.x * b.x + a.y * b.y;
const leftOf = (headingRad: number): Vector => ({ x: -Math.sin(headingRad), y: Math.cos(headingRad) });

function candidateRadiiM(finder: Finder, [s0, s1]: readonly [Side, Side]): number[] {
  const { from, to } = finder;
  const d: Vector = { x: to.at.xM - from.at.xM, y: to.at.yM - from.at.yM };
  const l0 = leftOf(from.headingRad);
  const l1 = leftOf(to.headingRad);
  // From centre to centre: d + R·g.
  const g: Vector = { x: s1 * l1.x - s0 * l0.x, y: s1 * l1.y - s0 * l0.y };
  /** The radius at which the straight has this heading: the gap square to it closes. */
  const atHeading = (left: Vector) => -dot(d, left) / (dot(g, left) - (s1 - s0));
  const radii = [
    atHeading(l0),
    atHeading(l1),
    ...wallRadiiM(finder.arena, from, s0),
    ...wallRadiiM(finder.arena, to, s1),
  ];
  if (s0 === s1) {
    radii.push(-dot(d, g) / dot(g, g));
  } else {
    radii.push(...touchingRadiiM(d, g));
    radii.push(...turnLimitHeadings(from, to, s0).map(headingRad => atHeading(leftOf(headingRad))));
  }
  return radii;
}

/** |d + R·g| = 2R. Solved by the root that does not cancel, since a all but vanishes for nearly equal headings. */
function touchingRadiiM(d: Vector, g: Vector): number[] {
  const a = dot(g, g) - 4;
  const b = 2 * dot(d, g);
  const c = dot(d, d);
  const q = -(b + (b < 0 ? -1 : 1) * Math.sqrt(Math.max(0, b * b - 4 * a * c))) / 2;
  return [q / a, c / q];
}

/**
 * The headings of the straight at which an S turns 270° in all: turning s0 by α and then back by α less the change of
 * heading makes 2α − s0·Δ.
 */
function turnLimitHeadings(from: Pose, to: Pose, s0: Side): number[] {
  const changeRad = s0 * (to.headingRad - from.headingRad);
  return [0, 1, 2, 3].map(k => from.headingRad + (s0 * (MOST_TURN_RAD + changeRad + 2 * Math.PI * (k - 1))) / 2);
}

/** The radii at which a circle through a pose touches a wall. */
function wallRadiiM(arena: Arena, { at, headingRad }: Pose, side: Side): number[] {
  const left = leftOf(headingRad);
  return [
    at.xM / (1 - side * left.x),
    at.yM / (1 - side * left.y),
    (arena.widthM - at.xM) / (1 + side * left.x),
    (arena.lengthM - at.yM) / (1 + side * left.y),
  ];
}
