import type { Client, InStatement } from '@libsql/client';
import { eq, sql } from 'drizzle-orm';
import type { RoanDatabase } from './database';
import { overlaid } from './overlaid';
import { storeWrites } from './schema';
import type { Transaction } from './database';

const COUNTER = 'writes';

/** Counts a write, within its transaction; what copies of the store have counted too they hold. */
export async function countWrite(tx: Transaction): Promise<number> {
  const [row] = await tx
    .insert(storeWrites)
    .values({ name: COUNTER, number: 1 })
    .onConflictDoUpdate({ target: storeWrites.name, set: { number: sql`${storeWrites.number} + 1` } })
    .returning({ number: storeWrites.number });
  return row!.number;
}

/** A client of a copy that reads from the store whatever the copy cannot answer. */
export function orFrom(copy: Client, store: Client): Client {
  const execute = (stmt: InStatement) => inTime(copy.execute(stmt)).catch(() => store.execute(stmt));
  return overlaid(copy, { execute: execute as Client['execute'] });
}

/** A copy that has not answered by then is as good as none. */
const PATIENCE_MS = 3000;

function inTime<Answer>(answer: Promise<Answer>): Promise<Answer> {
  let timer: ReturnType<typeof setTimeout>;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new Error('The copy does not answer')), PATIENCE_MS);
  });
  return Promise.race([answer, late]).finally(() => clearTimeout(timer));
}

/** So often a copy is asked how far it is while it is behind, and while it is not. */
const BEHIND_MS = 15;
const LOOK_MS = 2000;

/**
 * Reads from a copy of the store that is near, as long as that is no older than what this process wrote or read: while it lags
 * behind, and where it does not answer, from the store itself. Writes go to the store.
 * @param copy - asked as `orFrom` makes it, so that one that dies under a question is not felt
 * @param asCounted - the copy alone, to tell how far it is
 */
export function readNear(store: RoanDatabase, copy: RoanDatabase, asCounted: RoanDatabase = copy) {
  let written = 0;
  let isFresh = false;
  let isClosed = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let looking = false;
  /** One look at a time, however often is written meanwhile. */
  const look = async () => {
    if (looking || isClosed) return;
    looking = true;
    clearTimeout(timer);
    const wanted = written;
    const number = await countedBy(asCounted).catch(() => -1);
    looking = false;
    if (isClosed) return;
    if (number >= wanted && wanted === written) isFresh = true;
    else if (number < 0) isFresh = false;
    timer = setTimeout(() => void look(), isFresh || number < 0 ? LOOK_MS : BEHIND_MS);
    timer.unref?.();
  };
  void look();
  const db = new Proxy(store, {
    get(target, key, receiver) {
      const from = isFresh && (key === 'select' || key === 'selectDistinct') ? copy : target;
      const value: unknown = Reflect.get(from, key, from === target ? receiver : copy);
      return typeof value === 'function' ? (value.bind(from) as unknown) : value;
    },
  });
  return {
    db,
    /** Told of every write that was made. */
    wrote(number: number) {
      written = Math.max(written, number);
      isFresh = false;
      void look();
    },
    isFresh: () => isFresh,
    close() {
      isClosed = true;
      clearTimeout(timer);
    },
  };
}

async function countedBy(db: RoanDatabase): Promise<number> {
  const [row] = await db.select({ number: storeWrites.number }).from(storeWrites).where(eq(storeWrites.name, COUNTER));
  return row?.number ?? 0;
}
