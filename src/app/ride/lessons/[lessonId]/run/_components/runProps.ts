import type { AskedRide } from '@/app/ride/askedRide';
import type { RecordNames } from '@/app/ride/recordWords';
import type { PassRecord, SpotsTogether, WorkCounts } from '@/core';
import type { Run } from '../_state/useRun';
import type { useSetup } from '../_state/useSetup';
import type { Layout, YardRules } from '@/core';
import type { FirstRecord } from '../../_state/useLesson';
import type { RunPair, RunStage } from '../runStage';
import type { YardPair } from './PairsToday';

export type RunLessonProps = {
  lessonId: string;
  name: string;
  startsAtMs: number;
  breakEveryMin: number;
  rules: YardRules;
  pairs: RunPair[];
  stages: RunStage[];
  /** What passes were and will be ridden over, by version. */
  layouts: Record<string, Layout>;
  homeFacingDeg: number | null;
  cautions: string[];
  /** Every pair of the yard: any of them may come into the lesson. */
  yardPairs: YardPair[];
  first: FirstRecord;
  /** What the lesson is ridden over and by whom, as the page has it. */
  setup: string;
  timeZone: string;
  /** Whether it was its day when the page was made. */
  isItsDay: boolean;
  /** When the server made the page: before it is alive no other clock is known. */
  madeAtMs: number;
  /** The day, where the lesson is written down afterwards; null while it is ridden. */
  writtenDownFor: string | null;
};

export type LessonPadProps = RunLessonProps & {
  run: Run;
  changed: ReturnType<typeof useSetup>;
  /** Of the chosen pair at this stage, and those of them that were asked as it is asked now. */
  passes: readonly PassRecord[];
  asAsked: readonly PassRecord[];
  atStage: (pairId: string) => readonly PassRecord[];
  counts: (pairId: string) => WorkCounts;
  warnings: (pairId: string) => string[];
  names: RecordNames;
  rideOf: (pass: PassRecord) => AskedRide | null;
  nowMs: number;
  /** Where trouble came back today. */
  places: readonly SpotsTogether[];
  homeRad: number | null;
};
