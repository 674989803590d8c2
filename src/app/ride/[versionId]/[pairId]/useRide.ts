import { newId } from '@/components/newId';
import { createOutbox, type Delivery, type Outbox, type OutboxState } from '@/components/outbox/outbox';
import {
  applyRecordEvent,
  type PassMark,
  type PassRecord,
  type RecordEvent,
  type Rein,
  type RideDirection,
} from '@/core';
import { RecordBatch } from '@/files/recordEvent';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';

export type RideSetting = { pairId: string; layoutVersionId: string; stage: string; firstPasses: PassRecord[] };

/** A mark before it has an id: what a tap says. */
export type Tapped =
  | { kind: 'footfall'; place: number | null; fraction: number }
  | { kind: 'hit'; place: number }
  | { kind: 'note'; words: string };

const NOTHING_YET: OutboxState<RecordEvent> = { unsent: [], problem: null };

/** The passes of a pair over a layout, as they are tapped: shown at once, kept on the device, sent in order. */
export function useRide(setting: RideSetting) {
  const { pairId, layoutVersionId, stage, firstPasses } = setting;
  const [events, setEvents] = useState<RecordEvent[]>([]);
  const [outbox, setOutbox] = useState<Outbox<RecordEvent> | null>(null);
  const [openPassId, setOpenPassId] = useState<string | null>(null);
  const [next, setNext] = useState<{ rein: Rein; direction: RideDirection }>({ rein: 'left', direction: 'as-drawn' });

  useEffect(() => {
    const store = deviceStore(pairId, layoutVersionId);
    const kept = store.read();
    const created = createOutbox({
      kept,
      keep: store.write,
      deliver: unsent => deliver({ lessonId: null, events: [...unsent] }),
    });
    // The device's store can only be read in the browser, once the server's page has been shown.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setOutbox(created);
    setEvents(kept);
    created.flush();
    window.addEventListener('online', created.flush);
    return () => window.removeEventListener('online', created.flush);
  }, [pairId, layoutVersionId]);

  const outboxState = useSyncExternalStore(
    outbox?.subscribe ?? neverChanges,
    outbox?.state ?? (() => NOTHING_YET),
    () => NOTHING_YET,
  );
  const passes = useMemo(() => events.reduce<PassRecord[]>(applyRecordEvent, firstPasses), [events, firstPasses]);
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
    pass: { id: newId(), pairId, layoutVersionId, lessonId: null, ...next, stage, riddenAtMs: Date.now() },
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
  const steer = (change: Partial<typeof next>) => {
    const steered = { ...(open ? { rein: open.rein, direction: open.direction } : next), ...change };
    setNext(steered);
    if (open) record([{ type: 'amend', id: newId(), passId: open.id, ...steered }]);
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
    rein: open?.rein ?? next.rein,
    direction: open?.direction ?? next.direction,
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

const neverChanges = () => () => undefined;

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

/** What this device keeps of a ride until the server has it. */
function deviceStore(pairId: string, layoutVersionId: string) {
  const key = `roan-unsent-${pairId}-${layoutVersionId}`;
  return {
    read(): RecordEvent[] {
      try {
        const kept: unknown = JSON.parse(localStorage.getItem(key) ?? 'null');
        const batch = RecordBatch.safeParse({ events: kept });
        return batch.success ? batch.data.events : [];
      } catch {
        return [];
      }
    },
    write(unsent: readonly RecordEvent[]): void {
      try {
        if (unsent.length === 0) localStorage.removeItem(key);
        else localStorage.setItem(key, JSON.stringify(unsent));
      } catch {
        // A full or forbidden store takes the safety net away; the mark still goes to the server at once.
      }
    },
  };
}
