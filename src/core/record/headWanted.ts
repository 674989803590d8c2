import { isGaitedGait } from '../horse/strideEntry';
import type { TrackGait } from '../layout/trackGait';

/** How high the head is wanted at a gaited gait (common practice, no source); null at the gaits of every horse. */
export function headWanted(gait: TrackGait): string | null {
  if (!isGaitedGait(gait)) return null;
  if (gait === 'flat-walk' || gait === 'running-walk') return 'about as high as the rider’s waist';
  return gait === 'fox-trot' ? 'about as high as the saddle' : 'higher than the saddle';
}
