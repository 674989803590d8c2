import type { Arena } from '../arena/arena';
import { pointAlong, type PointM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';

/** A way up or down the sand that lines are set on. */
export type LaneKind = 'left' | 'right' | 'middle' | 'diagonal to the right' | 'diagonal to the left';

/** A lane as it is ridden: from its beginning straight on, so far to its end. */
export type Lane = { kind: LaneKind; way: 'up' | 'down'; start: Pose; lengthM: number };

/** Outside lanes lie so far from the walls, metres: a track and a stand have room there, and on narrow sand the turns. */
const OFF_WALL_M = { wide: 5, narrow: 3.6 };
const NARROW_M = 26;
/** A middle lane leaves a turn beside it to both sides. */
const LEAST_MIDDLE_WIDTH_M = 24;
/** A diagonal begins and ends so far up from the short sides. */
const DIAGONAL_OFF_M = 7;

/** The lanes of a sand, up and down. */
export function lanesOf({ widthM, lengthM }: Arena): Lane[] {
  const offM = Math.min(widthM < NARROW_M ? OFF_WALL_M.narrow : OFF_WALL_M.wide, widthM / 4);
  const [left, right] = [offM, widthM - offM];
  const ends: [LaneKind, PointM, PointM][] = [
    ['left', { xM: left, yM: 0 }, { xM: left, yM: lengthM }],
    ['right', { xM: right, yM: 0 }, { xM: right, yM: lengthM }],
    ['diagonal to the right', { xM: left, yM: DIAGONAL_OFF_M }, { xM: right, yM: lengthM - DIAGONAL_OFF_M }],
    ['diagonal to the left', { xM: right, yM: DIAGONAL_OFF_M }, { xM: left, yM: lengthM - DIAGONAL_OFF_M }],
    ...(widthM >= LEAST_MIDDLE_WIDTH_M
      ? [['middle', { xM: widthM / 2, yM: 0 }, { xM: widthM / 2, yM: lengthM }] as [LaneKind, PointM, PointM]]
      : []),
  ];
  return ends.flatMap(([kind, near, far]) => [laneFrom(kind, 'up', near, far), laneFrom(kind, 'down', far, near)]);
}

function laneFrom(kind: LaneKind, way: 'up' | 'down', from: PointM, to: PointM): Lane {
  const [dx, dy] = [to.xM - from.xM, to.yM - from.yM];
  return { kind, way, start: { at: from, headingRad: Math.atan2(dy, dx) }, lengthM: Math.hypot(dx, dy) };
}

/** A place so far along a lane. */
export const onLane = ({ start }: Lane, alongM: number): PointM => pointAlong(start.at, start.headingRad, alongM);
