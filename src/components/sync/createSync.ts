import { newId } from '@/components/newId';
import { nextBatch } from './batch';
import type { DeviceStore } from './deviceStore';
import type { KeptRow } from './keptRow';
import type { OneSender } from './oneSender';
import { NO_ANSWER } from './post';

/** How a batch went: in the database, to be sent again, or never to be taken. */
export type Delivery = { kind: 'taken' } | { kind: 'later'; problem: string } | { kind: 'never'; problem: string };

export type SyncOptions = {
  openStore: () => Promise<DeviceStore>;
  oneSender: OneSender;
  deliver: (box: string, events: readonly unknown[], yard: string | undefined) => Promise<Delivery>;
  /** The yard that this page shows. */
  yard?: () => string | undefined;
  /** Told to the other tabs of the device, which then look at the store again. */
  tellOthers?: () => void;
  tryAgainMs?: number;
  /** A store that says nothing for so long has not kept it. */
  mostWriteMs?: number;
};

export type SyncState = {
  /** All that the server is not known to have, in order; `null` until the device's store was read. */
  rows: readonly KeptRow[] | null;
  /** Why it waits; null while nothing is wrong. */
  problem: string | null;
};

export type Sync = ReturnType<typeof createSync>;

/**
 * Keeps events on the device until the server has them, and sends them, a box at a time and in order. Sending again is safe: every
 * event has an id, and the server counts it once. An event that the server will never take is set aside alone, with its
 * reason; what waits behind it goes on.
 */
