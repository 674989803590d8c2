import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { createOutbox, type Delivery, type Outbox, type OutboxState } from './outbox';

type UseOutbox<Event> = {
  /** Under which name the device keeps what is not sent; another name is another outbox. */
  storeKey: string;
  /** What was kept, as far as it can be understood. */
  parse: (kept: unknown) => Event[];
  deliver: (events: readonly Event[]) => Promise<Delivery>;
  /** Asks what others did, every so often while the page is looked at; `isIdle` while nothing waits to be sent. */
  look?: (isIdle: () => boolean) => void;
  lookAgainMs?: number;
  /** Called once with what the device kept from before. */
  onOpen?: (kept: readonly Event[]) => void;
};

const NOTHING: OutboxState<never> = { unsent: [], problem: null };
const nothingYet = () => NOTHING;
const neverChanges = () => () => undefined;

/**
 * An outbox that outlives its tab: what is not sent is kept on the device, and goes out when the page is opened again or the
 * connection is back. Null until the device's own store has been read.
 */
export function useOutbox<Event>(options: UseOutbox<Event>): {
  outbox: Outbox<Event> | null;
  state: OutboxState<Event>;
} {
  const { storeKey, lookAgainMs = 10_000 } = options;
  const [outbox, setOutbox] = useState<Outbox<Event> | null>(null);
  const latest = useRef(options);
  useEffect(() => {
    latest.current = options;
  });

  useEffect(() => {
    const { parse, onOpen } = latest.current;
    const store = deviceStore(storeKey, parse);
    const kept = store.read();
    const created = createOutbox<Event>({
      kept,
      keep: store.write,
      deliver: events => latest.current.deliver(events),
    });
    // The device's store can only be read in the browser, once the server's page has been shown.
    setOutbox(created);
    onOpen?.(kept);
    created.flush();
    const isIdle = () => created.state().unsent.length === 0;
    const look = () => {
      if (document.visibilityState === 'visible') latest.current.look?.(isIdle);
    };
    const timer = setInterval(look, lookAgainMs);
    window.addEventListener('online', created.flush);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', created.flush);
      document.removeEventListener('visibilitychange', look);
    };
  }, [storeKey, lookAgainMs]);

  const state = useSyncExternalStore<OutboxState<Event>>(
    outbox?.subscribe ?? neverChanges,
    outbox?.state ?? nothingYet,
    nothingYet,
  );
  return { outbox, state };
}

/** What this device keeps until the server has it. */
function deviceStore<Event>(key: string, parse: (kept: unknown) => Event[]) {
  return {
    read(): Event[] {
      try {
        return parse(JSON.parse(localStorage.getItem(key) ?? 'null'));
      } catch {
        return [];
      }
    },
    write(unsent: readonly Event[]): void {
      try {
        if (unsent.length === 0) localStorage.removeItem(key);
        else localStorage.setItem(key, JSON.stringify(unsent));
      } catch {
        // A full or forbidden store takes the safety net away; what was tapped still goes to the server at once.
      }
    },
  };
}
