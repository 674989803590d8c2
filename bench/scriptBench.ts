/** How much JavaScript a page asks for before it is there: the scripts that its HTML names, as the server sends them. */
import { get } from 'node:http';
import { RoanServer } from '../e2e/support/roanServer';

/** Pages that are opened from the way in; those of one layout, horse or lesson are followed from there. */
const PAGES = ['/today', '/yard', '/plan', '/set', '/ride', '/review', '/ride/next', '/ride/season', '/yard/rules'];
/** The first link of these to one thing is opened too, each with its aim. */
const FOLLOWED = [
  /href="(\/plan\/[0-9a-f-]{36})"/,
  /href="(\/set\/[0-9a-f-]{36})"/,
  /href="(\/review\/[0-9a-f-]{36})"/,
  /href="(\/yard\/horses\/[0-9a-f-]{36})"/,
  /href="(\/ride\/lessons\/[0-9a-f-]{36})"/,
];
const AIMS_KB: Record<string, number> = { '/plan/…': 240, '/set/…': 165, '/ride/lessons/…/run': 165 };
const AIM_KB = 160;

/** `behindKB`: what the head of a page asks for besides, and comes alive after it. */
export type PageScripts = { page: string; kB: number; behindKB: number; aimKB: number };

/** The JavaScript of the main pages, the most first. */
export async function benchScripts(): Promise<PageScripts[]> {
  const server = await RoanServer.start('demo');
  try {
    const sizes = new Map<string, number>();
    const html = async (page: string) => (await fetch(`${server.url}${page}`)).text();
    const sizeOf = async (src: string) => {
      const known = sizes.get(src) ?? (await sentBytes(`${server.url}${src}`));
      sizes.set(src, known);
      return known;
    };
    const pages = new Map<string, string>();
    for (const page of PAGES) pages.set(page, await html(page));
    for (const text of [...pages.values()])
      for (const link of FOLLOWED) {
        const page = link.exec(text)?.[1];
        if (!page || [...pages.keys()].some(known => link.test(`href="${known}"`))) continue;
        pages.set(page, await html(page));
        if (page.startsWith('/ride/lessons/')) pages.set(`${page}/run`, await html(`${page}/run`));
      }
    const found: PageScripts[] = [];
    for (const [address, text] of pages) {
      const srcs = new Set(attributesOf(text, /<script\b[^>]*>/g, 'src'));
      const behind = new Set(
        attributesOf(text, /<link\b[^>]*\bas="script"[^>]*>/g, 'href').filter(src => !srcs.has(src)),
      );
      const sumKB = async (of: Iterable<string>) => {
        let bytes = 0;
        for (const src of of) bytes += await sizeOf(src);
        return bytes / 1000;
      };
      const page = address.replace(/[0-9a-f-]{36}/, '…');
      found.push({ page, kB: await sumKB(srcs), behindKB: await sumKB(behind), aimKB: AIMS_KB[page] ?? AIM_KB });
    }
    return found.sort((a, b) => b.kB - a.kB);
  } finally {
    await server.stop();
  }
}

/** An attribute of every tag of a kind, where it has it; browsers that know modules leave the scripts for old ones alone. */
function attributesOf(html: string, tags: RegExp, name: string): string[] {
  return (html.match(tags) ?? [])
    .filter(tag => !/nomodule/i.test(tag))
    .flatMap(tag => new RegExp(`\\b${name}="([^"]+)"`).exec(tag)?.[1] ?? []);
}

/** What comes over the wire for an address, as a browser asks for it. */
function sentBytes(url: string): Promise<number> {
  return new Promise((resolve, reject) => {
    get(url, { headers: { 'accept-encoding': 'gzip, deflate, br' } }, answer => {
      let bytes = 0;
      answer.on('data', (part: Buffer) => (bytes += part.length));
      answer.on('end', () => resolve(bytes));
    }).on('error', reject);
  });
}
