import type { GateRule } from '../lesson/stageGate';
import { stageMinutes } from '../lesson/stageMinutes';
import { plannedWork } from '../work/expectedWork';
import type { Work } from '../work/passWork';
import type { WorkLimits } from '../work/workCounts';
import { nextStage, type NextStage } from './ladder';
import type { PairSeen } from './pairSeen';
import type { ExerciseFacts } from './step';

/** A stage of a series, and how often it is ridden on each rein. */
export type SeriesStage = { stage: number; eachRein: number };

/** An exercise with the stage that comes next for each pair, and the short series that is ridden of it. */
export type Candidate = {
  facts: ExerciseFacts;
  /** By pair, in the order of the wish. */
  next: NextStage[];
  series: SeriesStage[];
  minutes: number;
};

/** What suggestions are wished for. */
export type SuggestWish = {
  pairs: readonly PairSeen[];
  day: number;
  /** For the lesson without its warm-up. */
  minutes: number;
  limits: WorkLimits;
  rule: GateRule;
  /** Refused for these pairs not long ago, by exercise. */
  refused: readonly { exercise: string; stage: number }[];
};

/** On the way to what is asked: once on each rein (common practice, no source). */
const WAY_IN = 1;

/**
 * The short series of an exercise: what was earned once more to come in, and the stage that comes next. Where pairs are at
 * different stages, each of theirs, the easiest first.
 */
export function candidateOf(facts: ExerciseFacts, { pairs, rule, day }: SuggestWish): Candidate {
  const next = pairs.map(({ ridden }) => nextStage(facts, ridden, rule, day));
  const asked = [...new Set(next.map(({ stage }) => stage))].sort((a, b) => a - b);
  const easiest = asked[0]!;
  const wayIn = easiest > 0 ? [{ stage: easiest - 1, eachRein: WAY_IN }] : [];
  const series = [...wayIn, ...asked.map(stage => ({ stage, eachRein: facts.stages[stage]!.eachRein }))];
  const minutes = series.reduce(
    (sum, { stage, eachRein }) => sum + stageMinutes([facts.stages[stage]!.rideTime], eachRein, pairs.length),
    0,
  );
  return { facts, next, series, minutes };
}

/** What a pair rides of a series: up to the stage that comes next for it. */
export function seriesOf({ series, next }: Candidate, pair: number): SeriesStage[] {
  return series.filter(({ stage }) => stage <= next[pair]!.stage);
}

/** What a series comes to for a pair. */
export function candidateWork(candidate: Candidate, pair: number): Work {
  const { stages } = candidate.facts;
  return plannedWork(
    seriesOf(candidate, pair).map(({ stage, eachRein }) => {
      const { work, hasReins } = stages[stage]!;
      return { work, hasReins, times: eachRein };
    }),
  );
}
