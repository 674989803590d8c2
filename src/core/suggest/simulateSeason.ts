import { USUAL_GATE } from '../lesson/stageGate';
import { seededNormal, seededRandom } from '../statistics/seededRandom';
import type { LayoutHorse } from '../layout/layout';
import type { HorseLevel } from '../horse/horseLevel';
import { USUAL_HORSE } from '../plan/resolvePlan';
import type { Goal } from '../goals/goal';
import { REINS, type Rein } from '../track/rein';
import { dayShare, dayWarnings, jumps, NO_EARLIER_WORK, USUAL_WORK_LIMITS } from '../work/workCounts';
import { expectedWork } from '../work/expectedWork';
import { candidateOf, candidateWork, seriesOf, type Candidate, type SuggestWish } from './candidate';
import { standingOf } from './ladder';
import type { PairSeen } from './pairSeen';
import { rankSteps } from './rankSteps';
import type { ExerciseFacts, RiddenStep, SeenPass } from './step';

/** What a season came to: averages and shares over its pairs. */
export type SeasonOutcome = {
  /** How much worse the worse rein truly is at the end, of what it was at the beginning; 1 is as before. */
  reinLeft: number;
  goalsReached: number;
  /** Days over a limit of the day or the week, a pair. */
  overLimit: number;
  /** How much more often the pairs are clean at the end at what they were asked to learn. */
  learnt: number;
  pairs: number;
};

const PAIRS = 4;
const WEEKS = 24;
/** Lessons of a week: Tuesday, Thursday, Saturday. */
const LESSON_DAYS = [1, 3, 5];
const FIRST_DAY = 20_000;
/** The stage that each pair is to earn. */
const GOAL_STAGE = 1;
/** A fixed programme goes round so many exercises, and up a stage every so many times. */
const PROGRAMME = 6;
const UP_AFTER = 3;

/** A pair as it truly is: nothing of it is known to the rule but what it rides. */
type Truth = {
  skill: number;
  own: Map<string, number>;
  worse: Rein;
  deficit: number;
  firstDeficit: number;
  fatigue: number;
  jumped: number[];
  overLimit: number;
};

const logistic = (x: number) => 1 / (1 + Math.exp(-x));

/**
 * Rides a season of simulated pairs, by the suggestions or by a fixed programme. Pairs get better at what they ride, most where it
 * goes well about half the time; one rein is worse, and is evened by what supples and straightens; too much work tires them.
 * The same seed has the same pairs.
 */
export function simulateSeason(
  catalogue: readonly ExerciseFacts[],
  seed: number,
  by: 'suggestions' | 'programme',
): SeasonOutcome {
  const random = seededRandom(seed);
  const outcomes = Array.from({ length: PAIRS }, (_, index) => {
    const level: HorseLevel = index % 2 === 0 ? 'novice' : 'green';
    const horse: LayoutHorse = { ...USUAL_HORSE, id: `h${index}`, level };
    const firstDeficit = 0.6 + 0.5 * random();
    const truth: Truth = {
      ...{ skill: 0.3 * seededNormal(random), own: new Map(), worse: random() < 0.5 ? 'left' : 'right', jumped: [] },
      ...{ deficit: firstDeficit, firstDeficit, fatigue: 0, overLimit: 0 },
    };
    const able = catalogue.filter(facts => facts.level === 'green' || level === 'novice');
    const goalOf = able.filter(({ stages }) => stages.length > GOAL_STAGE);
    const goal = goalOf[Math.floor(random() * goalOf.length)]!;
    return ridePair({ catalogue, able, horse, truth, goal, by, random });
  });
  const mean = (of: (one: PairOutcome) => number) => outcomes.reduce((sum, one) => sum + of(one), 0) / PAIRS;
  return {
    reinLeft: mean(one => one.reinLeft),
    goalsReached: mean(one => (one.goalReached ? 1 : 0)),
    overLimit: mean(one => one.overLimit),
    learnt: mean(one => one.learnt),
    pairs: PAIRS,
  };
}

type PairOutcome = { reinLeft: number; goalReached: boolean; overLimit: number; learnt: number };

type PairSeason = {
  catalogue: readonly ExerciseFacts[];
  able: readonly ExerciseFacts[];
  horse: LayoutHorse;
  truth: Truth;
  goal: ExerciseFacts;
  by: 'suggestions' | 'programme';
  random: () => number;
};

