import {
  facingFromHeading,
  headingFromFacing,
  MAX_POLE_LENGTH_M,
  MAX_RAISED_M,
  MAX_ROW_POLES,
  MAX_SPACING_M,
  MIN_POLE_LENGTH_M,
  MIN_ROW_POLES,
  MIN_SPACING_M,
  POLE_GAITS,
  type PoleRow,
} from '@/core';
import { z } from 'zod';

/** A row with the horse it is set for. */
export type PlannedRow = PoleRow & { horseId: string };

/** What a layout holds while it is being edited. */
export type PlanDocument = { rows: PlannedRow[] };

const Raised = z.strictObject({
  leftM: z.number().min(0).max(MAX_RAISED_M),
  rightM: z.number().min(0).max(MAX_RAISED_M),
});

/** On paper a direction is `facingDeg`, clockwise from "towards C". */
const RowOnPaper = z.strictObject({
  kind: z.literal('pole-row'),
  id: z.string().min(1).max(60),
  gait: z.enum(POLE_GAITS),
  at: z.strictObject({ xM: z.number().min(-200).max(400), yM: z.number().min(-200).max(400) }),
  facingDeg: z.number().min(0).lt(360),
  poleLengthM: z.number().min(MIN_POLE_LENGTH_M).max(MAX_POLE_LENGTH_M),
  raised: z.array(Raised).min(MIN_ROW_POLES).max(MAX_ROW_POLES),
  spacing: z.discriminatedUnion('by', [
    z.strictObject({ by: z.literal('horse') }),
    z.strictObject({ by: z.literal('hand'), spacingM: z.number().min(MIN_SPACING_M).max(MAX_SPACING_M) }),
  ]),
  horseId: z.string().min(1).max(60),
});

/** The plan as it is stored and sent; a layout holds one row for now. */
export const PlanOnPaper = z.strictObject({
  format: z.literal('roan-plan'),
  version: z.literal(1),
  rows: z.array(RowOnPaper).length(1),
});
export type PlanOnPaper = z.infer<typeof PlanOnPaper>;

/**
 * Reads a stored or sent plan.
 * @returns the plan, or a sentence naming the first value that is wrong
 */
export function readPlan(json: unknown): { ok: true; plan: PlanDocument } | { ok: false; reason: string } {
  const parsed = PlanOnPaper.safeParse(json);
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    return { ok: false, reason: `The plan has a fault at ${issue?.path.join('.') || 'its start'}: ${issue?.message}.` };
  }
  const rows = parsed.data.rows.map(({ at, facingDeg, ...row }) => ({
    ...row,
    centre: at,
    headingRad: headingFromFacing(facingDeg),
  }));
  return { ok: true, plan: { rows } };
}

/** Writes a plan as it is stored and sent. */
export function writePlan(plan: PlanDocument): PlanOnPaper {
  return {
    format: 'roan-plan',
    version: 1,
    rows: plan.rows.map(({ centre, headingRad, ...row }) => ({
      ...row,
      at: centre,
      facingDeg: facingFromHeading(headingRad),
    })),
  };
}
