import {
  afterFailure,
  faultGround,
  hasReins,
  isVoid,
  repeatedFaults,
  stopHere,
  type FaultAnswer,
  type PassRecord,
  type StageGate,
} from '@/core';
import { placeName, type AskedRide } from '@/app/ride/askedRide';
import type { RunStage } from './runStage';

/** What should happen now, in one line, with what can be done about it. */
export type JudgementLine = {
  words: string;
  reason: string;
  answer: FaultAnswer | { kind: 'next stage' } | { kind: 'end' } | null;
};

/** After the last stage: nothing but the end is left. */
export const ALL_RODE: JudgementLine = {
  words: 'Everybody has ridden.',
  reason: 'Enough for today?',
  answer: { kind: 'end' },
};

/** Whether a stage is the last one, and each pair has a pass there that counts. */
export function isRiddenByAll({
  isLast,
  ridden,
}: {
  isLast: boolean;
  ridden: readonly (readonly PassRecord[])[];
}): boolean {
  return isLast && ridden.length > 0 && ridden.every(passes => passes.some(pass => !isVoid(pass)));
}

type Judged = {
  stage: RunStage;
  ride: AskedRide;
  /** Of the chosen pair and this question, oldest first, without the one that is being marked. */
  passes: readonly PassRecord[];
  nowMs: number;
  /** Whether the chosen pair has earned the next stage; null where nothing is marked. */
  gate: StageGate | null;
  /** What the next stage is called; null at the last. */
  nextStage: string | null;
};

/**
 * All that the passes say should happen now, what matters most first: a fault that came back, the policy after a failure, that it
 * is enough, that the next stage is earned.
 */
export function judgementLines({ stage, ride, passes, nowMs, gate, nextStage }: Judged): JudgementLine[] {
  const nameOf = (place: number, part?: number) => placeName(ride, place, part);
  const ground = faultGround(ride.asked, ride.reckoned);
  // What was moved since asks anew: faults over the setting before say nothing of this one.
  const here = passes.filter(({ layoutVersionId }) => layoutVersionId === stage.versionId);
  const again = repeatedFaults(here, ground).map(
    ({ what, place, part, times, suggestion, answers }): JudgementLine => ({
      words: suggestion,
      reason: `${what}${place === null ? '' : ` at ${nameOf(place, part)}`}, ${times} times`,
      answer: answers[0] ?? null,
    }),
  );
  const failed = afterFailure(stage.policy, passes, nameOf, ground);
  const policy =
    failed && again.length === 0
      ? [{ words: failed.words, reason: 'After that one', answer: failed.answers[0] ?? null }]
      : [];
  const { stop, eachRein } = stage;
  const enough = stopHere(passes, { stop, eachRein, hasReins: hasReins(ride.ways), nowMs });
  const earned =
    gate?.ready && nextStage !== null
      ? [{ words: `On to “${nextStage}”.`, reason: gate.reason, answer: { kind: 'next stage' as const } }]
      : [];
  const done = enough === null ? [] : [{ words: enough, reason: 'Enough of this stage?', answer: null }];
  return [...again, ...policy, ...(earned.length > 0 ? earned : done)];
}
