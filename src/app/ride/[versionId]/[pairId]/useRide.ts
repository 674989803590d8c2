import { newId } from '@/components/newId';
import type { Delivery } from '@/components/outbox/outbox';
import { useOutbox } from '@/components/outbox/useOutbox';
import {
  applyRecordEvent,
  nearestWay,
  trackKey,
  UNTOLD_QUESTION,
  type PassMark,
  type PassRecord,
  type Question,
  type RecordEvent,
  type RideWay,
} from '@/core';
import { readKeptEvents, type RecordBatch } from '@/files/recordEvent';
import { useCallback, useMemo, useState } from 'react';

export type RideSetting = {
  pairId: string;
  layoutVersionId: string;
  stage: string;
  question: Question;
  /** The ways in which it may be ridden. */
  ways: readonly RideWay[];
  /** Over the whole layout version, whatever was asked. */
  firstPasses: PassRecord[];
};

/** A mark before it has an id: what a tap says. */
export type Tapped =
  | { kind: 'footfall'; place: number | null; fraction: number }
  | { kind: 'hit'; place: number }
  | { kind: 'note'; words: string };

/** The passes of a pair over a layout, as they are tapped: shown at once, kept on the device, sent in order. */
export function useRide(setting: RideSetting) {
  const { pairId, layoutVersionId, stage, question, ways, firstPasses } = setting;
  const [events, setEvents] = useState<RecordEvent[]>([]);
  const { outbox, state: outboxState } = useOutbox<RecordEvent>({
    storeKey: `roan-unsent-${pairId}-${layoutVersionId}`,
    parse: readKeptEvents,
    deliver: unsent => deliver({ lessonId: null, events: [...unsent] }),
    onOpen: kept => setEvents([...kept]),
  });
  const [openPassId, setOpenPassId] = useState<string | null>(null);
  const [next, setNext] = useState<RideWay>(() => nearestWay(ways, { rein: 'left', direction: 'as-drawn' }));

  const asked = trackKey(question);
  const passes = useMemo(
    () =>
      events
        .reduce<PassRecord[]>(applyRecordEvent, firstPasses)
        .filter(pass => trackKey(pass.question) === asked || pass.question.id === UNTOLD_QUESTION.id),
    [events, firstPasses, asked],
  );
  const open = passes.find(pass => pass.id === openPassId) ?? null;

  const record = useCallback(
    (happened: RecordEvent[]) => {
      setEvents(current => [...current, ...happened]);
      outbox?.add(happened);
    },
    [outbox],
  );
  const newPass = (): Extract<RecordEvent, { type: 'pass' }> => ({
    type: 'pass',
    id: newId(),
    pass: {
      ...{ id: newId(), pairId, layoutVersionId, lessonId: null, stageId: null, stage, question },
      ...{ ...next, riddenAtMs: Date.now() },
    },
  });
  const mark = (tapped: Tapped) => {
    const begun = open ? [] : [newPass()];
    const passId = open?.id ?? begun[0]!.pass.id;
    record([
      ...begun,
      { type: 'mark', id: newId(), passId, mark: { id: newId(), ...tapped } as PassMark, atMs: Date.now() },
    ]);
    setOpenPassId(passId);
  };
  /** Ends the pass; one with nothing to mark is recorded too. */
  const endPass = () => {
    if (!open) record([newPass()]);
    setOpenPassId(null);
  };
  const steer = (way: RideWay) => {
    setNext(way);
    if (open) record([{ type: 'amend', id: newId(), passId: open.id, ...way }]);
  };
  const unmark = (passId: string, markId: string) =>
    record([{ type: 'undo-mark', id: newId(), passId, markId, atMs: Date.now() }]);
  const undoable = lastTap(open ?? passes[passes.length - 1] ?? null);
  const undo = () => {
    if (!undoable) return;
    const { passId, mark: last } = undoable;
    if (last) unmark(passId, last.id);
    else record([{ type: 'undo-pass', id: newId(), passId, atMs: Date.now() }]);
  };

  return {
    ready: outbox !== null,
    passes,
    open,
    way: open ? { rein: open.rein, direction: open.direction } : next,
    mark,
    unmark,
    endPass,
    steer,
    undo,
    undoable,
    reopen: setOpenPassId,
    unsent: outboxState.unsent.length,
    problem: outboxState.problem,
    discardUnsent: () => {
      outbox?.discard();
      window.location.reload();
    },
  };
}

export type Ride = ReturnType<typeof useRide>;

/** What one undo takes back: the last mark of the pass, or the pass itself once it has none. */
function lastTap(pass: PassRecord | null): { passId: string; mark: PassMark | null } | null {
  return pass && { passId: pass.id, mark: pass.marks[pass.marks.length - 1] ?? null };
}

async function deliver(batch: RecordBatch): Promise<Delivery> {
  try {
    const response = await fetch('/api/record', {
      method: 'POST',
      keepalive: true,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(batch),
    });
    if (response.ok) return { kind: 'taken' };
    const { problem } = (await response.json()) as { problem: string };
    return { kind: response.status === 422 ? 'never' : 'later', problem };
  } catch {
    return { kind: 'later', problem: 'The server does not answer. Roan keeps trying.' };
  }
}
