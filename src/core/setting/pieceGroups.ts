import type { Arena } from '../arena/arena';
import { isInsideArena } from '../arena/arena';
import { distanceM, type PointM } from '../geometry/pointM';
import { footprint } from '../items/footprint';
import { isRidden, type Item, type RiddenItem } from '../items/item';
import { LONGEST_TAPE_M } from './marks';

/** Pieces that stand one behind the other, all ends on two lines, from the first to the last. */
export type LineGroup = { kind: 'line'; members: RiddenItem[] };

/** Pieces on the spokes of a circle, equally far from its centre. */
export type ArcGroup = { kind: 'arc'; members: RiddenItem[]; centre: PointM; ropeReaches: boolean };

export type PieceGroup = LineGroup | ArcGroup;

const SAME_M = 1e-3;
const SAME_RAD = 1e-4;
/** Round a smaller circle nobody needs a rope. */
const SMALLEST_ARC_M = 1.5;
/** A peg needs so much free sand round it. */
const ROOM_FOR_PEG_M = 0.3;
/** Looking for circles among more pieces than this would take too long; they are set from the walls. */
const MOST_FOR_ARCS = 150;

/** Which pieces of a layout are set together, each in one group at most. Circles first, then lines. */
export function pieceGroups(arena: Arena, items: readonly Item[]): PieceGroup[] {
  const ridden = items.filter(isRidden);
  const arcs = ridden.length <= MOST_FOR_ARCS ? arcGroups(arena, items, ridden) : [];
  const taken = new Set(arcs.flatMap(({ members }) => members.map(({ id }) => id)));
  return [...arcs, ...lineGroups(ridden.filter(({ id }) => !taken.has(id)))];
}

function arcGroups(arena: Arena, items: readonly Item[], ridden: readonly RiddenItem[]): ArcGroup[] {
  const groups: ArcGroup[] = [];
  let left = [...ridden];
  for (let index = 0; index + 1 < left.length; index += 1) {
    const group = largestArc(left, index);
    if (!group) continue;
    const { centre, members } = group;
    groups.push({ kind: 'arc', members, centre, ropeReaches: isFree(arena, items, centre) });
    left = left.filter(item => !members.includes(item));
    index -= 1;
  }
  return groups;
}

/** The most pieces on one circle of which this is one: its centre is where the spokes of two neighbours cross. */
function largestArc(ridden: readonly RiddenItem[], index: number): { centre: PointM; members: RiddenItem[] } | null {
  const first = ridden[index]!;
  let best: { centre: PointM; members: RiddenItem[] } | null = null;
  for (const other of ridden.slice(index + 1)) {
    const centre = spokesCross(first, other);
    if (!centre) continue;
    const radiusM = distanceM(centre, first.at);
    if (!(radiusM >= SMALLEST_ARC_M && radiusM <= LONGEST_TAPE_M)) continue;
    const members = ridden.filter(item => isOnSpoke(item, centre, radiusM));
    if (members.length >= 3 && members.length > (best?.members.length ?? 0)) best = { centre, members };
  }
  return best;
}

/** Where the lines along two pieces cross, or null where they run the same way. */
function spokesCross(a: RiddenItem, b: RiddenItem): PointM | null {
  const turn = Math.sin(b.headingRad - a.headingRad);
  if (Math.abs(turn) < 1e-3) return null;
  // Points p of the line along a piece have (p − at)·heading = 0.
  const [ca, sa, cb, sb] = [
    Math.cos(a.headingRad),
    Math.sin(a.headingRad),
    Math.cos(b.headingRad),
    Math.sin(b.headingRad),
  ];
  const da = a.at.xM * ca + a.at.yM * sa;
  const db = b.at.xM * cb + b.at.yM * sb;
  return { xM: (da * sb - db * sa) / turn, yM: (db * ca - da * cb) / turn };
}

function isOnSpoke({ at, headingRad }: RiddenItem, centre: PointM, radiusM: number): boolean {
  const aheadM = (centre.xM - at.xM) * Math.cos(headingRad) + (centre.yM - at.yM) * Math.sin(headingRad);
  return Math.abs(aheadM) < SAME_M && Math.abs(distanceM(centre, at) - radiusM) < SAME_M;
}

/** Whether a peg can be put here: on the sand, and not under a piece. */
function isFree(arena: Arena, items: readonly Item[], at: PointM): boolean {
  if (!isInsideArena(arena, at)) return false;
  return items.every(item => {
    const { depthM, widthM, headingRad } = footprint(item);
    const [dx, dy] = [at.xM - item.at.xM, at.yM - item.at.yM];
    const aheadM = Math.abs(dx * Math.cos(headingRad) + dy * Math.sin(headingRad));
    const asideM = Math.abs(dy * Math.cos(headingRad) - dx * Math.sin(headingRad));
    return aheadM > depthM / 2 + ROOM_FOR_PEG_M || asideM > widthM / 2 + ROOM_FOR_PEG_M;
  });
}

function lineGroups(ridden: readonly RiddenItem[]): LineGroup[] {
  const groups: RiddenItem[][] = [];
  for (const item of ridden) {
    const group = groups.find(([first]) => first && isInLine(first, item));
    if (group) group.push(item);
    else groups.push([item]);
  }
  return groups.flatMap(group => {
    const members = [...group].sort((a, b) => aheadOf(group[0]!, a) - aheadOf(group[0]!, b));
    const spanM = aheadOf(members[0]!, members[members.length - 1]!);
    return members.length >= 3 && spanM <= LONGEST_TAPE_M ? [{ kind: 'line', members }] : [];
  });
}

const acrossM = (item: RiddenItem) => (item.kind === 'pole' ? item.lengthM : item.widthM);

function isInLine(a: RiddenItem, b: RiddenItem): boolean {
  const turn = Math.abs(Math.sin((b.headingRad - a.headingRad) / 2)) * 2;
  const [dx, dy] = [b.at.xM - a.at.xM, b.at.yM - a.at.yM];
  const asideM = dy * Math.cos(a.headingRad) - dx * Math.sin(a.headingRad);
  return turn < SAME_RAD && Math.abs(asideM) < SAME_M && Math.abs(acrossM(a) - acrossM(b)) < SAME_M;
}

function aheadOf(from: RiddenItem, item: RiddenItem): number {
  const [dx, dy] = [item.at.xM - from.at.xM, item.at.yM - from.at.yM];
  return dx * Math.cos(from.headingRad) + dy * Math.sin(from.headingRad);
}
