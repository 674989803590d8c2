'use client';

import { useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import type { OpenBox } from './boxes';
import { deviceSync, openBox } from './deviceSync';
import type { SyncState } from './createSync';
import type { KeptRow } from './keptRow';
import type { Waits } from './waits';

type UseBox<Event> = OpenBox & {
  box: string;
  /** What was kept, as far as it can be understood: one function for all pages of its kind. */
  parse: (kept: unknown) => Event[];
  /** Asks what others did, every so often while the page is looked at, and when another tab sent something. */
  look?: () => void;
  lookAgainMs?: number;
};

export type BoxState<Event> = {
  /** Whether the device's store has been read. */
  ready: boolean;
  /** What is not known to be in the database yet, oldest first, without what was refused. */
  unsent: Event[];
  waits: Waits;
  add: (events: readonly Event[]) => void;
};

const NOTHING: SyncState = { rows: null, problem: null };
const NO_ROWS: readonly KeptRow[] = [];
const subscribe = (listener: () => void) => deviceSync().subscribe(listener);

/** What waits in a box, shown at once, kept on the device and sent from any page of Roan. */
export function useBox<Event>(options: UseBox<Event>): BoxState<Event> {
  const { box, lookAgainMs = 10_000 } = options;
  const latest = useRef(options);
  useEffect(() => {
    latest.current = options;
  });
  const { rows, problem } = useSyncState();
  const own = useSyncExternalStore(
    subscribe,
    () => deviceSync().rowsOf(box),
    () => NO_ROWS,
  );

  /** What this tab sent was answered to it: nothing more has to be asked. */
  const wasAnswered = useRef(false);
  useEffect(
    () =>
      openBox(box, {
        after: () => latest.current.after?.() ?? 0,
        answered: body => {
          wasAnswered.current = true;
          latest.current.answered(body);
        },
      }),
    [box],
  );
  useEffect(() => {
    const look = () => {
      if (document.visibilityState === 'visible') latest.current.look?.();
    };
    const timer = setInterval(look, lookAgainMs);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, [box, lookAgainMs]);
  const held = own.length;
  const before = useRef(0);
  useEffect(() => {
    // Sent by another tab, which had the answer.
    if (held < before.current && !wasAnswered.current) latest.current.look?.();
    wasAnswered.current = false;
    before.current = held;
  }, [held]);

  // What was read of an event is read once.
  const [read] = useState(() => new WeakMap<KeptRow, Event[]>());
  const parse = options.parse;
  const unsent = useMemo(
    () =>
      own
        .filter(({ refused }) => refused === null)
        .flatMap(row => {
          const events = read.get(row) ?? parse([row.event]);
          read.set(row, events);
          return events;
        }),
    [own, parse, read],
  );
  const add = useMemo(() => (events: readonly Event[]) => deviceSync().add(box, events), [box]);
  const waiting = own.filter(({ refused }) => refused === null);
  const keptIn = (where: KeptRow['keptIn']) => waiting.filter(row => row.keptIn === where).length;
  const waits: Waits = {
    ...{ unsent: waiting.length, writing: keptIn('writing'), inPageOnly: keptIn('page') },
    ...{ refused: own.length - waiting.length, problem: waiting.length > 0 ? problem : null },
  };
  return { ready: rows !== null, unsent, waits, add };
}

/** All that this device keeps and has not sent. */
export function useSyncState(): SyncState {
  return useSyncExternalStore(
    subscribe,
    () => deviceSync().state(),
    () => NOTHING,
  );
}
