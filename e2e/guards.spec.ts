import { readdirSync, readFileSync } from 'node:fs';
import http from 'node:http';
import path from 'node:path';
import { expect, test } from './support/fixtures';

/** What the browser's own rules and every route's refusals are, on the built server. */

type Asked = { method?: string; headers?: Record<string, string>; body?: string | Buffer };
type Answer = { status: number; headers: http.IncomingHttpHeaders; text: string };

/** Asks as a program does: with any header, and with an address that is sent as it stands. */
function ask(url: string, at: string, { method = 'GET', headers = {}, body }: Asked = {}): Promise<Answer> {
  const { hostname, port } = new URL(url);
  return new Promise((resolve, reject) => {
    const request = http.request({ hostname, port, path: at, method, headers }, response => {
      let text = '';
      response.on('data', chunk => (text += String(chunk)));
      response.on('end', () => resolve({ status: response.statusCode!, headers: response.headers, text }));
    });
    request.on('error', reject);
    request.end(body);
  });
}

/** The sentence of a refusal: there always is one. */
const problemOf = ({ text }: Answer) => (JSON.parse(text) as { problem: string }).problem;

/** Every route of the application, as the folders name them. */
function routes(folder = 'src/app/api', at = '/api'): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap(entry => {
    if (entry.isFile()) return entry.name === 'route.ts' ? [at] : [];
    return routes(path.join(folder, entry.name), `${at}/${entry.name}`);
  });
}

test('no route answers a broken address, a foreign name or another site with anything but a sentence', async ({
  demoYard,
}) => {
  expect(routes().length).toBeGreaterThan(15);
  for (const route of routes()) {
    const known = route.replace(/\[\w+\]/g, 'none');
    const cases: [string, Asked, number[]][] = [
      [route.replace(/\[\w+\]/g, '%zz'), {}, route.includes('[') ? [404] : [200, 304, 400, 404, 405]],
      [route.replace(/\[\w+\]/g, '%00'), {}, route.includes('[') ? [404, 400, 405] : [200, 400, 404, 405]],
      [known, { headers: { host: 'roan.evil.example' } }, [421, 405]],
      [known, { method: 'POST', headers: { origin: 'http://evil.example' } }, [403, 405]],
      [known, { method: 'PUT', headers: { origin: 'null' } }, [403, 405]],
    ];
    for (const [at, asked, statuses] of cases) {
      const answer = await ask(demoYard.url, at, asked);
      const told = `${asked.method ?? 'GET'} ${at} ${JSON.stringify(asked.headers ?? {})}: ${answer.status}`;
      expect(statuses, told).toContain(answer.status);
      if (answer.status >= 400 && answer.status !== 405) expect(problemOf(answer), told).toMatch(/\w{2,}[: ]+\w+/);
    }
  }
});

test('what is sent wrong is refused with a status and a sentence', async ({ demoYard }) => {
  const json = { 'content-type': 'application/json' };
  const cases: [string, Asked, number, RegExp][] = [
    ['/api/record', { method: 'POST', headers: { 'content-type': 'text/plain' }, body: '{}' }, 415, /JSON/],
    ['/api/record', { method: 'POST', headers: json, body: '{' }, 400, /not JSON/],
    ['/api/record', { method: 'POST', headers: json, body: '{"events":[]}' }, 400, /events/],
    ['/api/record', { method: 'POST', headers: json, body: `"${'x'.repeat(600_000)}"` }, 413, /more than/],
    ['/api/layouts/none/ticks', { method: 'POST', headers: json, body: '{"ticks":[]}' }, 404, /not in the yard/],
    ['/api/layouts', { method: 'POST', headers: json, body: '{}' }, 400, /name/],
    [
      '/api/videos?pass=none&name=x',
      { method: 'POST', headers: { 'content-type': 'text/html' }, body: 'x' },
      415,
      /film/,
    ],
    ['/api/videos?pass=none&name=x', { method: 'POST', headers: { 'content-type': 'video/mp4' } }, 422, /empty/],
    [
      '/api/videos?pass=none&name=x',
      { method: 'POST', headers: { 'content-type': 'video/mp4' }, body: 'x' },
      422,
      /not in/,
    ],
    ['/api/archive', { method: 'POST', body: 'no zip' }, 422, /no archive/],
    ['/api/archive/backups/..%2f..%2froan.db', {}, 404, /not in the data folder/],
  ];
  for (const [at, asked, status, words] of cases) {
    const answer = await ask(demoYard.url, at, asked);
    expect([at, answer.status], answer.text.slice(0, 200)).toEqual([at, status]);
    expect(problemOf(answer)).toMatch(words);
  }
  // A mark that cannot be is refused inside the write, and says so.
  const mark = {
    ...{ type: 'mark', id: '11111111-1111-4111-8111-111111111111', atMs: Date.now() },
    passId: '22222222-2222-4222-8222-222222222222',
    mark: { id: '33333333-3333-4333-8333-333333333333', kind: 'hit', place: 1 },
  };
  const body = JSON.stringify({ events: [mark], lessonId: null });
  const inside = await ask(demoYard.url, '/api/record', { method: 'POST', headers: json, body });
  expect(inside.status).toBe(422);
  expect(problemOf(inside)).toMatch(/\w+ \w+/);
});

