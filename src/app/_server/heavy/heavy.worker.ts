import { setPriority } from 'node:os';
import { parentPort } from 'node:worker_threads';
import { codesOf, DatabaseRefused, StoreFault } from '@/data/databaseRefused';
import { TASKS, type Task } from './tasks';
import { wholeBuffers } from './wholeBuffers';

const LESS_URGENT = 5;

/** One task at a time, as it is asked for. */
export type Asked = { task: Task; input: unknown };
export type Told =
  { ok: true; result: unknown } | { ok: false; kind: 'refused' | 'store' | 'fault'; message: string; codes: string };

// Of a busy machine it has a third of what a thread with taps has: with a tenth, a page that waits for its sheet waits too long.
// Elsewhere it would be all of Roan that is less urgent.
if (process.platform === 'linux') setPriority(0, LESS_URGENT);

parentPort!.on('message', ({ task, input }: Asked) => {
  void answer(task, input).then(told => parentPort!.postMessage(told, told.ok ? wholeBuffers(told.result) : []));
});

async function answer(task: Task, input: unknown): Promise<Told> {
  try {
    return { ok: true, result: await (TASKS[task] as (given: unknown) => unknown)(input) };
  } catch (error) {
    const kind = error instanceof StoreFault ? 'store' : error instanceof DatabaseRefused ? 'refused' : 'fault';
    const message = error instanceof Error ? error.message : 'a fault without words';
    // A class of an error does not come through: its kind and its codes do.
    return { ok: false, kind, message, codes: codesOf(error) };
  }
}
