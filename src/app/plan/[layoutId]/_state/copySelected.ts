import { newId } from '@/components/newId';
import { copyThings } from '@/core';
import type { Selection } from './selection';
import type { PlanControls } from './usePlanEditor';

/** A copy lies so far beside what it was made of. */
const BESIDE = { xM: 1, yM: 1 };

type Copied = { controls: PlanControls; ids: readonly string[]; onSelect: (selection: Selection) => void };

/** Copies what is selected and selects the copies. */
export function copySelected({ controls, ids, onSelect }: Copied): void {
  const copied = copyThings(controls.present.plan, ids, BESIDE, newId);
  controls.change(() => copied.plan);
  onSelect({ ids: copied.ids, leg: null });
}