test(
  'every page carries its policy, is in no frame, and runs nothing that stands in it',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    const { headers, text } = await ask(demoYard.url, '/yard');
    const policy = String(headers['content-security-policy']);
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).not.toMatch(/script-src[^;]*unsafe/);
    expect(headers).toMatchObject({
      'x-content-type-options': 'nosniff',
      'x-frame-options': 'DENY',
      'referrer-policy': 'same-origin',
    });
    const nonce = /'nonce-([^']+)'/.exec(policy)![1]!;
    for (const script of text.match(/<script[^>]*>/g) ?? []) expect(script).toContain(nonce);
    // Another answer, another number.
    expect(String((await ask(demoYard.url, '/yard')).headers['content-security-policy'])).not.toContain(nonce);
    for (const at of [
      '/yard',
      '/plan',
      '/set',
      '/ride',
      '/ride/lessons/new',
      '/review',
      '/yard/archive',
      '/waiting',
      '/none',
    ])
      await page.goto(demoYard.url + at);
  },
);

test('what slips into a page as text runs nothing', async ({ demoYard, page }) => {
  await page.goto(`${demoYard.url}/yard`);
  const ran = await page.evaluate(async () => {
    const slipped = document.createElement('div');
    slipped.innerHTML = '<img src="/none.png" onerror="window.ran = true"><script>window.ran = true</' + 'script>';
    document.body.append(slipped);
    await new Promise(resolve => setTimeout(resolve, 1500));
    return 'ran' in window;
  });
  expect(ran).toBe(false);
});

/** Every action of the application, with an address that knows it, as the build lists them. */
function actions(): { id: string; at: string }[] {
  const listed = JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8')) as {
    node: Record<string, { workers: Record<string, unknown> }>;
  };
  return Object.entries(listed.node).map(([id, { workers }]) => {
    const page = Object.keys(workers).find(name => !name.includes('_not-found') && !name.includes('_global-error'))!;
    const at = page
      .replace(/^app/, '')
      .replace(/\/page$/, '')
      .replace(/\[\w+\]/g, 'none');
    return { id, at: at === '' ? '/yard' : at };
  });
}

test('no action answers what makes no sense with anything but a sentence', async ({ demoYard }) => {
  expect(actions().length).toBeGreaterThan(30);
  const nonsense = [
    '[null,null,null,null,null]',
    '["none","none","none","none","none"]',
    '[{},{},{},{},{}]',
    '[[],-1,1e300,"",0]',
  ];
  let refusals = 0;
  for (const { id, at } of actions())
    for (const body of nonsense) {
      const headers = { 'next-action': id, 'content-type': 'text/plain;charset=UTF-8', accept: 'text/x-component' };
      const own = { ...headers, origin: demoYard.url };
      const answer = await ask(demoYard.url, at, { method: 'POST', headers: own, body });
      const told = `${id.slice(0, 8)} at ${at} with ${body}: ${answer.status} ${answer.text.slice(0, 300)}`;
      expect(answer.status, told).toBeLessThan(500);
      if (!answer.text.includes('"ok":false')) continue;
      refusals += 1;
      // What is wrong is said: in a sentence, or at the fields.
      expect(answer.text, told).toMatch(/"problem":"\w+[^"]{8,}"|"fields":\{"/);
      expect(answer.text, told).not.toContain('Roan failed at this');
    }
  expect(refusals).toBeGreaterThan(80);
  // And none at all is done for another site.
  const [first] = actions();
  const foreign = { 'next-action': first!.id, 'content-type': 'text/plain', origin: 'http://evil.example' };
  expect((await ask(demoYard.url, first!.at, { method: 'POST', headers: foreign, body: '[]' })).status).toBe(403);
});
