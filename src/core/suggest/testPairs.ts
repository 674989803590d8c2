import { USUAL_HORSE } from '../plan/resolvePlan';
import { NO_EARLIER_WORK, USUAL_WORK_LIMITS } from '../work/workCounts';
import { USUAL_GATE } from '../lesson/stageGate';
import type { SuggestWish } from './candidate';
import type { PairSeen } from './pairSeen';
import { purposesOf } from './ownLayouts';
import type { ExerciseFacts, RiddenStep, SeenPass, StageFacts, WorkKind } from './step';

/** For tests: passes on each rein, so many of them clean; the clean ones come last. */
export function testPasses(left: [of: number, clean: number], right: [of: number, clean: number]): SeenPass[] {
  const on = (rein: 'left' | 'right', [of, clean]: [number, number]) =>
    Array.from({ length: of }, (_, index) => ({ rein, isClean: index >= of - clean }));
  return [...on('left', left), ...on('right', right)];
}

/** For tests: a stage of an exercise ridden on a day. */
export function testStep(
  exercise: string,
  stage: number,
  day: number,
  passes: SeenPass[],
  changes: Partial<RiddenStep> = {},
): RiddenStep {
  const kind: WorkKind = changes.kind ?? 'poles';
  return { exercise, stage, day, passes, kind, gait: 'trot', purposes: purposesOf(exercise, kind), ...changes };
}

/** For tests: a pair of a usual horse that has done nothing. */
export function testPair(changes: Partial<PairSeen> = {}): PairSeen {
  return {
    ...{ id: 'p', name: 'Wren', horse: USUAL_HORSE, ridden: [], goals: [] },
    ...{ earlier: NO_EARLIER_WORK, jumpingDays: [], planned: [], ...changes },
  };
}

/** For tests: a wish for a day, an hour of the usual rules. */
export function testWish(pairs: PairSeen[], changes: Partial<SuggestWish> = {}): SuggestWish {
  return { pairs, day: 1000, minutes: 40, limits: USUAL_WORK_LIMITS, rule: USUAL_GATE, refused: [], ...changes };
}

const STAGE: StageFacts = {
  ...{ name: 'a stage', kind: 'poles', gait: 'trot', hasReins: true, eachRein: 3 },
  rideTime: { rideMin: 0.1, hasReins: true, together: false },
  work: { stops: ['none', 'none'], legCircles: [{ left: 0, right: 0 }], figureCircles: { left: 0, right: 0 } },
};

/** For tests: an exercise of so many stages that are alike. */
export function testExercise(
  exercise: string,
  stages: number,
  changes: Partial<ExerciseFacts> = {},
  stage: Partial<StageFacts> = {},
): ExerciseFacts {
  return {
    ...{ exercise, title: exercise, purposes: ['rhythm'], level: 'green' },
    stages: Array.from({ length: stages }, (_, index) => ({ ...STAGE, ...stage, name: `stage ${index + 1}` })),
    ...changes,
  };
}

/** For tests: a stage over so many fences of 0.8 m. */
export function testFences(fences: number): Partial<StageFacts> {
  const none = { left: 0, right: 0 };
  return {
    kind: 'fences',
    work: {
      stops: Array.from({ length: fences }, () => 'low effort' as const),
      legCircles: Array.from({ length: fences - 1 }, () => none),
      figureCircles: none,
    },
  };
}
