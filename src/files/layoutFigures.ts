import {
  CHANGES_OF_REIN,
  changeOfRein,
  facingFromHeading,
  headingFromFacing,
  letterPose,
  TRACK_GAITS,
  type Arena,
  type Figure,
  type PlannedFigure,
  type Pose,
  type StationDeed,
} from '@/core';
import { z } from 'zod';

/** The figures of the layout file: their shape on paper, and there and back to the core's. */

const Metres = (min: number, max: number) => z.number().min(min).max(max);
const Rein = z.enum(['left', 'right']);
const Size = Metres(1, 200);
const PoseOnPaper = z.strictObject({
  xM: Metres(-1000, 1000),
  yM: Metres(-1000, 1000),
  facingDeg: z.number().min(0).lt(360),
});
/** A letter on a wall, or a place and a way to face. */
const Start = z.union([z.string().min(1).max(2), PoseOnPaper]);

const Part = z.strictObject({
  fromM: Metres(0, 100_000),
  toM: Metres(0, 100_000),
  gait: z.enum(TRACK_GAITS).optional(),
  pace: z.enum(['normal', 'short', 'long']).optional(),
  sideways: z.enum(['shoulder-in', 'counter-shoulder-in', 'travers', 'renvers']).optional(),
  counterBend: z.boolean().optional(),
});

const Deed = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('halt'), seconds: z.number().min(0).max(600).default(4) }),
  z.strictObject({ kind: z.literal('turn-on-forehand'), turnDeg: z.number().min(1).max(720), towards: Rein }),
  z.strictObject({ kind: z.literal('turn-on-haunches'), turnDeg: z.number().min(1).max(720), towards: Rein }),
  z.strictObject({ kind: z.literal('rein-back'), steps: z.number().int().min(1).max(20) }),
  z.strictObject({ kind: z.literal('side-pass'), steps: z.number().int().min(1).max(50), towards: Rein }),
  z.strictObject({ kind: z.literal('flexions'), eachSide: z.number().int().min(1).max(20) }),
]);

const common = {
  start: Start,
  rein: Rein,
  gait: z.enum(TRACK_GAITS).optional(),
  parts: z.array(Part).max(200).default([]),
};
const Times = z.number().int().min(1).max(50).default(1);

export const FigureOnPaper = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('circle'),
    ...common,
    diameterM: Size,
    rounds: z.number().min(0.25).max(50).default(1),
  }),
  z.strictObject({
    kind: z.literal('spiral'),
    ...common,
    diametersM: z.array(Size).min(2).max(40),
    school: z.enum(['bend', 'yield']).default('bend'),
    times: Times,
  }),
  z.strictObject({
    kind: z.literal('serpentine'),
    ...common,
    loops: z.number().int().min(1).max(20),
    lengthM: Size,
    widthM: Size,
  }),
  z.strictObject({ kind: z.literal('eight'), ...common, firstDiameterM: Size, secondDiameterM: Size, times: Times }),
  z.strictObject({
    kind: z.literal('half-circle-return'),
    ...common,
    diameterM: Size,
    returnM: Size,
    lineFirst: z.boolean().default(false),
  }),
  z.strictObject({
    kind: z.literal('change-rein'),
    ...common,
    start: Start.optional(),
    end: PoseOnPaper.optional(),
    way: z.enum(CHANGES_OF_REIN).optional(),
    radiusM: Metres(0.5, 100),
  }),
  z.strictObject({
    kind: z.literal('round-arena'),
    ...common,
    cornerRadiusM: Metres(0.5, 100),
    rounds: z.number().min(0.01).max(50).default(1),
  }),
  z.strictObject({ kind: z.literal('shallow-loop'), ...common, lengthM: Size, depthM: Metres(0.1, 100) }),
  z.strictObject({ kind: z.literal('straight'), ...common, lengthM: Size }),
  z.strictObject({
    kind: z.literal('sideways'),
    ...common,
    movement: z.enum(['leg-yield', 'half-pass']),
    towards: Rein,
    aheadM: Metres(0, 200),
    asideM: Metres(0.1, 200),
  }),
  z.strictObject({
    kind: z.literal('rail-turnback'),
    ...common,
    alongM: Metres(0.5, 200),
    offM: Metres(0.1, 50),
    asideM: Metres(0.1, 50),
  }),
  z.strictObject({ kind: z.literal('station'), ...common, deed: Deed }),
]);
export type FigureOnPaper = z.infer<typeof FigureOnPaper>;

/**
 * A figure from paper, with its letters found in the arena.
 * @returns a sentence that says which place is none, where one is
 */
export function figureFromPaper(paper: FigureOnPaper, arena: Arena): PlannedFigure | string {
  const gait = paper.gait ?? null;
  const { parts } = paper;
  if (paper.kind === 'change-rein') {
    const figure = changeFromPaper(paper, arena);
    return typeof figure === 'string' ? figure : { figure, gait, parts };
  }
  const start = poseFromPaper(paper.start, paper.rein, arena);
  if (typeof start === 'string') return start;
  return { figure: bare(paper, start), gait, parts };
}

function bare(paper: Exclude<FigureOnPaper, { kind: 'change-rein' }>, start: Pose): Figure {
  const rest = { ...paper, start, gait: undefined, parts: undefined };
  delete rest.gait;
  delete rest.parts;
  return rest.kind === 'station' ? { ...rest, deed: deedFromPaper(rest.deed) } : rest;
}

function poseFromPaper(start: z.infer<typeof Start>, rein: 'left' | 'right', arena: Arena): Pose | string {
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

function deedFromPaper(deed: z.infer<typeof Deed>): StationDeed {
  if (deed.kind !== 'turn-on-forehand' && deed.kind !== 'turn-on-haunches') return deed;
  return { kind: deed.kind, turnRad: ((deed.towards === 'left' ? 1 : -1) * deed.turnDeg * Math.PI) / 180 };
}

/** A figure as the file has it; its places are written as numbers. */
export function figureToPaper({ figure, gait, parts }: PlannedFigure): FigureOnPaper {
  const shared = { ...(gait === null ? {} : { gait }), parts, start: poseToPaper(figure.start) };
  if (figure.kind === 'change-rein') return { ...figure, ...shared, end: poseToPaper(figure.end) };
  if (figure.kind === 'station') return { ...figure, ...shared, deed: deedToPaper(figure.deed) };
  return { ...figure, ...shared };
}

function poseToPaper({ at, headingRad }: Pose): z.infer<typeof PoseOnPaper> {
  return { ...at, facingDeg: facingFromHeading(headingRad) };
}

function deedToPaper(deed: StationDeed): z.infer<typeof Deed> {
  if (deed.kind !== 'turn-on-forehand' && deed.kind !== 'turn-on-haunches') return deed;
  const turnDeg = (Math.abs(deed.turnRad) * 180) / Math.PI;
  return { kind: deed.kind, turnDeg, towards: deed.turnRad < 0 ? 'right' : 'left' };
}
