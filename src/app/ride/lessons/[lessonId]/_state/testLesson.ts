import { useState } from 'react';
import {
  applyEvent,
  EMPTY_LOG,
  reverseTap,
  standingRecord,
  type RecordEvent,
  type RecordLog,
  type Saying,
  type Tap,
} from '@/core';
import type { LessonRecordState } from './useLesson';

const LESSON = 'lesson';

/** For tests: what is said has a time and an id that is counted. */
export function countedSaying(): () => Saying {
  let said = 0;
  return () => {
    const atMs = 1_000_000 + (said += 1) * 10;
    let ids = 0;
    return { atMs, by: null, newId: () => `${atMs}-${(ids += 1)}` };
  };
}

const NOTHING_WAITS = { unsent: 0, writing: 0, inPageOnly: 0, refused: 0, problem: null };

/** For tests: the record of a lesson that this device alone keeps, in its memory. */
export function testLesson(
  log: RecordLog,
  tap: (events: RecordEvent[]) => void,
  saying: () => Saying,
): LessonRecordState {
  return {
    ...{ ready: true, log, record: standingRecord(log), tap, waits: NOTHING_WAITS },
    reverse: (tapped: Tap) => tap(reverseTap(log, LESSON, tapped, saying())),
  } as LessonRecordState;
}

/** For tests: the same, as a hook. */
export function useTestLesson(saying: () => Saying, first: RecordLog = EMPTY_LOG): LessonRecordState {
  const [log, setLog] = useState(first);
  return testLesson(log, events => setLog(before => events.reduce(applyEvent, before)), saying);
}
