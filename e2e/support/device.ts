import { createHash, X509Certificate } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium, expect, type BrowserContext, type Page } from '@playwright/test';
import type { KeepList } from '../../src/files/keptPages';
import { rootOf } from './network';
import type { RoanServer } from './roanServer';

/** A phone of its own, which keeps what a phone keeps while its browser is closed. */
export class Device {
  private context: BrowserContext | null = null;
  private readonly profile = mkdtempSync(path.join(tmpdir(), 'roan-device-'));
  /** What its pages complained of, beside a server that is not there. */
  faults: string[] = [];

  constructor(private readonly roan: RoanServer) {}

  /** Opens its browser, cold, and a page in it. */
  async open(): Promise<Page> {
    await this.close();
    const key = new X509Certificate(rootOf(this.roan)).publicKey.export({ type: 'spki', format: 'der' });
    const pin = createHash('sha256').update(key).digest('base64');
    this.context = await chromium.launchPersistentContext(this.profile, {
      executablePath: process.env.ROAN_CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-quic', `--ignore-certificate-errors-spki-list=${pin}`],
      viewport: { width: 390, height: 844 },
      hasTouch: true,
      locale: 'en-GB',
    });
    return this.page();
  }

  /** Whether what is tapped gets through: everything else does. */
  async lets(through: boolean): Promise<void> {
    if (through) await this.context!.unroute(/\/api\/record/);
    else await this.context!.route(/\/api\/record/, route => route.abort());
  }

  /** Another page of the same browser. */
  async page(): Promise<Page> {
    const page = await this.context!.newPage();
    page.on('pageerror', error => this.faults.push(error.message));
    return page;
  }

  /** Its browser is closed, as when a phone is put away. */
  async close(): Promise<void> {
    await this.context?.close();
    this.context = null;
  }

  async gone(): Promise<void> {
    await this.close();
    rmSync(this.profile, { recursive: true, force: true });
  }
}

/** The addresses of the pages that a device keeps. */
export function keptPages(page: Page): Promise<string[]> {
  return page.evaluate(async () => {
    const found: string[] = [];
    for (const name of await caches.keys())
      if (name.startsWith('roan-pages-'))
        found.push(...(await (await caches.open(name)).keys()).map(({ url }) => new URL(url).pathname));
    return found;
  });
}

/** Waits until a device keeps all that it is told to: pages are asked for two at a time, and the last may be there first. */
export async function keepsAll(page: Page): Promise<void> {
  const missing = async () => {
    const kept = new Set(await keptPages(page));
    const list = await page.evaluate(async () => (await (await fetch('/api/keep')).json()) as KeepList);
    return list.pages.filter(({ href }) => !kept.has(href)).map(({ href }) => href);
  };
  await expect.poll(missing, { timeout: 60_000 }).toEqual([]);
}
