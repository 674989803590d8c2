import 'server-only';
import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import { DatabaseRefused, StoreFault } from '@/data/databaseRefused';
import { ASKED_BY } from '@/files/askedBy';
import { createHeavyWork, GivenUp, TooMuchAsked, type Asker, type Hand } from './createHeavyWork';
import type { Told } from './heavy.worker';
import type { Task, TaskInput, TaskResult } from './tasks';

/** So many wait at most: a yard prints a handful of sheets before a lesson. */
const MOST_WAITING = 50;
/** One processor is left to those who tap. */
const HANDS = Math.max(1, Math.min(3, availableParallelism() - 1));

type Work = ReturnType<typeof createHeavyWork>;
/** Routes, pages and the start are bundles of their own: they share one line of work. */
const holder = globalThis as typeof globalThis & { roanHeavyWork?: Work };

const line = () => (holder.roanHeavyWork ??= createHeavyWork(start, { hands: HANDS, mostWaiting: MOST_WAITING }));

const start = () => new Worker(new URL('./heavy.worker.ts', import.meta.url)) as unknown as Hand;

/**
 * Has something that takes long done beside the thread that takes taps.
 * @param asker - where whoever asked is gone the work is given up
 * @throws {StoreFault} more is asked for than can be done now, or the store failed; {DatabaseRefused} what the work refused
 */
export async function heavyWork<Name extends Task>(
  task: Name,
  input: TaskInput<Name>,
  asker?: Asker,
): Promise<TaskResult<Name>> {
  const told = await line()({ task, input }, asker).catch((error: unknown) => {
    if (error instanceof TooMuchAsked)
      throw new StoreFault('Roan is busy with what others asked for: ask once more in a moment.');
    if (error instanceof GivenUp) throw new StoreFault('Nobody waits for this any more.');
    throw error;
  });
  if (told.ok) return told.result as TaskResult<Name>;
  throw asError(told);
}

/** Who asked for something that takes long, by their request. */
export const askerOf = ({ signal, headers }: Request): Asker => ({ signal, name: headers.get(ASKED_BY) });

/** How many are done before what was asked for by a name is begun. */
export const heavyBefore = (name: string): number => line().before(name);

function asError({ kind, message, codes }: Told & { ok: false }): Error {
  if (kind === 'store') return new StoreFault(message, { cause: new Error(codes) });
  return kind === 'refused' ? new DatabaseRefused(message) : new Error(codes || message);
}
