import { FILES_BEFORE, KEPT_AT, OWNER_URL, PAGES_CACHE, type KeepList } from '@/files/keptPages';
import { asShown } from './keptAnswer';
import { createKeeper } from './keeper';
import { notKeptPage } from './notKept';

const ORIGIN = 'https://roan.example';

/** The browser's caches, as far as they are used: an address stands for itself, whatever it is asked with. */
function fakeCaches() {
  const all = new Map<string, Map<string, Response>>();
  const urlOf = (asked: RequestInfo | URL) =>
    new URL(typeof asked === 'string' ? asked : (asked as Request).url, ORIGIN).href;
  return {
    open: async (name: string) => {
      const cache = all.get(name) ?? all.set(name, new Map()).get(name)!;
      return {
        match: async (asked: RequestInfo) => cache.get(urlOf(asked))?.clone(),
        put: async (asked: RequestInfo, answer: Response) => void cache.set(urlOf(asked), answer),
        delete: async (asked: RequestInfo) => cache.delete(urlOf(asked)),
        keys: async () => [...cache.keys()].map(url => ({ url })),
      } as unknown as Cache;
    },
    keys: async () => [...all.keys()],
    delete: async (name: string) => all.delete(name),
  };
}

const page = (title: string) =>
  new Response(`<!doctype html><html lang="en-GB"><head><title>${title} · Roan</title></head></html>`, {
    headers: { 'content-type': 'text/html; charset=utf-8' },
  });

const LIST: KeepList = {
  owner: 'maud',
  pages: [
    { href: '/today', words: 'Today', stamp: 'a' },
    { href: '/set/bend', words: 'Set out: The bend', stamp: 'a' },
  ],
};

function world(list: KeepList = LIST) {
  const caches = fakeCaches();
  const asked: string[] = [];
  const server = { list, status: 200, pages: (href: string): Response | null => page(href), nowMs: 1_000_000 };
  const keeperOf = (build: string) =>
    createKeeper(build, {
      caches,
      fetch: async href => {
        asked.push(href);
        if (href !== '/api/keep') return server.pages(href) ?? Promise.reject(new Error('no connection'));
        return server.status === 200 ? Response.json(server.list) : Response.json({}, { status: server.status });
      },
      nowMs: () => server.nowMs,
    });
  return { caches, asked, server, keeperOf };
}

test('what the server lists is kept, and is asked for again only when it changed or grew old', async () => {
  const { asked, server, keeperOf } = world();
  const keeper = keeperOf('one');
  expect(await keeper.keep()).toBe(true);
  expect((await keeper.pages()).map(({ href, words }) => [href, words])).toEqual([
    ['/today', 'Today'],
    ['/set/bend', 'Set out: The bend'],
  ]);
  asked.length = 0;
  await keeper.keep();
  expect(asked).toEqual(['/api/keep']);
  server.list = { ...LIST, pages: [LIST.pages[0]!, { ...LIST.pages[1]!, stamp: 'b' }] };
  await keeper.keep();
  expect(asked).toEqual(['/api/keep', '/api/keep', '/set/bend']);
  server.nowMs += 31 * 60_000;
  await keeper.keep();
  expect(asked.slice(3)).toEqual(['/api/keep', '/today', '/set/bend']);
});

test('what was sent on, refused or broken is not kept; what was kept before stays', async () => {
  const { server, keeperOf } = world();
  const keeper = keeperOf('one');
  await keeper.keep();
  server.list = { ...LIST, pages: LIST.pages.map(one => ({ ...one, stamp: 'b' })) };
  for (const broken of [
    () => null,
    () => new Response('no', { status: 503, headers: { 'content-type': 'text/html' } }),
    () => Response.json({}),
    () => Object.defineProperty(page('Sign in'), 'redirected', { value: true }),
  ]) {
    server.pages = broken;
    expect(await keeper.keep()).toBe(false);
    expect(await (await keeper.find('/today'))!.text()).toContain('<title>/today');
  }
});

test('of another person nothing is left, and of nobody either; without an answer all of it stays', async () => {
  const { server, keeperOf } = world();
  const keeper = keeperOf('one');
  await keeper.keep();
  server.status = 500;
  expect(await keeper.keep()).toBe(false);
  expect(await keeper.pages()).toHaveLength(2);
  server.status = 200;
  server.list = { owner: 'jory', pages: [LIST.pages[1]!] };
  await keeper.keep();
  expect((await keeper.pages()).map(({ href }) => href)).toEqual(['/set/bend']);
  server.status = 401;
  await keeper.keep();
  expect(await keeper.pages()).toEqual([]);
});

test('pages of the build before are shown until those of the newer one are kept, and go then with its files', async () => {
  const { caches, server, keeperOf } = world();
  await keeperOf('one').keep();
  await caches.open(FILES_BEFORE);
  const newer = keeperOf('two');
  server.pages = href => (href === '/today' ? page('newer') : null);
  expect(await newer.keep()).toBe(false);
  expect(await (await newer.find('/today'))!.text()).toContain('newer');
  expect(await (await newer.find('/set/bend'))!.text()).toContain('/set/bend');
  expect(await caches.keys()).toContain(FILES_BEFORE);
  server.pages = page;
  expect(await newer.keep()).toBe(true);
  expect(await caches.keys()).toEqual([`${PAGES_CACHE}two`]);
});

test('a page that was looked at keeps its words, and goes after a week', async () => {
  const { caches, server, keeperOf } = world();
  const keeper = keeperOf('one');
  await keeper.keep();
  const cache = await caches.open(keeper.cacheName);
  await cache.put('/today', await keeper.asVisited('/today', page('Today')));
  await cache.put('/ride/v/p', await keeper.asVisited('/ride/v/p', page('Larkspur rides')));
  expect((await keeper.pages()).map(({ words }) => words)).toEqual(['Today', 'Set out: The bend', 'Larkspur rides']);
  server.nowMs += 8 * 24 * 3600 * 1000;
  await keeper.keep();
  expect((await keeper.pages()).map(({ href }) => href)).toEqual(['/today', '/set/bend']);
  expect(await (await cache.match(OWNER_URL))!.text()).toBe('maud');
});

test('a kept page says when it was kept, and nothing else of it is changed', async () => {
  const kept = new Response('<!doctype html><html lang="en-GB"><body>x</body></html>', {
    headers: { [KEPT_AT]: '1234' },
  });
  expect(await (await asShown(kept)).text()).toBe(
    '<!doctype html><html data-kept-at="1234" lang="en-GB"><body>x</body></html>',
  );
});

test('where nothing is kept of a page, what is kept is told, and what waits; names stay text', () => {
  const atMs = new Date(2026, 5, 1, 9, 40).getTime();
  const pages = [{ href: '/set/a"b', words: '<b>The bend</b>', atMs }];
  const html = notKeptPage(pages, 3, atMs + 60_000);
  expect(html).toContain('&#60;b&#62;The bend&#60;/b&#62;<small>as of 9:40</small>');
  expect(html).not.toContain('a"b');
  expect(html).toContain('3 taps wait on this device');
  expect(notKeptPage([], 1, atMs)).toContain('1 tap waits on this device, and is sent');
  expect(notKeptPage([], 0, atMs)).not.toContain('wait');
  expect(notKeptPage([], null, atMs)).toContain('No page is kept on this device');
});
