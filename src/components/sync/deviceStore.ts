import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { StoredRow } from './keptRow';

/** What a device keeps until the server has it: a row an event, in the order in which they were said. */
export type DeviceStore = {
  /** All that waits, in order. */
  all: () => Promise<StoredRow[]>;
  /** Keeps events, all or none of them; resolves when they are written. */
  add: (rows: readonly Omit<StoredRow, 'seq'>[]) => Promise<number[]>;
  remove: (seqs: readonly number[]) => Promise<void>;
  /** Sets aside an event with the reason, or takes it up again with null. */
  refuse: (seq: number, reason: string | null) => Promise<void>;
  /** Puts a mended event where it was, to be sent again. */
  mend: (seq: number, event: unknown) => Promise<void>;
};

interface Kept extends DBSchema {
  events: { key: number; value: Omit<StoredRow, 'seq'> & { seq?: number } };
}

/** Written to the disk before it is said to be kept. */
const STRICT = { durability: 'strict' } as const;

/**
 * The device's store.
 * @param name - another name is another store
 * @throws where the browser has none, forbids it, or cannot open it
 */
export async function openDeviceStore(name = 'roan-kept'): Promise<DeviceStore> {
  const db: IDBPDatabase<Kept> = await openDB<Kept>(name, 1, {
    upgrade: created => void created.createObjectStore('events', { keyPath: 'seq', autoIncrement: true }),
  });
  const change = async (seq: number, to: (row: Omit<StoredRow, 'seq'>) => Omit<StoredRow, 'seq'>) => {
    const tx = db.transaction('events', 'readwrite', STRICT);
    const row = await tx.store.get(seq);
    if (row) await tx.store.put({ ...to(row), seq });
    await tx.done;
  };
  return {
    all: async () => (await db.getAll('events')) as StoredRow[],
    async add(rows) {
      const tx = db.transaction('events', 'readwrite', STRICT);
      try {
        const seqs: number[] = [];
        for (const row of rows) seqs.push(await tx.store.add(row));
        await tx.done;
        return seqs;
      } catch (error) {
        // What fails rejects twice, here and as the transaction's own end.
        await tx.done.catch(() => undefined);
        throw error;
      }
    },
    async remove(seqs) {
      const tx = db.transaction('events', 'readwrite', STRICT);
      await Promise.all([...seqs.map(seq => tx.store.delete(seq)), tx.done]);
    },
    refuse: (seq, reason) => change(seq, row => ({ ...row, refused: reason })),
    mend: (seq, event) => change(seq, row => ({ ...row, event, refused: null })),
  };
}
