import { facingFromHeading, headingFromFacing, MEASURE_BY, type Item, type LayoutEdit } from '@/core';
import { z } from 'zod';

const Metres = z.number().min(-50).max(400);
const LengthM = z.number().min(0).max(400);

/** What was typed in on the ground: lengths by the name of their measure, and distances by track and leg. */
export const GroundTyped = z.strictObject({
  measureBy: z.enum(MEASURE_BY),
  measures: z.record(z.string().max(200), LengthM).refine(record => Object.keys(record).length <= 4000),
  legs: z
    .array(z.strictObject({ track: z.string().max(80), leg: z.number().int().min(0).max(2000), groundM: LengthM }))
    .max(2000),
});
export type GroundTyped = z.infer<typeof GroundTyped>;

/** Where the pieces of a layout really stand. */
export const StandingOnPaper = z.strictObject({
  format: z.literal('roan-standing'),
  version: z.literal(1),
  typed: GroundTyped,
  pieces: z.array(
    z.strictObject({
      id: z.string().max(80),
      at: z.strictObject({ xM: Metres, yM: Metres }),
      facingDeg: z.number().min(0).lt(360).nullable(),
    }),
  ),
});
export type StandingOnPaper = z.infer<typeof StandingOnPaper>;

/** The pieces that do not stand as planned, as they are kept. */
export function writeStanding(
  typed: GroundTyped,
  edits: readonly LayoutEdit[],
  items: readonly Item[],
): StandingOnPaper {
  const moved = new Set(edits.flatMap(edit => ('item' in edit ? [edit.item] : [])));
  return {
    format: 'roan-standing',
    version: 1,
    typed,
    pieces: items
      .filter(({ id }) => moved.has(id))
      .map(item => ({
        id: item.id,
        at: item.at,
        facingDeg: 'headingRad' in item ? facingFromHeading(item.headingRad) : null,
      })),
  };
}

/** The edits that bring a planned layout to where it stands. */
export function standingEdits({ pieces }: StandingOnPaper): LayoutEdit[] {
  return pieces.flatMap(({ id, at, facingDeg }): LayoutEdit[] => [
    { kind: 'move-item', item: id, to: at },
    ...(facingDeg === null ? [] : [{ kind: 'turn-item' as const, item: id, headingRad: headingFromFacing(facingDeg) }]),
  ]);
}
