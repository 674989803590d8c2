import {
  applyEdits,
  brokenBy,
  offerMend,
  planChanges,
  reckonLayout,
  type Caution,
  type CautionLimits,
  type Layout,
  type LayoutEdit,
  type PlanChange,
  type ReckonedTrack,
} from '@/core';
import type { Shown } from './shown';

/** What a change that is offered would do, of what was shown. */
export type OfferedChange = { of: Shown; after: Layout; tracks: ReckonedTrack[] };

/** A mend before it is made: what it would do, on the sand and in words. It holds for what was shown, and no longer. */
export type OfferedMend = OfferedChange & {
  caution: Caution;
  edits: LayoutEdit[];
  changes: PlanChange[];
  /** What would come apart for it. */
  apart: string[];
};

/** What mends a caution of what is shown; null where Roan knows nothing that does. */
export function offeredMend(of: Shown, caution: Caution, limits: CautionLimits): OfferedMend | null {
  const { plan, resolved } = of;
  const edits = offerMend(resolved.layout, caution, limits);
  if (!edits) return null;
  const after = applyEdits(resolved.layout, edits);
  return {
    ...{ of, caution, edits, after, tracks: reckonLayout(after) },
    changes: planChanges(resolved.layout, after),
    apart: brokenBy(plan, resolved, edits),
  };
}
