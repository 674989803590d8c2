import { rememberRows } from './knownRows';
import { countWrite } from './readNear';
import { asSentence, isPassing } from './databaseRefused';
import type { RoanDatabase, Transaction, WriteQueue } from './database';

/** How long a write is tried again, each time a little later, before somebody is told. */
const AGAIN_MS = [20, 60, 150, 400, 1000, 2000];
/** So many writes that wait go into one transaction, where each by itself would hold up the other processes longer. */
const MOST_TOGETHER = 12;

type WriteQueueOptions = {
  /** Other machines write there too. Writes that wait for each other go together; where one of them fails, each goes by itself. */
  shared?: boolean;
  /** Told the number of every write, where copies of the store are read from. */
  wrote?: (number: number) => void;
};

type Action = (tx: Transaction) => Promise<unknown>;
type Waiting = { action: Action; done: (value: never) => void; failed: (error: unknown) => void };
type Tried = { ok: true; values: unknown[] } | { ok: false; error: unknown; isAllSaid: boolean };

/**
 * One queue for all writes of a process: parallel transactions on one file fail with "busy" in large numbers.
 * A write that fails is rolled back, is thrown as a DatabaseRefused, and does not stop the ones behind it. Where others write too, what
 * stood in the way of a write may be gone in a moment, and it is tried again from its beginning. Only a write that is sure not to have
 * been made: whether one was whose last answer was lost nobody knows, and what is sent again says itself what it is.
 */
export function createWriteQueue(db: RoanDatabase, { shared = false, wrote }: WriteQueueOptions = {}): WriteQueue {
  const waiting: Waiting[] = [];
  let running: Promise<void> | null = null;
  const memory = rememberRows();

  const tryOnce = async (actions: readonly Action[]): Promise<Tried> => {
    let isAllSaid = false;
    let number = 0;
    let ran: Transaction | null = null;
    try {
      const values = await db.transaction(async tx => {
        ran = tx;
        memory.begin(tx);
        const made: unknown[] = [];
        for (const action of actions) made.push(await action(tx));
        if (wrote) number = await countWrite(tx);
        isAllSaid = true;
        return made;
      });
      wrote?.(number);
      if (ran) memory.written(ran);
      return { ok: true, values };
    } catch (error) {
      memory.failed();
      return { ok: false, error, isAllSaid };
    }
  };
  const run = async (actions: readonly Action[]): Promise<Tried> => {
    let tried = await tryOnce(actions);
    for (const waitMs of shared ? AGAIN_MS : []) {
      if (tried.ok || tried.isAllSaid || !isPassing(tried.error)) break;
      // Two that stood in each other's way are not to do so again.
      await new Promise(resolve => setTimeout(resolve, waitMs * (0.5 + Math.random())));
      tried = await tryOnce(actions);
    }
    return tried;
  };
  const finish = (own: readonly Waiting[], tried: Tried) =>
    own.forEach(({ done, failed }, at) =>
      tried.ok ? done(tried.values[at] as never) : failed(asSentence(tried.error)),
    );
  const drain = async () => {
    while (waiting.length > 0) {
      const own = waiting.splice(0, shared ? MOST_TOGETHER : 1);
      const tried = await run(own.map(({ action }) => action));
      if (tried.ok || tried.isAllSaid || own.length === 1) finish(own, tried);
      // One of them is at fault: which, each by itself tells.
      else for (const one of own) finish([one], await run([one.action]));
    }
    running = null;
  };
  const write = <T>(action: (tx: Transaction) => Promise<T>): Promise<T> => {
    const made = new Promise<T>((done, failed) => void waiting.push({ action, done, failed }));
    running ??= Promise.resolve().then(drain);
    return made;
  };
  return Object.assign(write, {
    idle: async () => {
      while (running) await running;
    },
  });
}
