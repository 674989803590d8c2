import { z } from 'zod';
import { namedPlan, PlanOnPaper } from './planDocument';
import { SaveId } from './saveId';

const Name = z.string().trim().min(1, 'Give the layout a name.').max(60, 'A name has at most 60 letters.');

/** A page that was opened before an update sends plans as they were then. */
const PlanSent = z.preprocess(namedPlan, PlanOnPaper);

/** What the plan page sends to save a layout that it edited from `baseRevision`. */
export const LayoutSave = z.strictObject({
  baseRevision: z.number().int().min(1),
  name: Name,
  plan: PlanSent,
  saveId: SaveId.optional(),
});

/** What it sends to keep a layout as a new one. */
export const LayoutCopy = z.strictObject({
  name: Name,
  arenaId: z.string().min(1).max(60),
  plan: PlanSent,
  saveId: SaveId.optional(),
});

export type LayoutSaveAnswer = { kind: 'saved'; revision: number } | { kind: 'stale'; theirRevision: number };
