/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export type { Camera } from './camera';
export { eyePicture, type EyePicture, type Scene, type SceneWord } from './picture';
export { TONES, type Tone } from './solid';
export { above } from './spot';
export { EYE_OVER_WITHERS_M, nextStop, riderCamera, USUAL_HEIGHT_M, type Look, type RiddenTrack } from './riderEye';
export { lookFacts, type LookFacts } from './lookFacts';
export { lookWords } from './lookWords';
export { sightMarkAt } from './sightMark';
