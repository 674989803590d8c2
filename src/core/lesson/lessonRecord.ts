import type { Question } from '../question/question';
import { applyRecordEvent, type PassRecord, type RecordEvent } from '../record/passRecord';

/** What was asked on the day: another question at a stage, or one asked otherwise; of one pair, or (null) of all. */
export type AskOnTheDay = { id: string; stageId: string; pairId: string | null; question: Question; atMs: number };

export type WalkBreak = { id: string; pairId: string; atMs: number };

/** All that was recorded in a lesson. */
export type LessonRecord = {
  passes: PassRecord[];
  breaks: WalkBreak[];
  /** In the order they were made. */
  asks: AskOnTheDay[];
  /** When the cautions were read; null while they were not. */
  acknowledgedAtMs: number | null;
};

export const EMPTY_LESSON_RECORD: LessonRecord = { passes: [], breaks: [], asks: [], acknowledgedAtMs: null };

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
    case 'ask': {
      const { id, stageId, pairId, question, atMs } = event;
      if (record.asks.some(ask => ask.id === id)) return record;
      return { ...record, asks: [...record.asks, { id, stageId, pairId, question, atMs }] };
    }
    case 'undo-ask':
      return { ...record, asks: record.asks.filter(({ id }) => id !== event.askId) };
    case 'acknowledge':
      return { ...record, acknowledgedAtMs: record.acknowledgedAtMs ?? event.atMs };
    default:
      return { ...record, passes: applyRecordEvent(record.passes, event) };
  }
}
