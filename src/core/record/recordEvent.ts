import type { Question } from '../question/question';
import type { Join } from './join';
import type { PassMark } from './passMark';
import type { PassRecord } from './passRecord';
import type { RecordChange } from './recordChange';

/** What happens while a pair rides, in order. Every event has an id of its own, so that none is counted twice. */
export type RecordEvent =
  /** `saidAtMs`: when it was recorded, where that is not when it was ridden. */
  | { type: 'pass'; id: string; pass: Omit<PassRecord, 'marks'>; saidAtMs?: number; by?: string | null }
  | { type: 'mark'; id: string; passId: string; mark: PassMark; atMs: number; by?: string | null }
  /** A pair walks, in a stage of its lesson. */
  | {
      type: 'break';
      id: string;
      lessonId: string;
      pairId: string;
      stageId?: string | null;
      atMs: number;
      by?: string | null;
    }
  /** Another question at a stage of a lesson, or the same one asked otherwise: of one pair, or (null) of all. */
  | {
      type: 'ask';
      id: string;
      lessonId: string;
      stageId: string;
      pairId: string | null;
      question: Question;
      atMs: number;
      by?: string | null;
    }
  /** A pair comes into a lesson that runs. */
  | { type: 'join'; id: string; lessonId: string; join: Join }
  /** The cautions of a lesson were read, and it begins. */
  | { type: 'acknowledge'; id: string; lessonId: string; atMs: number }
  /** Something that was said is said otherwise, taken back or brought back. */
  | { type: 'change'; id: string; lessonId: string | null; change: RecordChange };
