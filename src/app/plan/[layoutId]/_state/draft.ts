import * as drafts from '@/components/sync/drafts';
import type { Plan } from '@/core';
import type { Edited } from './autosaver';

const nameOf = (layoutId: string) => `layout ${layoutId}`;
/** Where a Roan before this one kept it, for all tabs together. */
const olderKey = (layoutId: string) => `roan-draft-${layoutId}`;

/** Keeps on this device what the server has not taken yet, for this tab; false where the device does not take it. */
export function keepDraft(layoutId: string, baseRevision: number, { name, plan }: Edited): boolean {
  return drafts.keepDraft(nameOf(layoutId), { draft: 3, baseRevision, name, plan });
}

export function dropDraft(layoutId: string): void {
  drafts.dropDraft(nameOf(layoutId));
  try {
    localStorage.removeItem(olderKey(layoutId));
  } catch {
    // A store that is forbidden has nothing to forget.
  }
}

/**
 * What this device kept of a layout and no open tab is editing, if it can still be read. What reads plans is heavy and seldom needed, so
 * it is only loaded where there is a draft.
 */
export async function readDraft(
  layoutId: string,
  arena: Parameters<typeof import('@/files/planDocument').readPlan>[1],
): Promise<(Edited & { baseRevision: number }) | null> {
  try {
    const left = await drafts.draftLeft(nameOf(layoutId));
    const kept: unknown = left?.value ?? JSON.parse(localStorage.getItem(olderKey(layoutId)) ?? 'null');
    if (typeof kept !== 'object' || kept === null) return null;
    const [{ readPlan }, { writePlan }] = await Promise.all([
      import('@/files/planDocument'),
      import('@/files/planPaper'),
    ]);
    const { draft, baseRevision, name, plan } = kept as Record<string, unknown>;
    if ((draft !== 3 && draft !== 2) || typeof baseRevision !== 'number' || typeof name !== 'string') return null;
    // Before names were kept beside ids, an id was the name.
    const version = draft === 2 ? 2 : undefined;
    const read = readPlan({ ...writePlan(plan as Plan), ...(version && { version }) }, arena);
    if (!read.ok) return null;
    if (left && left.tab !== drafts.tabId()) drafts.dropDraft(nameOf(layoutId), left.tab);
    return { baseRevision, name, plan: read.plan };
  } catch {
    return null;
  }
}
