import type { ReckonedTrack } from '../layout/reckonedTrack';
import type { ResolvedPlan } from '../plan/resolvePlan';
import type { Caution } from './caution';
import { USUAL_LIMITS, type CautionLimits } from './cautionLimits';
import { layoutCautions } from './layoutCautions';
import { stageCountCautions } from './stageCounts';

/** What to look at in a plan before anybody rides it: in its layout, and in what the stages of its exercises ask. The worst first. */
export function planCautions(
  resolved: Pick<ResolvedPlan, 'layout' | 'exercises'>,
  tracks: readonly ReckonedTrack[],
  limits: CautionLimits = USUAL_LIMITS,
): Caution[] {
  const found = layoutCautions(resolved.layout, tracks, limits);
  const isNote = ({ level }: Caution) => level === 'note';
  return [...found.filter(one => !isNote(one)), ...stageCountCautions(resolved, tracks), ...found.filter(isNote)];
}
