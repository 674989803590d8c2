import type { Recipe } from './exercise';
import { bendingLine } from './recipes/bendingLine';
import { changeRein, corners, lengthening } from './recipes/changesOfRein';
import { circle, largeAndSmallCircle, spiral, volte } from './recipes/circles';
import { combination } from './recipes/combination';
import { fanOfPoles } from './recipes/fanOfPoles';
import { bouncesOnBend, fencesOnBend } from './recipes/fencesOnBend';
import { gaitedCanter } from './recipes/gaitedCanter';
import { gaitedGaits } from './recipes/gaitedGaits';
import { gaitedPoles } from './recipes/gaitedPoles';
import { grid } from './recipes/grid';
import { figureOfEight, halfCircleReturn, roundCones, serpentine, shallowLoop } from './recipes/loops';
import { cornerFence, narrowFence } from './recipes/narrowFence';
import { poleRows } from './recipes/poleRowRecipe';
import { polesOnCircle } from './recipes/polesOnCircle';
import { canterPolesLine, relatedLine } from './recipes/relatedLine';
import { counterBend, halfPass, legYield, railTurnback, shoulderIn } from './recipes/sidewaysWork';
import { riderWork } from './recipes/riderWork';
import { singleCanterPole } from './recipes/singleCanterPole';
import { singleFence } from './recipes/singleFence';
import { flexions, haltAndReinBack, sidePass, turnOnForehand, turnOnHaunches } from './recipes/stations';
import { strideTestLane } from './recipes/strideTestLane';
import { freeWalk, haltAndPat, looseRein } from './recipes/rests';
import { departFromYield, departOnEight, transitionsLadder } from './recipes/transitions';
import { twoFencesOnCircle, twoPolesOnCircle } from './recipes/twoOnCircle';

/** Every exercise, poles first, then fences, then the flat, what gaited horses have of their own, and what the rider practises. */
export const SHELF: readonly Recipe[] = [
  ...poleRows,
  singleCanterPole,
  canterPolesLine,
  polesOnCircle,
  fanOfPoles,
  twoPolesOnCircle,
  singleFence,
  grid,
  relatedLine,
  bendingLine,
  combination,
  twoFencesOnCircle,
  fencesOnBend,
  bouncesOnBend,
  narrowFence,
  cornerFence,
  departOnEight,
  departFromYield,
  transitionsLadder,
  strideTestLane,
  circle,
  largeAndSmallCircle,
  volte,
  spiral,
  serpentine,
  roundCones,
  figureOfEight,
  halfCircleReturn,
  changeRein,
  corners,
  lengthening,
  legYield,
  halfPass,
  shoulderIn,
  counterBend,
  shallowLoop,
  railTurnback,
  haltAndReinBack,
  turnOnForehand,
  turnOnHaunches,
  sidePass,
  flexions,
  freeWalk,
  looseRein,
  haltAndPat,
  gaitedPoles,
  gaitedGaits,
  gaitedCanter,
  ...riderWork,
];

/** The exercises that only gaited horses are ridden in. */
const FOR_GAITED: readonly Recipe[] = [gaitedPoles, gaitedGaits, gaitedCanter];

/** Whether the rider is what is worked on. */
export const isForRider = ({ guidance }: Pick<Recipe, 'guidance'>): boolean => guidance.riderMarks !== undefined;

export const isForGaited = ({ kind }: Pick<Recipe, 'kind'>): boolean => FOR_GAITED.some(one => one.kind === kind);

/** The recipe of a kind, or null where the shelf has none. */
export function findRecipe(kind: string): Recipe | null {
  return SHELF.find(recipe => recipe.kind === kind) ?? null;
}
