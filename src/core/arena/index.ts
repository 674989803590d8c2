/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export {
  arenaFault,
  ARENA_THING_KINDS,
  MAX_ARENA_SIDE_M,
  MIN_ARENA_SIDE_M,
  type Arena,
  type ArenaLetters,
  type ArenaThing,
  type ArenaThingKind,
  type Wall,
} from './arena';
export { sideMarks } from './sideMarks';
export { arenaLetters } from './arenaLetters';
export { arenaCorners, arenaWalls } from './arenaWalls';
export { thingWords } from './thingWords';
export { keptOutline, MOST_CORNERS, outlineAreaM2, outlineFault, walkedOutline, type WalkedWall } from './outline';
export { arenaLines } from './arenaLines';
export { wallName } from './wallName';
export { placeWords } from './placeWords';
