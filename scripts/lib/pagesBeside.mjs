import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request as ask } from 'node:http';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { logLine } from './logLine.mjs';

/** A start is for the first visitors; then there is time for a second copy of the framework. */
const FIRST_MS = 60_000;
/** One that ended is begun again after so long. */
const AGAIN_MS = 60_000;

const PAGES_THREAD = new URL('./pagesThread.mjs', import.meta.url);
const saidAfterMs = () => Number(process.env.ROAN_PAGES_AFTER_MS ?? FIRST_MS);

/** Whether a request is one for a page: it changes nothing, and may take a while to be made. */
export function isPage({ method, url }) {
  return (
    method === 'GET' && !url.startsWith('/api/') && !url.startsWith('/_next/') && !/\.\w+$/.test(url.split('?')[0])
  );
}

/**
 * Pages are made by a thread of their own, a minute after the start: the one that takes taps then does nothing that takes long. Until it is
 * there, and where it ends, the one that takes taps makes them too.
 */
export function pagesBeside(
  { hostname, port },
  { afterMs = saidAfterMs(), againMs = AGAIN_MS, thread = PAGES_THREAD } = {},
) {
  // A door that is a file is open to this account alone; where there are none, one thread does everything.
  if (process.platform === 'win32') return { answer: () => false, end: () => undefined };
  const agent = new Agent({ keepAlive: true });
  let door = null;
  let worker = null;
  let waiting = null;
  const begin = () => {
    const folder = folderOfDoor();
    if (!folder) return;
    const own = path.join(folder, 'door');
    const over = () => rmSync(folder, { recursive: true, force: true });
    process.once('exit', over);
    worker = new Worker(thread, { workerData: { hostname, port, door: own } });
    worker.unref();
    worker.on('message', said => {
      if (said !== 'ready') return void keep(said).then(heard => worker.postMessage(heard));
      door = own;
      if (process.env.ROAN_LOG === 'requests') console.error(logLine('pages', { beside: true }));
    });
    worker.once('error', error => console.error(logLine('pages', { problem: error.message })));
    worker.once('exit', () => {
      door = null;
      over();
      process.removeListener('exit', over);
      wait(againMs);
    });
  };
  const wait = ms => (waiting = setTimeout(begin, ms).unref());
  wait(afterMs);
  /** Whether the thread answers a request: it is handed on as it came. */
  const answer = (request, response, otherwise) => {
    if (!door || !isPage(request)) return false;
    handOn({ socketPath: door, agent }, request, response, otherwise);
    return true;
  };
  const end = () => {
    clearTimeout(waiting);
    worker?.removeAllListeners('exit');
    void worker?.terminate();
    agent.destroy();
  };
  return { answer, end };
}

/** Where nothing can be written there is no door: one thread does everything. */
function folderOfDoor() {
  try {
    return mkdtempSync(path.join(tmpdir(), 'roan-pages-'));
  } catch (error) {
    console.error(logLine('pages', { problem: error.message }));
    return null;
  }
}

/** What a page found out on its way is written here, and the thread hears whether it was. */
async function keep({ number, finding }) {
  const isKept = await Promise.resolve(globalThis.roanKeep?.(finding)).then(
    () => true,
    () => false,
  );
  return { number, isKept };
}

/** Where nobody is behind the door any more, `otherwise`. */
function handOn(where, request, response, otherwise) {
  const { method, url, headers } = request;
  const asked = ask({ ...where, method, path: url, headers }, told => {
    response.writeHead(told.statusCode, told.statusMessage, told.rawHeaders);
    told.pipe(response);
    told.once('error', () => response.destroy());
  });
  asked.once('error', () => {
    if (response.headersSent) response.destroy();
    else if (!response.destroyed) otherwise();
  });
  response.once('close', () => asked.destroy());
  asked.end();
}