function ridePair({ catalogue, able, horse, truth, goal, by, random }: PairSeason): PairOutcome {
  const programme = Array.from({ length: PROGRAMME }, () => able[Math.floor(random() * able.length)]!);
  const ridden: RiddenStep[] = [];
  const goals: Goal[] = [
    {
      ...{ id: 'g', pairId: horse.id, words: goal.title, purposes: goal.purposes, byDay: FIRST_DAY + 7 * WEEKS },
      ...{ measure: { kind: 'stage', exercise: goal.exercise, stage: GOAL_STAGE }, sinceDay: FIRST_DAY },
      reachedDay: null,
    },
  ];
  const atFirst = chanceAt(truth, goal, GOAL_STAGE);
  let lesson = 0;
  for (let week = 0; week < WEEKS; week += 1)
    for (const weekday of LESSON_DAYS) {
      const day = FIRST_DAY + 7 * week + weekday;
      const wish = wishOn(day, horse, ridden, goals, truth.jumped);
      // The first lessons are the programme’s either way: nothing is suggested from too little.
      const chosen =
        (by === 'suggestions' && lesson >= 2 ? rankSteps(catalogue, wish).ranked[0]?.candidate : null) ??
        fixedCandidate(programme[lesson % PROGRAMME]!, Math.floor(lesson / PROGRAMME / UP_AFTER), wish);
      ride(chosen, day, truth, ridden, random);
      lesson += 1;
    }
  const standing = standingOf(goal, ridden, USUAL_GATE);
  const goalReached =
    ridden.some(step => step.exercise === goal.exercise && step.stage >= GOAL_STAGE && wasEarned(goal, step)) ||
    (standing?.at === 'earned' && standing.stage >= GOAL_STAGE);
  return {
    ...{ goalReached, overLimit: truth.overLimit, reinLeft: truth.deficit / truth.firstDeficit },
    learnt: chanceAt(truth, goal, GOAL_STAGE) - atFirst,
  };
}

const wasEarned = (facts: ExerciseFacts, step: RiddenStep) => standingOf(facts, [step], USUAL_GATE)?.at === 'earned';

function wishOn(
  day: number,
  horse: LayoutHorse,
  ridden: readonly RiddenStep[],
  goals: readonly Goal[],
  jumpingDays: readonly number[],
): SuggestWish {
  const pair: PairSeen = {
    ...{ id: horse.id, name: horse.name, horse, ridden, goals, planned: [] },
    earlier: { ...NO_EARLIER_WORK, otherJumpingDays: jumpingDays.filter(one => day - one < 7).length },
    jumpingDays: jumpingDays.filter(one => day - one < 7),
  };
  return { pairs: [pair], day, minutes: 45, limits: USUAL_WORK_LIMITS, rule: USUAL_GATE, refused: [] };
}

/** An exercise of the programme at the stage that the calendar has come to, whatever was earned. */
function fixedCandidate(facts: ExerciseFacts, up: number, wish: SuggestWish): Candidate {
  const stage = Math.min(up, facts.stages.length - 1);
  const own = candidateOf(facts, wish);
  return {
    ...own,
    next: [{ stage, why: 'new', standing: null }],
    series: [{ stage, eachRein: facts.stages[stage]!.eachRein }],
  };
}

function chanceAt({ skill, own, deficit }: Truth, { exercise }: ExerciseFacts, stage: number): number {
  return logistic(1 + skill + (own.get(exercise) ?? 0) - 0.9 * stage - deficit / 2);
}

/** Rides a series on a day: passes by chance, and what comes of them for the pair. */
function ride(candidate: Candidate, day: number, truth: Truth, ridden: RiddenStep[], random: () => number): void {
  const { facts } = candidate;
  const work = expectedWork([candidateWork(candidate, 0)]);
  const isJumping = jumps(work);
  const week = truth.jumped.filter(one => day - one < 7).length + (isJumping ? 1 : 0);
  const isOver = dayWarnings(work).length > 0 || (isJumping && week > USUAL_WORK_LIMITS.jumpingDays);
  truth.fatigue = truth.fatigue * 0.6 + 0.3 * dayShare(work, USUAL_WORK_LIMITS) + (isOver ? 0.4 : 0);
  if (isOver) truth.overLimit += 1;
  if (isJumping) truth.jumped.push(day);
  for (const { stage, eachRein } of seriesOf(candidate, 0)) {
    const { hasReins, kind, gait } = facts.stages[stage]!;
    const passes: SeenPass[] = [];
    for (let time = 0; time < 2 * eachRein; time += 1) {
      const rein = REINS[time % 2]!;
      const worse = hasReins && rein === truth.worse ? truth.deficit : 0;
      const x = 1 + truth.skill + (truth.own.get(facts.exercise) ?? 0) - 0.9 * stage - worse - truth.fatigue;
      passes.push({ rein: hasReins ? rein : null, isClean: random() < logistic(x) });
    }
    learn(facts, passes, truth);
    ridden.push({ day, exercise: facts.exercise, stage, kind, gait, purposes: facts.purposes, passes });
  }
}

/** Most is learnt where about half goes well; what supples and straightens evens the reins. */
function learn({ exercise, purposes }: ExerciseFacts, passes: readonly SeenPass[], truth: Truth): void {
  const share = passes.filter(({ isClean }) => isClean).length / passes.length;
  const gain = 4 * share * (1 - share);
  truth.own.set(exercise, (truth.own.get(exercise) ?? 0) + 0.2 * gain);
  truth.skill += 0.008 * gain;
  const isEvening = purposes.includes('suppleness') || purposes.includes('straightness');
  const onBoth = passes.some(({ rein }) => rein !== null);
  if (isEvening && onBoth) truth.deficit = Math.max(0, truth.deficit - 0.012 * gain);
}
