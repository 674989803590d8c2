import { PlanOnPaper, readPlan, writePlan } from '@/files/planDocument';
import { z } from 'zod';
import type { Edited } from './autosaver';

const Draft = z.object({ baseRevision: z.number().int(), name: z.string(), plan: PlanOnPaper });

const key = (layoutId: string) => `roan-draft-${layoutId}`;

/** Keeps on this device what the server has not taken yet, in case the tab is closed or the server is gone. */
export function keepDraft(layoutId: string, baseRevision: number, { name, plan }: Edited): void {
  try {
    localStorage.setItem(key(layoutId), JSON.stringify({ baseRevision, name, plan: writePlan(plan) }));
  } catch {
    // A full or forbidden store only takes the safety net away: the page still saves to the server.
  }
}

export function dropDraft(layoutId: string): void {
  localStorage.removeItem(key(layoutId));
}

/** What this device kept of a layout, if it can still be read. */
export function readDraft(layoutId: string): (Edited & { baseRevision: number }) | null {
  try {
    const draft = Draft.parse(JSON.parse(localStorage.getItem(key(layoutId)) ?? 'null'));
    const read = readPlan(draft.plan);
    return read.ok ? { baseRevision: draft.baseRevision, name: draft.name, plan: read.plan } : null;
  } catch {
    return null;
  }
}
