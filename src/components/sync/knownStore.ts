import { openDB, type IDBPDatabase } from 'idb';

/** The last answer of the server to each box, so that a page that was kept earlier shows nothing older than was seen here. */
export type KnownAnswer = { number: number; body: unknown };

type Row = KnownAnswer & { box: string; atMs: number };

const NAME = 'roan-known';
/** Nobody opens a page that is older without the server. */
const KEPT_MS = 14 * 24 * 3600 * 1000;

let opening: Promise<IDBPDatabase> | null = null;
const opened = () =>
  (opening ??= openDB(NAME, 1, { upgrade: db => void db.createObjectStore('answers', { keyPath: 'box' }) }));

/** What was answered last for a box, on this device; null where nothing was, or the browser keeps nothing. */
export async function knownAnswer(box: string): Promise<KnownAnswer | null> {
  try {
    return ((await (await opened()).get('answers', box)) as Row | undefined) ?? null;
  } catch {
    return null;
  }
}

const waiting = new Map<string, Row>();
let writing: Promise<void> | null = null;

/** Keeps an answer; of several that come while one is written, the last. What cannot be kept is only asked for again. */
export function keepAnswer(box: string, { number, body }: KnownAnswer, nowMs: number): Promise<void> {
  waiting.set(box, { box, number, body, atMs: nowMs });
  writing ??= write()
    .catch(() => waiting.clear())
    .finally(() => {
      writing = null;
    });
  return writing;
}

async function write(): Promise<void> {
  const db = await opened();
  while (waiting.size > 0) {
    const rows = [...waiting.values()];
    waiting.clear();
    const tx = db.transaction('answers', 'readwrite');
    for (const row of rows) await tx.store.put(row);
    for (const row of (await tx.store.getAll()) as Row[])
      if (row.atMs < rows[0]!.atMs - KEPT_MS) await tx.store.delete(row.box);
    await tx.done;
  }
}

/** Forgets all answers: they are of whoever was signed in. */
export async function forgetKnown(): Promise<void> {
  waiting.clear();
  await (await opened()).clear('answers');
}
