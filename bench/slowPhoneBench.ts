/**
 * A phone of four times less processor on a bad line: how long from its first visit of a pad until a tap is answered, and from the
 * next one. It taps as soon as there is a key to tap, alive or not: no tap may be lost.
 */
import { chromium, type Browser, type Page } from '@playwright/test';
import { RoanServer } from '../e2e/support/roanServer';
import config from '../playwright.config';

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, locale: 'en-GB' };
const SLOWER = 4;
/** 1.6 Mbit/s down, half of it up, 150 ms there and back. */
const LINE = { offline: false, latency: 150, downloadThroughput: 200_000, uploadThroughput: 100_000 };
const VISITS = 5;

/** When a tap was seen to be heard, and when it was counted. */
type Answered = { heardMs: number; countedMs: number };
export type SlowPhone = { first: Answered[]; next: Answered[] };

export async function benchSlowPhone(): Promise<SlowPhone> {
  const server = await RoanServer.start('demo');
  const browser = await chromium.launch(config.use?.launchOptions);
  try {
    const { address, storage } = await pad(browser, server.url);
    const [first, next]: [Answered[], Answered[]] = [[], []];
    for (let visit = 0; visit < VISITS; visit += 1) {
      const context = await browser.newContext({ ...PHONE, storageState: storage });
      const page = await context.newPage();
      const slow = await context.newCDPSession(page);
      await slow.send('Network.enable');
      await slow.send('Network.emulateNetworkConditions', LINE);
      await slow.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
      first.push(await answered(page, address));
      next.push(await answered(page, address));
      await context.close();
    }
    return { first, next };
  } finally {
    await browser.close();
    await server.stop();
  }
}

/** The address of a pad, and what a phone has that was at it before and read what is to be taken care of. */
async function pad(browser: Browser, url: string) {
  const context = await browser.newContext(PHONE);
  const page = await context.newPage();
  await page.goto(`${url}/ride`);
  await page.waitForLoadState('networkidle');
  await page.getByRole('radio', { name: /^Two fences, four or five/ }).click();
  await page.getByRole('radio', { name: /^Quill/ }).click();
  await page.getByRole('button', { name: 'Ride', exact: true }).click();
  await page.waitForURL(/\/ride\/[0-9a-f-]+\/[0-9a-f-]+/);
  await page.getByRole('button', { name: 'Read', exact: true }).click();
  const found = { address: page.url(), storage: await context.storageState() };
  await context.close();
  return found;
}

/** From asking for a page until the first tap on its strides is seen to be heard, and until it is counted. */
async function answered(page: Page, address: string): Promise<Answered> {
  const beganMs = performance.now();
  await page.goto(address, { waitUntil: 'commit' });
  const strides = page.getByRole('button', { name: /Tap each stride/ });
  await strides.waitFor();
  const box = (await strides.boundingBox())!;
  await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
  const counted = page.getByRole('button', { name: /^Undo stride 1$/ });
  await page.locator('[data-early=stride][data-heard]').or(counted).first().waitFor();
  const heardMs = performance.now() - beganMs;
  await counted.waitFor();
  return { heardMs, countedMs: performance.now() - beganMs };
}
