import { readdirSync } from 'node:fs';
import path from 'node:path';
import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

const APP = path.resolve('src/app');

/** The addresses that the product has, as its folders name them: "/plan/[layoutId]". */
export function kindsOfPage(): string[] {
  return readdirSync(APP, { recursive: true, encoding: 'utf8' })
    .filter(file => path.basename(file) === 'page.tsx')
    .map(file => `/${path.dirname(file)}`.replace(/^\/\.$/, '/'))
    .sort();
}

/** The kind of an address; where two fit, the one with fewer names of its own: "/ride/next" is no layout. */
export function kindOf(pathname: string, kinds: readonly string[]): string | undefined {
  const fits = (kind: string) => new RegExp(`^${kind.replace(/\[\w+\]/g, '[^/]+')}/?$`).test(pathname);
  const names = (kind: string) => kind.split('[').length;
  return kinds.filter(fits).sort((a, b) => names(a) - names(b))[0];
}

/**
 * Follows links from some pages on until there is no new kind of page; each kind is opened once.
 * @param look - what is found on a page that is open
 * @returns what was found, by the kind of page; a page without a finding is there with none
 */
export async function walkPages(
  page: Page,
  url: string,
  { from, without = [] }: { from: readonly string[]; without?: readonly string[] },
  look: (kind: string) => Promise<string[]>,
): Promise<Map<string, string[]>> {
  const kinds = kindsOfPage();
  const found = new Map<string, string[]>();
  const waiting = from.map(address => new URL(address, url).href);
  for (let href = waiting.shift(); href !== undefined; href = waiting.shift()) {
    const kind = kindOf(new URL(href).pathname, kinds);
    if (kind === undefined || found.has(kind) || without.includes(kind)) continue;
    await page.goto(href);
    await page.waitForLoadState('networkidle');
    const came = kindOf(new URL(page.url()).pathname, kinds) ?? kind;
    if (found.has(came)) continue;
    found.set(came, await look(came));
    const links = await page.locator('a[href]').evaluateAll(all => all.map(link => (link as HTMLAnchorElement).href));
    waiting.push(...links.filter(link => link.startsWith(url)), ...beyond(page.url()));
  }
  return found;
}

/** What a menu leads to, and no link. */
const beyond = (href: string) => (/\/plan\/[0-9a-f-]{36}$/.test(href) ? [`${href}/versions`] : []);

/** What axe finds on a page, or in a part of it. */
export async function axeFinds(page: Page, part?: string): Promise<string[]> {
  const builder = new AxeBuilder({ page });
  const { violations } = await (part ? builder.include(part) : builder).analyze();
  return violations.map(({ id, nodes }) => `axe ${id} × ${nodes.length}: ${nodes[0]!.html.slice(0, 120)}`);
}

/** What an eye or a thumb would mind: wider than the screen, not one heading, targets that a thumb misses. */
export async function eyeFinds(page: Page, { isTouch }: { isTouch: boolean }): Promise<string[]> {
  return page.evaluate(
    ([touch, leastPx]) => {
      const seen = [];
      const wide = document.documentElement.scrollWidth;
      if (wide > innerWidth + 1) seen.push(`${wide} px wide on a screen of ${innerWidth}`);
      const heads = document.querySelectorAll('h1').length;
      if (heads !== 1) seen.push(`${heads} headings of the first level`);
      if (!touch) return seen;
      const targets = document.querySelectorAll(
        'button, a[href], input, select, textarea, summary, [role=button], [role=switch], [role=checkbox], [role=tab]',
      );
      for (const target of targets) {
        // What is drawn on the sand is also in the list beside it.
        if (target instanceof SVGElement) continue;
        const box = (target.closest('label, .mantine-Input-wrapper') ?? target).getBoundingClientRect();
        const style = getComputedStyle(target);
        const isSeen = box.width > 1 && box.height > 1 && style.visibility !== 'hidden' && Number(style.opacity) > 0.05;
        const inText = target.tagName === 'A' && target.closest('p') !== null;
        if (!isSeen || inText || (box.width >= leastPx && box.height >= leastPx)) continue;
        const name = target.getAttribute('aria-label') ?? target.textContent?.trim() ?? '';
        seen.push(`${box.width.toFixed(0)} × ${box.height.toFixed(0)} px: “${name.slice(0, 40)}” ${target.tagName}`);
      }
      return [...new Set(seen)];
    },
    [isTouch, 43.5] as const,
  );
}

/** What a page complains of from now on: errors, and what it was sent that it would have drawn otherwise. */
export function complaints(page: Page): string[] {
  const faults: string[] = [];
  page.on('pageerror', error => faults.push(error.message.slice(0, 200)));
  page.on('console', message => {
    if (message.type() === 'error') faults.push(message.text().slice(0, 200));
  });
  return faults;
}
