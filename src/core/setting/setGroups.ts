import { distanceM } from '../geometry/pointM';
import type { Item, RiddenItem } from '../items/item';
import { isBetween, lineWay, ropeWay, type RopedArc } from './groupWays';
import { FARTHEST_IN_M, LONGEST_TAPE_M } from './marks';
import type { ArcGroup } from './pieceGroups';
import type { SetPeg } from './setPiece';
import type { Survey, Way } from './survey';

/** What a piece may be off when it is set by the printed measures, metres; else it is measured another way. */
export const MOST_ERROR_M = 0.009;

/** No tape is too short for it, nor for a check of it. */
export function isInReach({ points, measures }: Way): boolean {
  const inwards = new Set(points.flatMap(({ placing }) => (placing.how === 'wall' ? [placing.inwards] : [])));
  return measures.every(({ id, lengthM }) => lengthM <= (inwards.has(id) ? FARTHEST_IN_M : LONGEST_TAPE_M));
}

type SetOne = (item: Item, way: Way) => void;
type SetAlone = (item: Item) => void;

/** First and last by themselves, the rest between them; what does not come out well there is set by itself too. */
export function setGroup(
  survey: Survey,
  members: readonly RiddenItem[],
  [first, last]: readonly [RiddenItem, RiddenItem],
  set: SetOne,
  setAlone: SetAlone,
): void {
  setAlone(first);
  setAlone(last);
  // A tape lies between their ends.
  const reaches = distanceM(first.at, last.at) <= LONGEST_TAPE_M;
  for (const item of members) {
    if (item === first || item === last) continue;
    const way = reaches && isBetween(item, first, last) ? lineWay(item, first, last) : null;
    if (way && isInReach(way) && survey.errorM(way) <= MOST_ERROR_M) set(item, way);
    else setAlone(item);
  }
}

export const lineOf = (members: readonly RiddenItem[]): [RiddenItem, RiddenItem] => [
  members[0]!,
  members[members.length - 1]!,
];

/** The pieces of an arc in the order in which they lie on it, beginning behind its widest gap. */
export function chordOrder({ members, centre }: ArcGroup): RiddenItem[] {
  const angle = ({ at }: RiddenItem) => Math.atan2(at.yM - centre.yM, at.xM - centre.xM);
  const round = [...members].sort((a, b) => angle(a) - angle(b));
  const gaps = round.map((item, index) => {
    const before = round[(index + round.length - 1) % round.length]!;
    return (angle(item) - angle(before) + 2 * Math.PI) % (2 * Math.PI);
  });
  const start = gaps.indexOf(Math.max(...gaps));
  return [...round.slice(start), ...round.slice(0, start)];
}

/** An arc round a peg: one piece by itself, the others by the rope and a tape from it, as long as that is sure. */
export function setRoped(
  survey: Survey,
  group: ArcGroup,
  peg: string,
  pegPoint: Way,
  set: SetOne,
  setAlone: SetAlone,
): SetPeg {
  const { arena } = survey;
  const { centre, members } = group;
  survey.set(pegPoint);
  const bases: RiddenItem[] = [];
  const serves: string[] = [];
  const arc: RopedArc = { peg, centre };
  for (const item of members) {
    const way = bases
      .flatMap(base => ropeWay(arena, item, base, arc) ?? [])
      .filter(isInReach)
      .map(candidate => ({ candidate, errorM: survey.errorM(candidate) }))
      .filter(({ errorM }) => errorM <= MOST_ERROR_M)
      .sort((a, b) => a.errorM - b.errorM)[0]?.candidate;
    if (way) {
      set(item, way);
      serves.push(item.id);
    } else {
      setAlone(item);
      bases.push(item);
    }
  }
  return { peg, at: centre, placing: pegPoint.points[0]!.placing, serves };
}
