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

/** What happens while a pair rides, in order. Every event has an id of its own, so that none is counted twice. */
export type RecordEvent =
  | { type: 'pass'; id: string; pass: Omit<PassRecord, 'marks'> }
  | { type: 'amend'; id: string; passId: string; rein: Rein | null; direction: RideDirection }
  | { type: 'mark'; id: string; passId: string; mark: PassMark; atMs: number }
  | { type: 'undo-mark'; id: string; passId: string; markId: string; atMs: number }
  | { type: 'undo-pass'; id: string; passId: string; atMs: number }
  /** A pair walks. */
  | { type: 'break'; id: string; lessonId: string; pairId: string; atMs: number }
  | { type: 'undo-break'; id: string; breakId: string; atMs: number }
  /** Another question at a stage of a lesson, or the same one asked otherwise: of one pair, or (null) of all. */
  | {
      type: 'ask';
      id: string;
      lessonId: string;
      stageId: string;
      pairId: string | null;
      question: Question;
      atMs: number;
    }
  | { type: 'undo-ask'; id: string; askId: string; atMs: number }
  /** The cautions of a lesson were read. */
  | { type: 'acknowledge'; id: string; lessonId: string; atMs: number };

/**
 * The passes after an event: a new list, the old one unchanged. An event that was applied before, or that speaks of a
 * pass or mark that is not there, changes nothing.
 */
export function applyRecordEvent(passes: readonly PassRecord[], event: RecordEvent): PassRecord[] {
  switch (event.type) {
    case 'pass':
      return passes.some(pass => pass.id === event.pass.id) ? [...passes] : [...passes, { ...event.pass, marks: [] }];
    case 'undo-pass':
      return passes.filter(pass => pass.id !== event.passId);
    case 'break':
    case 'undo-break':
    case 'ask':
    case 'undo-ask':
    case 'acknowledge':
      return [...passes];
    default:
      return passes.map(pass => (pass.id === event.passId ? applyToPass(pass, event) : pass));
  }
}

type EventWithinPass = Extract<RecordEvent, { type: 'amend' | 'mark' | 'undo-mark' }>;

function applyToPass(pass: PassRecord, event: EventWithinPass): PassRecord {
  switch (event.type) {
    case 'amend':
      return { ...pass, rein: event.rein, direction: event.direction };
    case 'mark':
      return pass.marks.some(mark => mark.id === event.mark.id)
        ? pass
        : { ...pass, marks: [...pass.marks, event.mark] };
    case 'undo-mark':
      return { ...pass, marks: pass.marks.filter(mark => mark.id !== event.markId) };
  }
}

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
