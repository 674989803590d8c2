/** How a batch went: in the database, to be sent again, or never to be taken. */
export type Delivery = { kind: 'taken' } | { kind: 'later'; problem: string } | { kind: 'never'; problem: string };

export type OutboxState<Event = unknown> = {
  /** Events that are not known to be in the database yet, oldest first. */
  unsent: readonly Event[];
  /** Why they wait; null while nothing is wrong. */
  problem: string | null;
};

export type OutboxOptions<Event> = {
  /** What this device kept from before, oldest first. */
  kept: readonly Event[];
  deliver: (events: readonly Event[]) => Promise<Delivery>;
  /** Keeps the unsent events on this device: called before anything is sent. */
  keep: (unsent: readonly Event[]) => void;
  tryAgainMs?: number;
};

export type Outbox<Event> = {
  add: (events: readonly Event[]) => void;
  /** Tries at once what waits. */
  flush: () => void;
  /** Gives up what the server will never take. */
  discard: () => void;
  state: () => OutboxState<Event>;
  subscribe: (listener: () => void) => () => void;
};

const MOST_AT_ONCE = 100;

/**
 * Sends events in order, one batch at a time, and keeps them on the device until the server has said that they are in
 * the database. Sending again is safe: every event has an id, and the server counts it once.
 */
export function createOutbox<Event>({ kept, deliver, keep, tryAgainMs = 1500 }: OutboxOptions<Event>): Outbox<Event> {
  let state: OutboxState<Event> = { unsent: [...kept], problem: null };
  let busy = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const listeners = new Set<() => void>();

  const tell = (next: OutboxState<Event>) => {
    state = next;
    listeners.forEach(listener => listener());
  };
  const send = async () => {
    if (busy || state.unsent.length === 0) return;
    busy = true;
    clearTimeout(timer);
    const batch = state.unsent.slice(0, MOST_AT_ONCE);
    const delivery = await deliver(batch);
    busy = false;
    if (delivery.kind === 'taken') {
      const unsent = state.unsent.slice(batch.length);
      keep(unsent);
      tell({ unsent, problem: null });
      return void send();
    }
    tell({ ...state, problem: delivery.problem });
    if (delivery.kind === 'later') timer = setTimeout(() => void send(), tryAgainMs);
  };

  return {
    add(events) {
      const unsent = [...state.unsent, ...events];
      keep(unsent);
      tell({ ...state, unsent });
      void send();
    },
    flush: () => void send(),
    discard() {
      keep([]);
      tell({ unsent: [], problem: null });
    },
    state: () => state,
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}
