/** How much JavaScript a page asks for before it is there: the scripts that its HTML names, compressed as a server sends them. */
import { gzipSync } from 'node:zlib';
import { RoanServer } from '../e2e/support/roanServer';

/** Pages that are opened from the way in; those of one layout, horse or lesson are followed from there. */
const PAGES = ['/yard', '/plan', '/set', '/ride', '/review'];
/** The first link of these to one thing is opened too. */
const FOLLOWED = [
  /href="(\/plan\/[0-9a-f-]{36})"/,
  /href="(\/set\/[0-9a-f-]{36})"/,
  /href="(\/review\/[0-9a-f-]{36})"/,
];

export type PageScripts = { page: string; kB: number };

/** The JavaScript of the main pages, the most first. */
export async function benchScripts(): Promise<PageScripts[]> {
  const server = await RoanServer.start('demo');
  try {
    const sizes = new Map<string, number>();
    const html = async (page: string) => (await fetch(`${server.url}${page}`)).text();
    const sizeOf = async (src: string) => {
      const known = sizes.get(src);
      if (known !== undefined) return known;
      const bytes = Buffer.from(await (await fetch(`${server.url}${src}`)).arrayBuffer());
      sizes.set(src, gzipSync(bytes).length);
      return sizes.get(src)!;
    };
    const pages = new Map<string, string>();
    for (const page of PAGES) pages.set(page, await html(page));
    for (const text of [...pages.values()])
      for (const link of FOLLOWED) {
        const page = link.exec(text)?.[1];
        if (page && ![...pages.keys()].some(known => link.test(`href="${known}"`))) pages.set(page, await html(page));
      }
    const found: PageScripts[] = [];
    for (const [page, text] of pages) {
      // Browsers that know modules leave the scripts for old ones alone.
      const tags = text.match(/<script\b[^>]*\bsrc="[^"]+"[^>]*>/g) ?? [];
      const srcs = new Set(tags.filter(tag => !/nomodule/i.test(tag)).map(tag => /src="([^"]+)"/.exec(tag)![1]!));
      let bytes = 0;
      for (const src of srcs) bytes += await sizeOf(src);
      found.push({ page: page.replace(/[0-9a-f-]{36}/, '…'), kB: bytes / 1000 });
    }
    return found.sort((a, b) => b.kB - a.kB);
  } finally {
    await server.stop();
  }
}
