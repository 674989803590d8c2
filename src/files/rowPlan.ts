import { z } from 'zod';

/** How a plan was stored when a layout was one row of poles: read so that nothing that was planned is lost. */

const Raised = z.strictObject({ leftM: z.number().min(0).max(0.5), rightM: z.number().min(0).max(0.5) });

const RowOnPaper = z.strictObject({
  kind: z.literal('pole-row'),
  id: z.string().min(1).max(60),
  gait: z.enum(['walk', 'trot', 'canter']),
  at: z.strictObject({ xM: z.number().min(-200).max(400), yM: z.number().min(-200).max(400) }),
  facingDeg: z.number().min(0).lt(360),
  poleLengthM: z.number().min(1).max(5),
  raised: z.array(Raised).min(1).max(12),
  spacing: z.discriminatedUnion('by', [
    z.strictObject({ by: z.literal('horse') }),
    z.strictObject({ by: z.literal('hand'), spacingM: z.number().min(0.4).max(5) }),
  ]),
  horseId: z.string().min(1).max(60),
});
export type RowOnPaper = z.infer<typeof RowOnPaper>;

export const RowPlanOnPaper = z.strictObject({
  format: z.literal('roan-plan'),
  version: z.literal(1),
  rows: z.array(RowOnPaper).length(1),
});

/** What was kept beside a ridden row: the spacing it had on that day. */
export const FrozenRows = z.object({
  rows: z.record(z.string(), z.object({ spacingM: z.number().gt(0), horseName: z.string() })),
});
