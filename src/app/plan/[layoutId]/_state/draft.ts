import type { Plan } from '@/core';
import type { Edited } from './autosaver';

const key = (layoutId: string) => `roan-draft-${layoutId}`;

/** Keeps on this device what the server has not taken yet, in case the tab is closed or the server is gone. */
export function keepDraft(layoutId: string, baseRevision: number, { name, plan }: Edited): void {
  try {
    localStorage.setItem(key(layoutId), JSON.stringify({ draft: 3, baseRevision, name, plan }));
  } catch {
    // A full or forbidden store only takes the safety net away: the page still saves to the server.
  }
}

export function dropDraft(layoutId: string): void {
  localStorage.removeItem(key(layoutId));
}

/**
 * What this device kept of a layout, if it can still be read. What reads plans is heavy and seldom needed, so it is only
 * loaded where there is a draft.
 */
export async function readDraft(
  layoutId: string,
  arena: Parameters<typeof import('@/files/planDocument').readPlan>[1],
): Promise<(Edited & { baseRevision: number }) | null> {
  const kept = localStorage.getItem(key(layoutId));
  if (kept === null) return null;
  try {
    const { readPlan, writePlan } = await import('@/files/planDocument');
    const { draft, baseRevision, name, plan } = JSON.parse(kept) as Record<string, unknown>;
    if ((draft !== 3 && draft !== 2) || typeof baseRevision !== 'number' || typeof name !== 'string') return null;
    // Before names were kept beside ids, an id was the name.
    const version = draft === 2 ? 2 : undefined;
    const read = readPlan({ ...writePlan(plan as Plan), ...(version && { version }) }, arena);
    return read.ok ? { baseRevision, name, plan: read.plan } : null;
  } catch {
    return null;
  }
}
