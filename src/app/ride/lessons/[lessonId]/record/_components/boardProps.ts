import { type Layout, type LayoutHorse, type LessonState, type Question, type YardRules } from '@/core';
import { type FirstRecord } from '../../_state/useLesson';

export type BoardProps = {
  lessonId: string;
  state: LessonState;
  /** When the lesson was over, on the yard's clock; null where it is not. */
  over: string | null;
  /** What is said since then puts it right, and is what an undo here takes back; null while it is ridden. */
  sinceMs: number | null;
  /** Whether its day lies back. */
  isPast: boolean;
  /** Whether it may run: on another day than its own it is written down instead. */
  isItsDay: boolean;
  first: FirstRecord;
  /** The pass that is put right when the page opens. */
  openPassId: string | null;
  layouts: Record<string, Layout>;
  /** The pairs of the lesson, then the others of the yard, with the strides of that day. */
  pairs: { id: string; name: string; strides: LayoutHorse }[];
  stages: { id: string; name: string; questions: Question[] }[];
  rules: YardRules;
  homeFacingDeg: number | null;
  timeZone: string;
};
