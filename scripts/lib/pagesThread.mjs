import { createServer } from 'node:http';
import { setPriority } from 'node:os';
import { parentPort, workerData } from 'node:worker_threads';
import { beginFramework } from './framework.mjs';

const LESS_URGENT = 10;

/** The framework once more, in a thread of its own: it makes pages, and says when it can. */
const { hostname, port, door } = workerData;
process.env.ROAN_PAGES_THREAD = '1';
// Whoever taps comes first, then whoever waits for a paper. On other systems it would be all of Roan that is less urgent.
if (process.platform === 'linux') setPriority(0, LESS_URGENT);
createServer(await beginFramework({ hostname, port })).listen(door, () => parentPort.postMessage('ready'));
