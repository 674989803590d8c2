import type { WriteQueue } from './writeQueue';

/** On the global object: what opens the database and what reads it may have been bundled apart. */
const holder = globalThis as typeof globalThis & { roanWriters?: WeakMap<object, WriteQueue> };

const writers = (): WeakMap<object, WriteQueue> => (holder.roanWriters ??= new WeakMap());

/** Says through which queue what is read here is written. */
export function writesWith(db: object, write: WriteQueue): void {
  writers().set(db, write);
}

/** The queue of a database; none where it is only read, as in a worker, or within a write. */
export function writerOf(db: object): WriteQueue | undefined {
  return writers().get(db);
}
