import { CHANGES_OF_REIN, RESTS, TRACK_GAITS } from '@/core';
import { z } from 'zod';

/** The shape of the figures of the layout file; figurePaper.ts carries them there and back. */

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
  rest: z.enum(RESTS).optional(),
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
  id: z.string().min(1).max(60).optional(),
  name: z.string().trim().min(1).max(60).optional(),
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
    yieldM: Metres(0.1, 50).optional(),
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
export type PoseOnPaper = z.infer<typeof PoseOnPaper>;
export type StartOnPaper = z.infer<typeof Start>;
export type DeedOnPaper = z.infer<typeof Deed>;
