import { profileStride, type HorseProfile } from '../horse/strideProfile';
import type { StrideEntryKey } from '../horse/strideEntry';
import { type TestedStride } from '../stride/readDistance';
import type { Setting } from '../stride/school';
import type { LayoutHorse, PlannedLeg } from './layout';
import type { TrackGait } from './trackGait';

/** A wide line keeps a stride of this length straight when the layout names no horse. */
const USUAL_STRIDE_M = 3.66;

/** At walk, trot and the gaited gaits, what is ridden over is reckoned as poles; a trot approach makes a grid. */
export function settingAt(gait: TrackGait, leg: Pick<PlannedLeg, 'setting' | 'approach'>): Setting {
  if (gait !== 'canter' && gait !== 'course-canter') return 'poles';
  if (leg.setting === 'poles') return 'poles';
  return leg.approach === 'trot' ? 'grid' : leg.setting;
}

/**
 * The stride that a distance is reckoned with: over poles the gait's own pole entry (steps at walk and trot), in a grid
 * and on a course the course canter. A gaited gait has two steps a stride. Null where nobody knows it.
 */
export function layoutStride(horse: LayoutHorse, gait: TrackGait, setting: Setting): TestedStride | null {
  if (setting !== 'poles') return entryOf(horse, 'course-canter');
  if (gait === 'walk' || gait === 'trot') return entryOf(horse, `${gait}-poles`);
  if (gait === 'canter' || gait === 'course-canter') return entryOf(horse, 'canter-poles');
  const stride = entryOf(horse, gait);
  return stride && { ...stride, shortM: stride.shortM / 2, normalM: stride.normalM / 2, longM: stride.longM / 2 };
}

/** The stride of a gait on the flat, in the lane; null for a gaited horse's own gait that nobody has entered. */
export function laneStride(horse: LayoutHorse, gait: TrackGait): TestedStride | null {
  return entryOf(horse, gait);
}

function entryOf(horse: LayoutHorse, entry: StrideEntryKey): TestedStride | null {
  const own = horse.strides[entry];
  if (own) return own;
  const profile: HorseProfile = { heightM: horse.heightM, type: horse.type, strides: {} };
  return profileStride(profile, entry);
}

export function longestStrideM(horses: readonly LayoutHorse[], gait: TrackGait): number {
  const normals = horses.flatMap(horse => {
    const stride = entryOf(horse, gait);
    return stride ? [stride.normalM] : [];
  });
  return normals.length === 0 ? USUAL_STRIDE_M : Math.max(...normals);
}
