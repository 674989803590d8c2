import type { Layout } from '../layout/layout';
import { applyEdits, type LayoutEdit } from '../layout/layoutEdit';
import { reckonLayout } from '../layout/reckonLayout';
import type { Caution } from './caution';
import { USUAL_LIMITS, type CautionLimits } from './cautionLimits';
import { CAUTION_RULES, layoutCautions } from './layoutCautions';

/** A search over places ends somewhere. */
const MOST_TRIED = 600;

/**
 * Edits that mend a caution: tried on the layout, and found to silence it without raising another stop or warning.
 * Reckoned when somebody asks, since it reckons the layout again for every try.
 * @returns null where Roan knows no such mend
 */
export function offerMend(layout: Layout, caution: Caution, limits: CautionLimits = USUAL_LIMITS): LayoutEdit[] | null {
  const rule = CAUTION_RULES.find(({ code }) => code === caution.code);
  if (!rule) return null;
  const tracks = reckonLayout(layout);
  const context = { layout, tracks, limits };
  const before = new Set(layoutCautions(layout, tracks, limits).map(keyOf));
  let tried = 0;
  for (const edits of rule.mends(context, caution)) {
    if (edits.length > 0 && mends(applyEdits(layout, edits), caution, before, limits)) return edits;
    tried += 1;
    if (tried >= MOST_TRIED) return null;
  }
  return null;
}

/** What a caution is about, whatever the numbers in its words. */
function keyOf({ code, items, place }: Caution): string {
  return JSON.stringify([code, items, place]);
}

function mends(changed: Layout, caution: Caution, before: ReadonlySet<string>, limits: CautionLimits): boolean {
  const after = layoutCautions(changed, reckonLayout(changed), limits);
  return after.every(other => {
    if (keyOf(other) === keyOf(caution)) return false;
    return other.level === 'note' || before.has(keyOf(other));
  });
}
