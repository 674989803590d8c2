import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { isPage, pagesBeside } from './pagesBeside.mjs';

const WHERE = { hostname: '127.0.0.1', port: 1 };
/** Stands for the framework: it answers with what it was asked, has something kept, and ends when it is told to. */
const THREAD = `
import { createServer } from 'node:http';
import { parentPort, workerData } from 'node:worker_threads';
let kept = 'nothing';
parentPort.on('message', ({ number, isKept }) => (kept = number + ' ' + isKept));
createServer((request, response) => {
  if (request.url === '/end') return process.exit();
  if (request.url === '/keep') parentPort.postMessage({ number: 7, finding: { what: 'grounds' } });
  response.writeHead(201, { 'set-cookie': ['a=1', 'b=2'] });
  response.end(request.headers['x-roan-address'] + ' ' + request.url + ' ' + kept);
}).listen(workerData.door, () => parentPort.postMessage('ready'));
`;

const holder = globalThis as typeof globalThis & { roanKeep?: (finding: unknown) => Promise<void> };
let folder: string;
let file: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'roan-thread-'));
  file = path.join(folder, 'thread.mjs');
  writeFileSync(file, THREAD);
});
afterEach(() => {
  rmSync(folder, { recursive: true, force: true });
  delete holder.roanKeep;
});

/** A server with a thread beside it that makes pages; it makes those itself that nobody else does. */
async function withServer(test: (ask: (url: string) => Promise<Response>) => Promise<void>): Promise<void> {
  const pages = pagesBeside(WHERE, { afterMs: 0, againMs: 50, thread: pathToFileURL(file) });
  const server = createServer((request: IncomingMessage, response: ServerResponse) => {
    request.headers['x-roan-address'] = 'here';
    const here = () => void response.end('made here');
    if (!pages.answer(request, response, here)) here();
  });
  await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  try {
    await test(url => fetch(`http://127.0.0.1:${port}${url}`));
  } finally {
    server.closeAllConnections();
    server.close();
    pages.end();
  }
}

/** Asks until the thread answers, and says what is waited for. */
async function madeBeside(ask: (url: string) => Promise<Response>, url: string, says = ''): Promise<Response> {
  for (let time = 0; time < 200; time += 1) {
    const answer = await ask(url);
    if (answer.status === 201 && (await answer.clone().text()).includes(says)) return answer;
    await new Promise(resolve => setTimeout(resolve, 20));
  }
  throw new Error(`The thread never said “${says}”.`);
}

test('a page is what is read and is no file, no route and no script', () => {
  const is = (method: string, url: string) => isPage({ method, url });
  expect(is('GET', '/today')).toBe(true);
  expect(is('GET', '/plan/59636642-2ee8-4db8-a0e3-1b6b407745b9?view=saddle')).toBe(true);
  expect(is('GET', '/s/token?to=a.b')).toBe(true);
  expect(is('POST', '/today')).toBe(false);
  expect(is('GET', '/api/feed/token')).toBe(false);
  expect(is('GET', '/_next/static/chunks/a.js')).toBe(false);
  expect(is('GET', '/icon.svg')).toBe(false);
});

test('until the thread is there its pages are made here; then it makes them, with all that was asked and answered', async () => {
  await withServer(async ask => {
    expect(await (await ask('/today')).text()).toBe('made here');
    const answer = await madeBeside(ask, '/today?day=2');
    expect(await answer.text()).toBe('here /today?day=2 nothing');
    expect(answer.headers.getSetCookie()).toEqual(['a=1', 'b=2']);
    expect(await (await ask('/api/record')).text()).toBe('made here');
  });
});

test('what a page found out is kept here, and the thread hears whether it was', async () => {
  await withServer(async ask => {
    const findings: unknown[] = [];
    holder.roanKeep = async finding => void findings.push(finding);
    await madeBeside(ask, '/keep');
    expect(findings).toEqual([{ what: 'grounds' }]);
    await madeBeside(ask, '/today', '7 true');
    holder.roanKeep = () => Promise.reject(new Error('the disk is full'));
    await ask('/keep');
    await madeBeside(ask, '/today', '7 false');
  });
});

test('a thread that ends in the middle loses no page, and another is begun', async () => {
  await withServer(async ask => {
    await madeBeside(ask, '/today');
    expect(await (await ask('/end')).text()).toBe('made here');
    expect(await (await ask('/today')).text()).toBe('made here');
    expect(await (await madeBeside(ask, '/today')).text()).toBe('here /today nothing');
  });
});
