import {
  changeOfRein,
  facingFromHeading,
  headingFromFacing,
  letterPose,
  type Arena,
  type Figure,
  type PlannedFigure,
  type Pose,
  type StationDeed,
} from '@/core';
import type { DeedOnPaper, FigureOnPaper, PoseOnPaper, StartOnPaper } from './layoutFigures';

/** Figures of the layout file, there and back. */

/**
 * A figure from paper, with its letters found in the arena.
 * @param index - its place in its session, from 0
 * @returns a sentence that says which place is none, where one is
 */
export function figureFromPaper(paper: FigureOnPaper, arena: Arena, index: number): PlannedFigure | string {
  const { parts, gait = null, name = null } = paper;
  const own = { id: paper.id ?? figureId(index), name, gait, parts };
  if (paper.kind === 'change-rein') {
    const figure = changeFromPaper(paper, arena);
    return typeof figure === 'string' ? figure : { ...own, figure };
  }
  const start = poseFromPaper(paper.start, paper.rein, arena);
  if (typeof start === 'string') return start;
  return { ...own, figure: bare(paper, start) };
}

/** The id of a figure that has none on paper, by its place in its session, from 0. */
export const figureId = (index: number): string => `f${index + 1}`;

function bare(paper: Exclude<FigureOnPaper, { kind: 'change-rein' }>, start: Pose): Figure {
  const { gait: _, parts: __, id: ___, name: ____, ...figure } = paper;
  const rest = { ...figure, start };
  return rest.kind === 'station' ? { ...rest, deed: deedFromPaper(rest.deed) } : rest;
}

function poseFromPaper(start: StartOnPaper, rein: 'left' | 'right', arena: Arena): Pose | string {
  if (typeof start === 'object')
    return { at: { xM: start.xM, yM: start.yM }, headingRad: headingFromFacing(start.facingDeg) };
  return letterPose(arena, start, rein) ?? `start: this arena has no letter “${start}” on a wall.`;
}

function changeFromPaper(paper: Extract<FigureOnPaper, { kind: 'change-rein' }>, arena: Arena): Figure | string {
  const { way, start, end, rein, radiusM } = paper;
  if (way) {
    if (start !== undefined || end) return 'way: say either a way or a start and an end.';
    return changeOfRein(arena, way, rein, radiusM);
  }
  if (start === undefined || !end) return 'way: a change of rein needs a way, or a start and an end.';
  const from = poseFromPaper(start, rein, arena);
  if (typeof from === 'string') return from;
  return {
    kind: 'change-rein',
    start: from,
    end: { at: { xM: end.xM, yM: end.yM }, headingRad: headingFromFacing(end.facingDeg) },
    rein,
    radiusM,
  };
}

function deedFromPaper(deed: DeedOnPaper): StationDeed {
  if (deed.kind !== 'turn-on-forehand' && deed.kind !== 'turn-on-haunches') return deed;
  return { kind: deed.kind, turnRad: ((deed.towards === 'left' ? 1 : -1) * deed.turnDeg * Math.PI) / 180 };
}

/** A figure as the file has it; its places are written as numbers. */
export function figureToPaper({ id, name, figure, gait, parts }: PlannedFigure): FigureOnPaper {
  const own = { id, ...(name === null ? {} : { name }), ...(gait === null ? {} : { gait }) };
  const shared = { ...own, parts, start: poseToPaper(figure.start) };
  if (figure.kind === 'change-rein') return { ...figure, ...shared, end: poseToPaper(figure.end) };
  if (figure.kind === 'station') return { ...figure, ...shared, deed: deedToPaper(figure.deed) };
  return { ...figure, ...shared };
}

function poseToPaper({ at, headingRad }: Pose): PoseOnPaper {
  return { ...at, facingDeg: facingFromHeading(headingRad) };
}

function deedToPaper(deed: StationDeed): DeedOnPaper {
  if (deed.kind !== 'turn-on-forehand' && deed.kind !== 'turn-on-haunches') return deed;
  const turnDeg = (Math.abs(deed.turnRad) * 180) / Math.PI;
  return { kind: deed.kind, turnDeg, towards: deed.turnRad < 0 ? 'right' : 'left' };
}
