import type { Rein } from '../track/rein';
import type { Footfall } from './footfall';

/** "As drawn" runs the way the row faces on the plan. */
export type RideDirection = 'as-drawn' | 'other-way';

/** One thing noted in a pass. `place`: the gap of a footfall (null: the row as a whole) or the pole that was hit, from 1. */
export type PassMark =
  | { id: string; kind: 'footfall'; place: number | null; fraction: number }
  | { id: string; kind: 'hit'; place: number }
  | { id: string; kind: 'note'; words: string };

export type PassRecord = {
  id: string;
  rein: Rein;
  direction: RideDirection;
  stage: string;
  riddenAtMs: number;
  marks: PassMark[];
};

/** What happens while a pair rides, in order. Every event has an id of its own, so that none is counted twice. */
export type RecordEvent =
  | { type: 'pass'; id: string; pass: Omit<PassRecord, 'marks'> }
  | { type: 'amend'; id: string; passId: string; rein: Rein; direction: RideDirection }
  | { type: 'mark'; id: string; passId: string; mark: PassMark; atMs: number }
  | { type: 'undo-mark'; id: string; passId: string; markId: string; atMs: number }
  | { type: 'undo-pass'; id: string; passId: string; atMs: number };

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
    default:
      return passes.map(pass => (pass.id === event.passId ? applyToPass(pass, event) : pass));
  }
}

type EventWithinPass = Exclude<RecordEvent, { type: 'pass' | 'undo-pass' }>;

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
