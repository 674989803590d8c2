import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, request, type IncomingHttpHeaders } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { brotliDecompressSync } from 'node:zlib';
import { packStatics, staticsFrom } from './statics.mjs';

const SCRIPT = `${'const stride = 3.66; '.repeat(200)}\n`;
let folder: string;
let url: string;
let server: ReturnType<typeof createServer>;

beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'roan-statics-'));
  mkdirSync(path.join(folder, 'chunks'));
  writeFileSync(path.join(folder, 'chunks', 'large.js'), SCRIPT);
  writeFileSync(path.join(folder, 'chunks', 'small.js'), 'let a;');
  await packStatics(folder);
  const statics = staticsFrom(folder);
  server = createServer((asked, answer) => {
    const otherwise = () => void answer.writeHead(404).end(`framework: ${asked.url}`);
    if (!statics(asked, answer, otherwise)) otherwise();
  });
  await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve));
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => {
  server.close();
  rmSync(folder, { recursive: true, force: true });
});

/** As it comes over the wire: nothing is unpacked. */
function get(address: string, headers: Record<string, string> = {}, method = 'GET') {
  return new Promise<{ status: number; headers: IncomingHttpHeaders; body: Buffer }>((resolve, reject) => {
    request(`${url}${address}`, { method, headers }, answer => {
      const parts: Buffer[] = [];
      answer.on('data', (part: Buffer) => parts.push(part));
      answer.on('end', () =>
        resolve({ status: answer.statusCode!, headers: answer.headers, body: Buffer.concat(parts) }),
      );
    })
      .on('error', reject)
      .end();
  });
}

test('a script is sent packed to whoever knows it, and kept', async () => {
  const packed = await get('/_next/static/chunks/large.js', { 'accept-encoding': 'gzip, br' });
  expect(packed.headers).toMatchObject({
    'content-encoding': 'br',
    'cache-control': 'public,max-age=31536000,immutable',
    'x-content-type-options': 'nosniff',
    vary: 'Accept-Encoding',
  });
  expect(packed.headers['content-type']).toMatch(/javascript/);
  expect(packed.body.length).toBeLessThan(SCRIPT.length / 10);
  expect(brotliDecompressSync(packed.body).toString()).toBe(SCRIPT);
});

test('whoever does not know it gets the script as it is, as does one that is too small', async () => {
  const plain = await get('/_next/static/chunks/large.js');
  expect(plain.headers['content-encoding']).toBeUndefined();
  expect(plain.body.toString()).toBe(SCRIPT);
  const small = await get('/_next/static/chunks/small.js', { 'accept-encoding': 'br' });
  expect(small.headers['content-encoding']).toBeUndefined();
  expect(small.body.toString()).toBe('let a;');
});

test.each([
  '/today',
  '/_next/static/chunks/none.js',
  '/_next/static/../../package.json',
  '/_next/static/%2e%2e/server/a.js',
])('%s is for the framework, asked as it was', async address => {
  const answer = await get(address);
  expect(answer.status).toBe(404);
  expect(answer.body.toString()).toMatch(/^framework: /);
});

test('what would change something is no file', async () => {
  expect((await get('/_next/static/chunks/large.js', {}, 'POST')).body.toString()).toMatch(/^framework/);
});
