/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { HORSE_LEVELS, type HorseLevel } from './horseLevel';
export { HORSE_TYPES, MAX_HORSE_HEIGHT_M, MIN_HORSE_HEIGHT_M, type HorseType } from './horse';
export { GAITED_GAITS, isGaitedGait, STRIDE_ENTRY_KEYS, type StrideEntryKey, type StrideRange } from './strideEntry';
export { defaultStride } from './defaultStrides';
export {
  profileStride,
  strideCertainty,
  type HorseProfile,
  type ProfileStride,
  type StrideSource,
} from './strideProfile';
export { layoutHorse } from './layoutHorse';
export { USUAL_STRIDE } from './usualStride';
export { distanceCard, type DistanceCard } from './distanceCard';
