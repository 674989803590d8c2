import type { Layout } from '../layout/layout';
import type { ReckonedTrack } from '../layout/reckonedTrack';
import { againstSlope } from './againstSlope';
import { besideTheLine } from './besideTheLine';
import { between } from './between';
import { cannotBeRidden } from './cannotBeRidden';
import type { Caution, CautionLevel } from './caution';
import { USUAL_LIMITS, type CautionLimits } from './cautionLimits';
import type { CautionContext, CautionRule } from './cautionRule';
import { combinationLength } from './combinationLength';
import { falseGroundLine } from './falseGroundLine';
import { groundLineFar } from './groundLineFar';
import { inTheLanding } from './inTheLanding';
import { inTheLine } from './inTheLine';
import { kitShort } from './kitShort';
import { landingPoleNear } from './landingPoleNear';
import { landingShort } from './landingShort';
import { legYieldSteep } from './legYieldSteep';
import { noNaturalTrack } from './noNaturalTrack';
import { notStraight } from './notStraight';
import { offArena } from './offArena';
import { oneWayFromBehind } from './oneWayFromBehind';
import { overlap } from './overlap';
import { placingPole } from './placingPole';
import { polesAtGait } from './polesAtGait';
import { runUpShort } from './runUpShort';
import { smallCircleLong } from './smallCircleLong';
import { thingNear } from './thingNear';
import { tightTurn } from './tightTurn';
import { tooFar } from './tooFar';
import { tooManyEfforts } from './tooManyEfforts';
import { tooTight } from './tooTight';
import { unevenRow } from './unevenRow';
import { wallNear } from './wallNear';

/** All rules, in the order they are told within a level. */
export const CAUTION_RULES: readonly CautionRule[] = [
  offArena,
  oneWayFromBehind,
  falseGroundLine,
  cannotBeRidden,
  inTheLine,
  inTheLanding,
  landingPoleNear,
  besideTheLine,
  thingNear,
  groundLineFar,
  placingPole,
  tooTight,
  tooFar,
  between,
  unevenRow,
  polesAtGait,
  runUpShort,
  landingShort,
  wallNear,
  notStraight,
  tightTurn,
  againstSlope,
  overlap,
  noNaturalTrack,
  combinationLength,
  tooManyEfforts,
  smallCircleLong,
  legYieldSteep,
  kitShort,
];

const RANK: Record<CautionLevel, number> = { stop: 0, warn: 1, note: 2 };

/** What to look at in a reckoned layout before anybody rides it, the worst first. */
export function layoutCautions(
  layout: Layout,
  tracks: readonly ReckonedTrack[],
  limits: CautionLimits = USUAL_LIMITS,
): Caution[] {
  const context: CautionContext = { layout, tracks, limits };
  return CAUTION_RULES.flatMap(rule => rule.find(context)).sort((a, b) => RANK[a.level] - RANK[b.level]);
}
