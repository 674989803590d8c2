import { newId } from '@/components/newId';
import type { Delivery } from '@/components/outbox/outbox';
import { useOutbox } from '@/components/outbox/useOutbox';
import {
  applyLessonEvent,
  type LessonRecord,
  type PassRecord,
  type Question,
  type RecordEvent,
  type TappedMark,
} from '@/core';
import { unpackRecord, type PackedRecord } from '@/files/packedRecord';
import { readKeptEvents } from '@/files/recordEvent';
import { useCallback, useMemo, useState } from 'react';

/** What others recorded is asked for so often while the page is looked at. */
const LOOK_AGAIN_MS = 4000;

/** The record of a lesson: what the server has, and over it what this device tapped and the server does not have yet. */
export function useLesson(lessonId: string, first: LessonRecord) {
  const [known, setKnown] = useState(first);
  const { outbox, state } = useOutbox<RecordEvent>({
    storeKey: `roan-lesson-${lessonId}`,
    parse: readKeptEvents,
    deliver: events => send(lessonId, events, setKnown),
    // While something waits the answer to it brings the record anyway, and nothing older may overtake it.
    look: isIdle => {
      if (isIdle()) void ask(lessonId, record => isIdle() && setKnown(record));
    },
    lookAgainMs: LOOK_AGAIN_MS,
  });
  const { unsent, problem } = state;
  /** What one undo after the other takes back: the events that this device tapped, the last one last. */
  const [tapped, setTapped] = useState<RecordEvent[]>([]);

  const record = useMemo(() => unsent.reduce(applyLessonEvent, known), [unsent, known]);
  const tap = useCallback(
    (events: RecordEvent[]) => {
      outbox?.add(events);
      setTapped(before => [...before, ...events]);
    },
    [outbox],
  );
  const undoable = lastUndoable(tapped, record);
  const undo = () => {
    if (!undoable || !outbox) return;
    outbox.add([undoOf(undoable)]);
    setTapped(before => before.filter(({ id }) => id !== undoable.id));
  };
  return { ready: outbox !== null, record, tap, undo, undoable, unsent: unsent.length, problem };
}

export type LessonState = ReturnType<typeof useLesson>;

export type NewPass = Omit<PassRecord, 'id' | 'marks' | 'riddenAtMs'>;

/** A pass that begins now. */
export function passEvent(pass: NewPass): Extract<RecordEvent, { type: 'pass' }> {
  return { type: 'pass', id: newId(), pass: { id: newId(), ...pass, riddenAtMs: Date.now() } };
}

export function markEvent(passId: string, mark: TappedMark): RecordEvent {
  return { type: 'mark', id: newId(), passId, mark: { id: newId(), ...mark }, atMs: Date.now() };
}

export function breakEvent(lessonId: string, pairId: string): RecordEvent {
  return { type: 'break', id: newId(), lessonId, pairId, atMs: Date.now() };
}

type NewAsk = { lessonId: string; stageId: string; pairId: string | null; question: Question };

/** Something else is asked from now on. */
export function askEvent(ask: NewAsk): RecordEvent {
  return { type: 'ask', id: newId(), ...ask, atMs: Date.now() };
}

export function acknowledgeEvent(lessonId: string): RecordEvent {
  return { type: 'acknowledge', id: newId(), lessonId, atMs: Date.now() };
}

type Undoable = Extract<RecordEvent, { type: 'pass' | 'mark' | 'break' | 'ask' }>;

/** The last thing that this device tapped and that still stands; after a reload, the last mark or pass of the lesson. */
function lastUndoable(tapped: readonly RecordEvent[], record: LessonRecord): Undoable | null {
  const stands = (event: RecordEvent): event is Undoable => {
    if (event.type === 'pass') return record.passes.some(({ id }) => id === event.pass.id);
    if (event.type === 'ask') return record.asks.some(({ id }) => id === event.id);
    if (event.type === 'break') return record.breaks.some(({ id }) => id === event.id);
    if (event.type !== 'mark') return false;
    return record.passes.some(({ id, marks }) => id === event.passId && marks.some(mark => mark.id === event.mark.id));
  };
  const own = tapped.findLast(stands);
  if (own && stands(own)) return own;
  const pass = record.passes[record.passes.length - 1];
  return pass ? lastOf(pass) : null;
}

function lastOf({ marks, ...pass }: PassRecord): Undoable {
  const mark = marks[marks.length - 1];
  return mark
    ? { type: 'mark', id: mark.id, passId: pass.id, mark, atMs: pass.riddenAtMs }
    : { type: 'pass', id: pass.id, pass };
}

function undoOf(event: Undoable): RecordEvent {
  const own = { id: newId(), atMs: Date.now() };
  switch (event.type) {
    case 'pass':
      return { type: 'undo-pass', ...own, passId: event.pass.id };
    case 'mark':
      return { type: 'undo-mark', ...own, passId: event.passId, markId: event.mark.id };
    case 'break':
      return { type: 'undo-break', ...own, breakId: event.id };
    case 'ask':
      return { type: 'undo-ask', ...own, askId: event.id };
  }
}

async function send(
  lessonId: string,
  events: readonly RecordEvent[],
  know: (record: LessonRecord) => void,
): Promise<Delivery> {
  try {
    const response = await fetch('/api/record', {
      method: 'POST',
      keepalive: true,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ lessonId, events }),
    });
    const said = (await response.json()) as { record?: PackedRecord | null; problem?: string };
    if (!response.ok)
      return { kind: response.status === 422 ? 'never' : 'later', problem: said.problem ?? 'The server refused it.' };
    if (said.record) know(unpackRecord(said.record));
    return { kind: 'taken' };
  } catch {
    return { kind: 'later', problem: 'The server does not answer. Roan keeps trying.' };
  }
}

async function ask(lessonId: string, know: (record: LessonRecord) => void): Promise<void> {
  try {
    const response = await fetch(`/api/lessons/${lessonId}/record`);
    if (response.ok) know(unpackRecord(((await response.json()) as { record: PackedRecord }).record));
  } catch {
    // Without a connection what is known stays.
  }
}
