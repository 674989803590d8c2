import {
  KEPT_AT,
  KEPT_STAMP,
  KEPT_WORDS,
  OWNER_URL,
  PAGES_CACHE,
  FILES_BEFORE,
  type KeepList,
  type PageToKeep,
} from '@/files/keptPages';
import { asKept, isKeepable, titleOf } from './keptAnswer';

/** What the keeper needs of the browser. */
export type Surroundings = {
  caches: Pick<CacheStorage, 'open' | 'keys' | 'delete'>;
  fetch: (href: string, init?: RequestInit) => Promise<Response>;
  nowMs: () => number;
};

export type KeptPage = { href: string; words: string; atMs: number };

/** So long a page is good, though its stamp is the same: stamps know of plans, not of every tap. */
const GOOD_MS = 30 * 60 * 1000;
/** So long a page is kept that was looked at and is not on the list. */
const LEFT_MS = 7 * 24 * 3600 * 1000;
/** So many pages are asked for at once: whoever uses the server comes first. */
const AT_ONCE = 2;

/**
 * Keeps the pages that a day needs, asked for again where they changed.
 * @param build - names the build whose pages are kept
 */
export function createKeeper(build: string, { caches, fetch, nowMs }: Surroundings) {
  const own = PAGES_CACHE + build;

  /** Forgets all pages: somebody else is there, or nobody any more. What waits to be sent is not here. */
  const forget = async () => {
    const names = await caches.keys();
    await Promise.all(names.filter(name => name.startsWith(PAGES_CACHE)).map(name => caches.delete(name)));
  };

  const keepOwner = async (owner: string) => {
    const known = await (await caches.open(own)).match(OWNER_URL);
    if (known && (await known.text()) === owner) return;
    const names = (await caches.keys()).filter(name => name.startsWith(PAGES_CACHE) && name !== own);
    const before = await Promise.all(
      names.map(async name => (await (await caches.open(name)).match(OWNER_URL))?.text()),
    );
    // Pages of a build before stay until those of this one are there, if they are of the same person and yard.
    if (known || before.some(one => one !== owner)) await forget();
    await (await caches.open(own)).put(OWNER_URL, new Response(owner));
  };

  const isGood = (kept: Response | undefined, stamp: string) =>
    kept !== undefined &&
    kept.headers.get(KEPT_STAMP) === stamp &&
    nowMs() - Number(kept.headers.get(KEPT_AT)) < GOOD_MS;

  /** @returns whether the page is kept as it is now */
  const keepPage = async ({ href, words, stamp }: PageToKeep): Promise<boolean> => {
    const cache = await caches.open(own);
    if (isGood(await cache.match(href, { ignoreVary: true }), stamp)) return true;
    const answer = await fetch(href, { headers: { accept: 'text/html' }, cache: 'no-store' }).catch(() => null);
    if (!answer || !isKeepable(answer)) return false;
    const kept = await asKept(answer, nowMs(), stamp);
    kept.headers.set(KEPT_WORDS, encodeURIComponent(words));
    await cache.put(href, kept);
    return true;
  };

  /** Lets go of what is of a build before, and of pages that nobody asks for any more. */
  const tidy = async (list: KeepList) => {
    const older = (await caches.keys()).filter(name => name.startsWith(PAGES_CACHE) && name !== own);
    await Promise.all([...older, FILES_BEFORE].map(name => caches.delete(name)));
    const cache = await caches.open(own);
    const wanted = new Set([OWNER_URL, ...list.pages.map(({ href }) => href)]);
    for (const { url } of await cache.keys()) {
      const { pathname, search } = new URL(url);
      const kept = wanted.has(pathname + search) ? undefined : await cache.match(url, { ignoreVary: true });
      if (kept && nowMs() - Number(kept.headers.get(KEPT_AT)) > LEFT_MS) await cache.delete(url, { ignoreVary: true });
    }
  };

  return {
    cacheName: own,
    forget,
    /**
     * Keeps what the server lists for whoever is signed in.
     * @returns whether all of it is kept
     */
    async keep(): Promise<boolean> {
      const answer = await fetch('/api/keep', { cache: 'no-store' }).catch(() => null);
      // Signed out, perhaps from elsewhere: the yard's pages are not for this device any more.
      if (answer?.status === 401) await forget();
      if (!answer?.ok) return false;
      const list = (await answer.json()) as KeepList;
      await keepOwner(list.owner);
      const waiting = [...list.pages];
      let all = true;
      const work = async () => {
        for (let page = waiting.shift(); page; page = waiting.shift()) all = (await keepPage(page)) && all;
      };
      await Promise.all(Array.from({ length: AT_ONCE }, work));
      if (all) await tidy(list);
      return all;
    },
    /** A page that was looked at, as it is kept: it goes by the words that it went by. */
    async asVisited(url: string, answer: Response): Promise<Response> {
      const kept = await asKept(answer, nowMs());
      const words = (await (await caches.open(own)).match(url, { ignoreVary: true }))?.headers.get(KEPT_WORDS);
      if (words) kept.headers.set(KEPT_WORDS, words);
      return kept;
    },
    /** A page that is kept, the newest build's first; undefined where none is. */
    async find(href: string): Promise<Response | undefined> {
      const names = (await caches.keys()).filter(name => name.startsWith(PAGES_CACHE));
      for (const name of [own, ...names.filter(one => one !== own).reverse()]) {
        const kept = names.includes(name) && (await (await caches.open(name)).match(href, { ignoreVary: true }));
        if (kept) return kept;
      }
      return undefined;
    },
    /** All that is kept, as it is told where something else was asked for. */
    async pages(): Promise<KeptPage[]> {
      const known = new Map<string, KeptPage>();
      for (const name of (await caches.keys()).filter(one => one.startsWith(PAGES_CACHE))) {
        const cache = await caches.open(name);
        for (const { url } of await cache.keys()) {
          const { pathname, search } = new URL(url);
          const kept = pathname === OWNER_URL ? undefined : await cache.match(url, { ignoreVary: true });
          if (!kept) continue;
          const said = kept.headers.get(KEPT_WORDS);
          const words = said ? decodeURIComponent(said) : (titleOf(await kept.text()) ?? pathname);
          known.set(pathname + search, { href: pathname + search, words, atMs: Number(kept.headers.get(KEPT_AT)) });
        }
      }
      return [...known.values()];
    },
  };
}

export type Keeper = ReturnType<typeof createKeeper>;
