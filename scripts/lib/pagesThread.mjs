import { createServer } from 'node:http';
import { setPriority } from 'node:os';
import { parentPort, workerData } from 'node:worker_threads';

const LESS_URGENT = 10;

/** The framework once more, in a thread of its own: it makes pages, and says when it can. */
const { hostname, port, door } = workerData;
process.env.ROAN_PAGES_THREAD = '1';
// Whoever taps comes first, then whoever waits for a paper.
// Elsewhere it would be all of Roan that is less urgent.
if (process.platform === 'linux') setPriority(0, LESS_URGENT);
const { default: next } = await import('next');
const app = next({ dev: false, hostname, port });
const { log } = console;
console.log = () => undefined;
await app.prepare();
console.log = log;
createServer(app.getRequestHandler()).listen(door, () => parentPort.postMessage('ready'));
