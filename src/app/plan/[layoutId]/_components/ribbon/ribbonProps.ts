import type { ItemTrack, LayoutHorse, ReckonedItemTrack } from '@/core';
import type { LegPlace } from '../../_state/selection';
import type { PlanControls } from '../../_state/usePlanEditor';

export type RibbonProps = {
  controls: PlanControls;
  track: ItemTrack;
  reckoned: ReckonedItemTrack;
  /** The horses that ride, each a row. */
  horses: readonly LayoutHorse[];
  horse: LayoutHorse | null;
  onHorse: (id: string) => void;
  marked: { items: readonly string[]; leg: LegPlace | null };
  selectedLeg: LegPlace | null;
  onPoint: (item: string | null) => void;
  onPointLeg: (leg: LegPlace | null) => void;
  onSelectLeg: (leg: LegPlace) => void;
  walkedM: number | null;
};
