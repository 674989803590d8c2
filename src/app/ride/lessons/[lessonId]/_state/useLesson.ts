import { forYard, pageYard } from '@/components/pageYard';
import { lessonBox } from '@/components/sync/boxes';
import { useBox } from '@/components/sync/useBox';
import { useKnown } from '@/components/sync/useKnown';
import { saying } from '@/app/ride/saying';
import { applyEvent, reverseTap, standingRecord, withNews, type RecordEvent, type RecordLog, type Tap } from '@/core';
import { packLog, unpackLog, type PackedLog, type RecordAnswer } from '@/files/packedRecord';
import { eventReader } from '@/app/ride/eventReader';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';

/** What others recorded is asked for so often while the page is looked at. */
const LOOK_AGAIN_MS = 4000;

export type FirstRecord = { number: number; log: PackedLog };
type Known = { number: number; log: RecordLog };

/**
 * The record of a lesson: what the server has, and over it what this device tapped and the server does not have yet.
 * @param onSetup - called when the server says that the lesson is ridden over something else than before
 */
export function useLesson(lessonId: string, first: FirstRecord, onSetup?: (setup: string) => void) {
  const [known, setKnown] = useState<Known>(() => ({ number: first.number, log: unpackLog(first.log) }));
  const number = useRef(first.number);
  useEffect(() => {
    number.current = known.number;
  }, [known]);
  /** An older answer is never shown over a newer one. */
  const know = useCallback(({ number: at, log, afresh }: RecordAnswer) => {
    setKnown(before => {
      if (afresh) return { number: at, log: unpackLog(log) };
      return at < before.number ? before : { number: at, log: withNews(before.log, unpackLog(log)) };
    });
  }, []);
  const { ready, unsent, add, waits } = useBox<RecordEvent>({
    box: lessonBox(lessonId),
    reader: eventReader,
    after: () => number.current,
    answered: body => {
      if (body.log && body.number !== undefined) know(body as RecordAnswer);
    },
    look: () =>
      void look(lessonId, number.current, answer => {
        know(answer);
        if (answer.setup !== undefined) onSetup?.(answer.setup);
      }),
    lookAgainMs: LOOK_AGAIN_MS,
  });
  useKnown<RecordAnswer>({
    ...{ box: lessonBox(lessonId), number: known.number, onKnown: know },
    body: () => ({ number: known.number, log: packLog(known.log), afresh: true }),
  });
  const log = useMemo(() => unsent.reduce(applyEvent, known.log), [unsent, known]);
  const record = useMemo(() => standingRecord(log), [log]);
  const tap = useCallback((events: RecordEvent[]) => add(events), [add]);
  /** Takes a tap back, or does again what was taken back. */
  const reverse = (tapped: Tap) => tap(reverseTap(log, lessonId, tapped, saying()));
  return { ready, log, record, tap, reverse, waits };
}

export type LessonRecordState = ReturnType<typeof useLesson>;

async function look(lessonId: string, after: number, know: (answer: RecordAnswer) => void): Promise<void> {
  try {
    const response = await fetch(`/api/lessons/${lessonId}/record?after=${after}`, { headers: forYard(pageYard()) });
    if (response.ok) know((await response.json()) as RecordAnswer);
  } catch {
    // Without a connection what is known stays.
  }
}
