import type { Question } from '../question/question';
import type { Rein } from '../track/rein';
import type { Footfall } from './footfall';
import type { PassMark } from './passMark';
import type { RideDirection } from './rideDirection';

export type PassRecord = {
  id: string;
  pairId: string;
  layoutVersionId: string;
  /** The lesson it was ridden in; null for a ride by itself. */
  lessonId: string | null;
  /** The stage of the lesson it belongs to, and what that was called then; null for a ride by itself. */
  stageId: string | null;
  stage: string;
  /** What was asked, as it was asked of this pair: names, judgement and work of the pass come from it and its version. */
  question: Question;
  /** The rein it was ridden or approached on; null where the track changes the rein. */
  rein: Rein | null;
  direction: RideDirection;
  riddenAtMs: number;
  marks: PassMark[];
};

/**
 * The footfalls of a pass, the last word for each gap: a second tap on the same gap corrects the first.
 */
export function passFootfalls(pass: Pick<PassRecord, 'marks'>): Footfall[] {
  const byGap = new Map<number | null, Footfall>();
  for (const mark of pass.marks)
    if (mark.kind === 'footfall') byGap.set(mark.place, { gap: mark.place, fraction: mark.fraction });
  return [...byGap.values()];
}

/** The poles that were hit in a pass, each once, in order. */
export function polesHit(pass: Pick<PassRecord, 'marks'>): number[] {
  const hit = new Set(pass.marks.flatMap(mark => (mark.kind === 'hit' ? [mark.place] : [])));
  return [...hit].sort((a, b) => a - b);
}
