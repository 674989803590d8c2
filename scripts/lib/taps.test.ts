import { createServer, request, type IncomingHttpHeaders } from 'node:http';
import type { AddressInfo } from 'node:net';
import { gunzipSync } from 'node:zlib';
import { answerTap, isTap } from './taps.mjs';

type Handed = { url: string; headers: IncomingHttpHeaders; body: Buffer };
const holder = globalThis as typeof globalThis & { roanTap?: (handed: Handed) => Promise<Response> };

afterEach(() => delete holder.roanTap);

/** What a tap is answered by a server that hands it to this. */
async function answered(answer: (handed: Handed) => Promise<Response>, headers: Record<string, string> = {}) {
  holder.roanTap = answer;
  const server = createServer((asked, response) => void answerTap(asked, response));
  await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  try {
    return await new Promise<{ status?: number; headers: IncomingHttpHeaders; body: Buffer }>((resolve, reject) => {
      const asked = request({ port, host: '127.0.0.1', method: 'POST', path: '/api/record', headers }, told => {
        const chunks: Buffer[] = [];
        told.on('data', (chunk: Buffer) => void chunks.push(chunk));
        told.on('end', () => resolve({ status: told.statusCode, headers: told.headers, body: Buffer.concat(chunks) }));
      });
      asked.on('error', reject);
      asked.end('{"events":[]}');
    });
  } finally {
    server.close();
  }
}

test('a tap is what comes to the record with a length that is told and not too much; all else is the framework’s', () => {
  const tap = { method: 'POST', url: '/api/record', headers: { 'content-length': '200' } };
  expect(isTap(tap)).toBe(false);
  holder.roanTap = async () => new Response();
  expect(isTap(tap)).toBe(true);
  expect(isTap({ ...tap, method: 'GET' })).toBe(false);
  expect(isTap({ ...tap, url: '/api/record/other' })).toBe(false);
  expect(isTap({ ...tap, headers: {} })).toBe(false);
  expect(isTap({ ...tap, headers: { 'content-length': 'much' } })).toBe(false);
  expect(isTap({ ...tap, headers: { 'content-length': String(512 * 1024) } })).toBe(true);
  expect(isTap({ ...tap, headers: { 'content-length': String(512 * 1024 + 1) } })).toBe(false);
});

test('what was sent reaches the route whole, and what it says comes back with what holds for every answer', async () => {
  let handed: Handed | null = null;
  const told = await answered(
    async one => {
      handed = one;
      return Response.json({ taken: 0 }, { status: 400, headers: { 'retry-after': '2' } });
    },
    { 'content-type': 'application/json', host: 'yard.local:4747', cookie: 'roan-session=sealed' },
  );
  expect(handed!.url).toBe('http://yard.local:4747/api/record');
  expect(handed!.headers.cookie).toBe('roan-session=sealed');
  expect(handed!.body.toString()).toBe('{"events":[]}');
  expect(told.status).toBe(400);
  expect(JSON.parse(told.body.toString())).toEqual({ taken: 0 });
  expect(told.headers).toMatchObject({
    'content-type': 'application/json',
    'retry-after': '2',
    'x-content-type-options': 'nosniff',
    'x-frame-options': 'DENY',
  });
  expect(told.headers['content-security-policy']).toContain("default-src 'none'");
});

test('a long answer is packed for who can unpack it, a short one for nobody', async () => {
  const long = 'a lesson of many marks '.repeat(200);
  const packs = { 'accept-encoding': 'gzip, br' };
  const packed = await answered(async () => new Response(long), packs);
  expect(packed.headers['content-encoding']).toBe('gzip');
  expect(packed.body.length).toBeLessThan(long.length / 5);
  expect(gunzipSync(packed.body).toString()).toBe(long);
  expect((await answered(async () => new Response(long))).body.toString()).toBe(long);
  expect((await answered(async () => new Response('short'), packs)).body.toString()).toBe('short');
});

test('a fault in the route is answered, and the next tap too', async () => {
  const fails = await answered(() => Promise.reject(new Error('a fault')));
  expect(fails.status).toBe(500);
  expect((await answered(async () => new Response('well'))).body.toString()).toBe('well');
});