export function createSync(options: SyncOptions) {
  const { oneSender, deliver, tellOthers = () => undefined, tryAgainMs = 1500, mostWriteMs = 4000 } = options;
  let state: SyncState = { rows: null, problem: null };
  let store: DeviceStore | null = null;
  /** What was sent or dropped, should the store fail to forget it. */
  const gone = new Set<string>();
  let lastOrder = 0;
  let localSeq = 0;
  let writes: Promise<unknown> = Promise.resolve();
  let draining: Promise<void> | null = null;
  let drainAgain = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isClosed = false;
  const listeners = new Set<() => void>();
  const boxes = new Map<string, readonly KeptRow[]>();

  const tell = (next: Partial<SyncState>) => {
    state = { ...state, ...next };
    listeners.forEach(listener => listener());
  };
  const setRows = (change: (rows: readonly KeptRow[]) => KeptRow[]) => tell({ rows: change(state.rows ?? []) });

  /** Looks at the store: what other tabs added, sent or set aside. */
  const reload = async () => {
    const stored = store ? await within(store.all(), mostWriteMs).catch(() => null) : [];
    if (stored === null) return;
    // What is being written is in the store already or not yet: it is shown once.
    const keys = new Set(stored.map(({ key }) => key));
    setRows(rows =>
      [
        ...stored.filter(({ key }) => !gone.has(key)).map(row => sameRow(rows, { ...row, keptIn: 'device' })),
        ...rows.filter(({ keptIn, key }) => keptIn !== 'device' && !keys.has(key)),
      ].sort((a, b) => a.order - b.order),
    );
    lastOrder = Math.max(lastOrder, ...stored.map(({ order }) => order));
  };
  const opened = within(Promise.resolve().then(options.openStore), mostWriteMs)
    .then(created => {
      store = created;
    })
    .catch(() => undefined)
    .then(reload)
    .then(() => tell({ rows: state.rows ?? [] }));

  /** Takes rows out of the state and out of the store, where they may stand by now. */
  const forget = async (keys: readonly string[]) => {
    keys.forEach(key => gone.add(key));
    const seqs = seqsOf(keys);
    setRows(rows => rows.filter(({ key }) => !gone.has(key)));
    await store?.remove(seqs).catch(() => undefined);
    tellOthers();
  };
  const setAside = async (key: string, refused: string | null) => {
    setRows(rows => rows.map(row => (row.key === key ? { ...row, refused } : row)));
    for (const seq of seqsOf([key])) await store?.refuse(seq, refused).catch(() => undefined);
    tellOthers();
  };
  const seqsOf = (keys: readonly string[]) =>
    (state.rows ?? []).filter(({ key, seq }) => keys.includes(key) && seq > 0).map(({ seq }) => seq);

  /** Sends until nothing is left, or until something has to be tried later. */
  const sendAll = async () => {
    /** After a batch that was refused its events go one by one, to find which it was. */
    let single = 0;
    for (;;) {
      const batch = nextBatch(state.rows ?? [], single > 0 ? 1 : undefined);
      if (batch.length === 0) break;
      const delivery = await deliver(
        batch[0]!.box,
        batch.map(({ event }) => event),
        batch[0]!.yard,
      ).catch((): Delivery => ({ kind: 'later', problem: NO_ANSWER }));
      if (delivery.kind === 'later') {
        tell({ problem: delivery.problem });
        if (!isClosed) timer = setTimeout(flush, tryAgainMs);
        return;
      }
      tell({ problem: null });
      if (delivery.kind === 'taken') await forget(batch.map(({ key }) => key));
      else if (batch.length === 1) await setAside(batch[0]!.key, delivery.problem);
      else single = batch.length + 1;
      single = Math.max(0, single - 1);
    }
  };

  const drain = async () => {
    await opened;
    await writes;
    await oneSender(async () => {
      await reload();
      await sendAll();
    }).catch(() => undefined);
  };
  /** Tries at once what waits. */
  function flush(): void {
    if (isClosed) return;
    if (draining) {
      drainAgain = true;
      return;
    }
    clearTimeout(timer);
    draining = drain().finally(() => {
      draining = null;
      if (!drainAgain) return;
      drainAgain = false;
      flush();
    });
  }

  /**
   * Keeps events, shows them at once, and sends them when they are written.
   * @param yard - the yard they are of, where that is not the page's
   * @returns the keys of their rows
   */
  const add = (box: string, events: readonly unknown[], yard = options.yard?.()): string[] => {
    const rows = events.map((event): KeptRow => {
      lastOrder = Math.max(Date.now(), lastOrder + 1 / 1024);
      const row = { box, event, refused: null, key: newId(), order: lastOrder, yard };
      return { ...row, seq: (localSeq -= 1), keptIn: 'writing' };
    });
    const own = new Map(rows.map(({ key }, index) => [key, index]));
    setRows(before => [...before, ...rows]);
    const become = (to: (row: KeptRow, index: number) => KeptRow) =>
      setRows(before => before.map(row => (own.has(row.key) ? to(row, own.get(row.key)!) : row)));
    writes = Promise.all([writes, opened])
      .then(() => {
        if (!store) throw new Error('no store');
        const toStore = rows.map(({ seq: _, keptIn: __, ...row }) => row);
        return within(store.add(toStore), mostWriteMs);
      })
      .then(seqs => become((row, index) => ({ ...row, seq: seqs[index]!, keptIn: 'device' })))
      .catch(() => become(row => ({ ...row, keptIn: 'page' })))
      .then(() => {
        tellOthers();
        flush();
      });
    return rows.map(({ key }) => key);
  };

  return {
    add,
    flush,
    /** What others changed in the device's store is shown here too. */
    look: () => void opened.then(reload).then(flush),
    /** Sends a refused event once more. */
    async tryAgain(key: string) {
      await setAside(key, null);
      flush();
    },
    /** Puts a mended event in the place of a refused one, and sends it. */
    async mend(key: string, event: unknown) {
      setRows(rows => rows.map(row => (row.key === key ? { ...row, event, refused: null } : row)));
      for (const seq of seqsOf([key])) await store?.mend(seq, event).catch(() => undefined);
      flush();
    },
    /** Gives an event up. */
    drop: (key: string) => forget([key]),
    state: () => state,
    /** What waits in a box: the same list as long as nothing of it changes. */
    rowsOf(box: string): readonly KeptRow[] {
      const before = boxes.get(box) ?? [];
      const now = (state.rows ?? []).filter(row => row.box === box);
      const isSame = boxes.has(box) && now.length === before.length && now.every((row, index) => row === before[index]);
      if (!isSame) boxes.set(box, now);
      return isSame ? before : now;
    },
    subscribe(listener: () => void) {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    /** Tries nothing more. */
    close() {
      isClosed = true;
      clearTimeout(timer);
    },
    /** Resolves when nothing more is under way. */
    async idle() {
      await opened;
      await writes;
      while (draining) await draining;
    },
  };
}

/** A row as it was shown before, where nothing of it changed. */
function sameRow(before: readonly KeptRow[], row: KeptRow): KeptRow {
  const known = before.find(({ key }) => key === row.key);
  return known && JSON.stringify(known) === JSON.stringify(row) ? known : row;
}

/** A promise that is given up after a while: a store can be silent for ever. */
function within<T>(promise: Promise<T>, mostMs: number): Promise<T> {
  let timer: ReturnType<typeof setTimeout>;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new Error('no answer')), mostMs);
  });
  return Promise.race([promise, late]).finally(() => clearTimeout(timer));
}
