/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { teachingMoves, type Move, type Moves } from './teachingMoves';
