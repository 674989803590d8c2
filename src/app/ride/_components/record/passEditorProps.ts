import {
  type Layout,
  type LayoutHorse,
  type LoggedPass,
  type Question,
  type RecordEvent,
  type RecordLog,
  type YardRules,
} from '@/core';
import { type RecordNames } from '@/app/ride/recordWords';

export type PassEditorProps = {
  log: RecordLog;
  passId: string;
  names: RecordNames;
  /** As it was ridden over. */
  layout: Layout;
  /** The horse with its strides of that day. */
  horse: LayoutHorse | null;
  pairs: readonly { id: string; name: string }[];
  /** Of the lesson; none for a ride by itself. */
  stages: readonly { id: string; name: string }[];
  /** What else may have been ridden over the same layout. */
  questions: readonly Question[];
  rules: Pick<YardRules, 'faults' | 'riderMarks'>;
  homeFacingDeg: number | null;
  timeZone: string;
  /** Only what was said since then is undone; all of it where it is left out. */
  sinceMs?: number;
  ready: boolean;
  onSay: (events: RecordEvent[]) => void;
  onClose: () => void;
};

export type PartProps = PassEditorProps & { logged: LoggedPass };
