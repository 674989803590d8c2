import { oneForAll } from './oneForAll';
import type { WriteQueue } from './database';

const writers = oneForAll('writers', () => new WeakMap<object, WriteQueue>());

/** Says through which queue what is read here is written. */
export function writesWith(db: object, write: WriteQueue): void {
  writers.set(db, write);
}

/** The queue of a database; none where it is only read, as in a worker, or within a write. */
export function writerOf(db: object): WriteQueue | undefined {
  return writers.get(db);
}
