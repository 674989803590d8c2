import { type FigureTrack } from '@/core';
import type { Pointed } from '../../_state/selection';
import type { PlanControls } from '../../_state/usePlanEditor';

export type SessionReadingProps = {
  controls: PlanControls;
  track: FigureTrack;
  onPoint: (pointed: Pointed) => void;
};
