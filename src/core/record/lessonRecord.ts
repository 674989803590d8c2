import type { Question } from '../question/question';
import type { PassRecord } from './passRecord';

/** What was asked on the day: another question at a stage, or one asked otherwise; of one pair, or (null) of all. */
export type AskOnTheDay = { id: string; stageId: string; pairId: string | null; question: Question; atMs: number };

/** A pair walked; `stageId`: in which stage, where that is known. */
export type WalkBreak = { id: string; pairId: string; stageId: string | null; atMs: number };

/** All that was recorded in a lesson. */
export type LessonRecord = {
  passes: PassRecord[];
  breaks: WalkBreak[];
  /** In the order they were made. */
  asks: AskOnTheDay[];
  /** When the cautions were read; null while they were not. */
  acknowledgedAtMs: number | null;
};
