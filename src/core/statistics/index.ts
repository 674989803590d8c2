/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { seededNormal, seededRandom } from './seededRandom';
export { wilsonInterval, type Share } from './proportions';
export { holm } from './holm';
