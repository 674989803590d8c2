/// <reference lib="webworker" />
import { FILES_BEFORE, isForTheArena, KEEP, KEPT } from '@/files/keptPages';
import { NetworkFirst, Serwist, type PrecacheEntry } from 'serwist';
import { countWaiting } from './countWaiting';
import { createKeeper } from './keeper';
import { asShown, isKeepable } from './keptAnswer';
import { notKeptPage } from './notKept';

/**
 * Answers in the server's place where there is no connection: keeps the files of its build, and the pages of the day. A page
 * comes from the server first, and from here where that does not answer; what is written never goes through here.
 */
declare const self: ServiceWorkerGlobalScope & { __SW_MANIFEST: (PrecacheEntry | string)[] };

const files = self.__SW_MANIFEST;
const urlOf = (entry: PrecacheEntry | string) => (typeof entry === 'string' ? entry : entry.url);
/** Every build has a list of files of its own. */
const build = files
  .map(urlOf)
  .reduce((sum, url) => [...url].reduce((n, c) => (n * 31 + c.charCodeAt(0)) >>> 0, sum), 7);

const keeper = createKeeper(build.toString(36), {
  caches: self.caches,
  fetch: (href, init) => self.fetch(href, init),
  nowMs: () => Date.now(),
});
const serwist = new Serwist({ precacheEntries: files, skipWaiting: true, clientsClaim: true });

/** A page that the server has not answered by then is shown as it is kept. */
const PATIENCE_S = 5;
/** A server before Roan's, or Roan while it starts: as good as no answer. */
const NOT_THERE = new Set([502, 503, 504]);

const pages = new NetworkFirst({
  cacheName: keeper.cacheName,
  networkTimeoutSeconds: PATIENCE_S,
  matchOptions: { ignoreVary: true },
  plugins: [
    {
      fetchDidSucceed: async ({ response }) => {
        if (NOT_THERE.has(response.status)) throw new Error('Roan does not answer');
        return response;
      },
      cacheWillUpdate: async ({ request, response }) =>
        isKeepable(response) && isForTheArena(new URL(request.url).pathname)
          ? keeper.asVisited(request.url, response)
          : null,
      cachedResponseWillBeUsed: async ({ cachedResponse }) => (cachedResponse ? asShown(cachedResponse) : undefined),
      handlerDidError: async ({ request }) => {
        const { pathname, search } = new URL(request.url);
        // Roan begins where the day of whoever is signed in does.
        for (const begin of pathname === '/' ? BEGINS : [])
          if (await keeper.find(begin)) return Response.redirect(begin);
        const kept = await keeper.find(pathname + search);
        return kept ? asShown(kept) : nothingKept();
      },
    },
  ],
});

const BEGINS = ['/today', '/set', '/mine'];

async function nothingKept(): Promise<Response> {
  const html = notKeptPage(await keeper.pages(), await countWaiting(self.indexedDB), Date.now());
  return new Response(html, { status: 503, headers: { 'content-type': 'text/html; charset=utf-8' } });
}

/**
 * A file of a build, of this one or the one before. Without an address of its own: a worker's parameters stand behind the one
 * that it was asked by.
 */
async function fileOf(request: Request): Promise<Response> {
  const kept =
    (await serwist.matchPrecache(request.url.split('#')[0]!)) ??
    (await self.caches.open(FILES_BEFORE).then(cache => cache.match(request, { ignoreVary: true })));
  return kept ? new Response(kept.body, { status: kept.status, headers: kept.headers }) : self.fetch(request);
}

/** Before the files of a build before are let go they are laid aside: a page of it may be open, and ask for more of them. */
async function layAside(): Promise<void> {
  const now = new Set(files.map(entry => new URL(urlOf(entry), self.location.href).href));
  const before = await self.caches.open(FILES_BEFORE);
  for (const name of (await self.caches.keys()).filter(one => one.includes('-precache-'))) {
    const cache = await self.caches.open(name);
    for (const request of await cache.keys()) {
      const isOld = !now.has(request.url.split('?')[0]!);
      const answer = isOld ? await cache.match(request) : undefined;
      if (answer) await before.put(request, answer);
    }
  }
}

let lookedAtMs = 0;
let keeping: Promise<void> | null = null;
let next: Promise<void> | null = null;
/** However often pages ask, it is looked so seldom; who asked meanwhile is looked for once more. */
const EVERY_MS = 10_000;

function keep(): Promise<void> {
  if (keeping === null) return begin();
  next ??= keeping.then(begin);
  return next;
}

function begin(): Promise<void> {
  next = null;
  const waitMs = Math.max(0, lookedAtMs + EVERY_MS - Date.now());
  keeping = new Promise(resolve => setTimeout(resolve, waitMs))
    .then(async () => {
      lookedAtMs = Date.now();
      await keeper.keep();
      for (const client of await self.clients.matchAll()) client.postMessage(KEPT);
    })
    .catch(() => undefined)
    .finally(() => {
      keeping = null;
    });
  return keeping;
}

self.addEventListener('install', event => event.waitUntil(layAside().catch(() => undefined)));
self.addEventListener('activate', event => event.waitUntil(keep()));
self.addEventListener('message', event => {
  if (event.data === KEEP) event.waitUntil(keep());
});
self.addEventListener('fetch', event => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (origin !== self.location.origin || request.method !== 'GET') return;
  const answer = () => {
    if (pathname.startsWith('/_next/static/')) return fileOf(request);
    if (request.mode === 'navigate' && !pathname.startsWith('/api/')) return pages.handle({ event, request });
    return null;
  };
  const answered = answer();
  if (!answered) return;
  event.respondWith(answered);
  event.stopImmediatePropagation();
});
serwist.addEventListeners();
