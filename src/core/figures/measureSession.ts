import type { Arena } from '../arena/arena';
import { smallestRadiusM } from '../geometry/chain';
import { segmentEnd, segmentLengthM, type Segment } from '../geometry/segment';
import type { TrackGait } from '../layout/trackGait';
import type { Rein } from '../track/rein';
import { gaitSpeedMPerMin } from './gaitSpeed';
import { stationSeconds } from './rideStation';
import type { RidePiece, Stretch } from './stretch';

/** A session on the flat in numbers. */
export type SessionMeasure = {
  lengthM: number;
  minutes: number;
  /** By gait; time on the spot is under "halt". */
  metresByGait: Partial<Record<TrackGait, number>>;
  minutesByGait: Partial<Record<TrackGait | 'halt', number>>;
  metresByRein: Record<Rein, number>;
  minutesByRein: Record<Rein, number>;
  /** Work alone, by gait and rein: what rests does not count. */
  workMetres: Partial<Record<TrackGait, Record<Rein, number>>>;
  workMinutes: Partial<Record<TrackGait, Record<Rein, number>>>;
  /** Free walk, a loose rein, and on the spot. */
  restMinutes: number;
  changesOfRein: number;
  /** Changes of gait, and halts from a gait. */
  transitions: number;
  /** The share of the metres that is ridden along a wall, corners between two walls among them. */
  onRailShare: number;
  smallestRadiusM: number | null;
  /** Minutes on circles and half circles of 10 m and less, by rein. */
  smallCircleMinutes: Record<Rein, number>;
};

/** How fast a gait is ridden, metres a minute. */
export type SpeedOf = (gait: TrackGait) => number;

/**
 * Measures a session of figures, ridden in its gaits.
 * @param speedOf - a horse's own speeds; left out the usual ones
 */
export function measureSession(
  arena: Arena,
  pieces: readonly RidePiece[],
  speedOf: SpeedOf = gaitSpeedMPerMin,
): SessionMeasure {
  const stretches = pieces.filter(piece => piece.kind === 'stretch');
  const lengthM = sum(stretches.map(({ chain }) => chain.lengthM));
  const byGait = new Map<TrackGait, number>();
  for (const { gait, chain } of stretches) byGait.set(gait, (byGait.get(gait) ?? 0) + chain.lengthM);
  const minutesByGait: Partial<Record<TrackGait | 'halt', number>> = {};
  for (const [gait, metres] of byGait) minutesByGait[gait] = metres / speedOf(gait);
  const haltMinutes = sum(pieces.map(piece => (piece.kind === 'station' ? stationSeconds(piece.deed) / 60 : 0)));
  if (haltMinutes > 0) minutesByGait.halt = haltMinutes;
  const radii = stretches.flatMap(({ chain }) => smallestRadiusM(chain) ?? []);
  return {
    lengthM,
    minutes: sum(Object.values(minutesByGait)),
    metresByGait: Object.fromEntries(byGait),
    minutesByGait,
    metresByRein: onEachRein(stretches, ({ chain }) => chain.lengthM),
    minutesByRein: onEachRein(stretches, stretch => minutesOf(stretch, speedOf)),
    workMetres: workByGait(stretches, ({ chain }) => chain.lengthM),
    workMinutes: workByGait(stretches, stretch => minutesOf(stretch, speedOf)),
    restMinutes: haltMinutes + sum(stretches.map(stretch => (stretch.rest ? minutesOf(stretch, speedOf) : 0))),
    changesOfRein: changes(pieces.map(({ rein }) => rein)),
    transitions: changes(pieces.map(piece => (piece.kind === 'stretch' ? piece.gait : 'halt'))),
    onRailShare: lengthM === 0 ? 0 : onRailM(arena, stretches) / lengthM,
    smallestRadiusM: radii.length === 0 ? null : Math.min(...radii),
    smallCircleMinutes: onEachRein(stretches, stretch => smallCircleMinutes(stretch, speedOf)),
  };
}

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

function minutesOf({ chain, gait }: Stretch, speedOf: SpeedOf): number {
  return chain.lengthM / speedOf(gait);
}

function workByGait(
  stretches: readonly Stretch[],
  of: (stretch: Stretch) => number,
): Partial<Record<TrackGait, Record<Rein, number>>> {
  const work = stretches.filter(({ rest }) => rest === null);
  const gaits = [...new Set(work.map(({ gait }) => gait))];
  return Object.fromEntries(
    gaits.map(gait => [
      gait,
      onEachRein(
        work.filter(one => one.gait === gait),
        of,
      ),
    ]),
  );
}

function onEachRein(stretches: readonly Stretch[], of: (stretch: Stretch) => number): Record<Rein, number> {
  const on = (rein: Rein) => sum(stretches.filter(stretch => stretch.rein === rein).map(of));
  return { left: on('left'), right: on('right') };
}

function changes(values: readonly string[]): number {
  return values.filter((value, index) => index > 0 && value !== values[index - 1]).length;
}

/** Common practice, no source: a circle of 10 m and less is hard work; a corner is no circle. */
const SMALL_CIRCLE_RADIUS_M = 5;
const HALF_ROUND_RAD = Math.PI - 1e-6;

function smallCircleMinutes({ chain, gait }: Stretch, speedOf: SpeedOf): number {
  const metres = sum(
    chain.segments.map(segment =>
      segment.kind === 'arc' &&
      segment.radiusM <= SMALL_CIRCLE_RADIUS_M + 1e-9 &&
      Math.abs(segment.sweepRad) >= HALF_ROUND_RAD
        ? segmentLengthM(segment)
        : 0,
    ),
  );
  return metres / speedOf(gait);
}

/** Common practice, no source: the track along the wall is this wide. */
const RAIL_M = 1.5;
/** A turn between two pieces of rail is a corner while it is no rounder than this. */
const CORNER_RADIUS_M = 8;
const PARALLEL_RAD = 0.02;

/** Metres along a wall: straights within the track beside it, and the corners that join two of them. */
function onRailM(arena: Arena, stretches: readonly Stretch[]): number {
  const segments = stretches.flatMap(({ chain }) => chain.segments);
  const onWall = segments.map(segment => isAlongWall(arena, segment));
  return sum(
    segments.map((segment, index) => {
      if (onWall[index]) return segmentLengthM(segment);
      const corner = segment.kind === 'arc' && segment.radiusM <= CORNER_RADIUS_M && isQuarter(segment.sweepRad);
      return corner && onWall[index - 1] && onWall[index + 1] ? segmentLengthM(segment) : 0;
    }),
  );
}

function isQuarter(sweepRad: number): boolean {
  return Math.abs(Math.abs(sweepRad) - Math.PI / 2) < PARALLEL_RAD;
}

function isAlongWall(arena: Arena, segment: Segment): boolean {
  if (segment.kind === 'arc') return false;
  const { at, headingRad } = segment.start;
  const end = segmentEnd(segment).at;
  if (Math.abs(Math.sin(headingRad)) < PARALLEL_RAD)
    return Math.max(at.yM, end.yM) <= RAIL_M || Math.min(at.yM, end.yM) >= arena.lengthM - RAIL_M;
  if (Math.abs(Math.cos(headingRad)) < PARALLEL_RAD)
    return Math.max(at.xM, end.xM) <= RAIL_M || Math.min(at.xM, end.xM) >= arena.widthM - RAIL_M;
  return false;
}
