import { applyRecordEvent, type PassRecord, type RecordEvent } from '../record/passRecord';

export type WalkBreak = { id: string; pairId: string; atMs: number };

/** All that was recorded in a lesson. */
export type LessonRecord = {
  passes: PassRecord[];
  breaks: WalkBreak[];
  /** When the cautions were read; null while they were not. */
  acknowledgedAtMs: number | null;
};

export const EMPTY_LESSON_RECORD: LessonRecord = { passes: [], breaks: [], acknowledgedAtMs: null };

/** The record after an event: a new one, the old one unchanged. An event that was applied before changes nothing. */
export function applyLessonEvent(record: LessonRecord, event: RecordEvent): LessonRecord {
  switch (event.type) {
    case 'break': {
      const { id, pairId, atMs } = event;
      if (record.breaks.some(walked => walked.id === id)) return record;
      return { ...record, breaks: [...record.breaks, { id, pairId, atMs }] };
    }
    case 'undo-break':
      return { ...record, breaks: record.breaks.filter(({ id }) => id !== event.breakId) };
    case 'acknowledge':
      return { ...record, acknowledgedAtMs: record.acknowledgedAtMs ?? event.atMs };
    default:
      return { ...record, passes: applyRecordEvent(record.passes, event) };
  }
}
