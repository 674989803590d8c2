/**
 * A phone of four times less processor on a bad line: how long from its first visit of a pad until a tap is answered, and from the
 * next one. It taps as soon as there is a key to tap, alive or not: no tap may be lost.
 */
import { chromium, type Browser, type CDPSession, type Page } from '@playwright/test';
import { RoanServer } from '../e2e/support/roanServer';
import config from '../playwright.config';

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, locale: 'en-GB' };
const SLOWER = 4;
/** 1.6 Mbit/s down, half of it up, 150 ms there and back. */
const LINE = { offline: false, latency: 150, downloadThroughput: 200_000, uploadThroughput: 100_000 };
const VISITS = 5;

/** When there was a key to tap, when its tap was seen to be heard, and when it was counted. */
type Answered = Required<Seen>;
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
      await tapsAtOnce(page, slow);
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

/** What a page says of itself, by its own clock since it was asked for. */
type Seen = { keyMs?: number; heardMs?: number; countedMs?: number };

/**
 * Has every page of a context look at itself each time that it is drawn, and has a thumb tap its strides as soon as they are seen. The
 * thumb asks the page nothing: a page that is busy cannot hold it up, as it cannot hold up a thumb of flesh.
 */
async function tapsAtOnce(page: Page, device: CDPSession): Promise<void> {
  await page.exposeBinding('roanThumb', async (_, x: number, y: number) => {
    await device.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [{ x, y }] });
    await device.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  });
  // As text: what translates this file gives functions names that a page does not have.
  await page.addInitScript(`(() => {
    const seen = (window.roanSeen = {});
    const isCounted = () => [...document.querySelectorAll('button')].some(key => key.textContent.startsWith('Undostride 1'));
    const look = atMs => {
      const key = document.querySelector('[data-early=stride]');
      const box = key && key.getBoundingClientRect();
      if (seen.keyMs === undefined && box && box.height > 0) {
        seen.keyMs = atMs;
        window.roanThumb(box.x + box.width / 2, box.y + box.height / 2);
      }
      if (seen.countedMs === undefined && isCounted()) seen.countedMs = atMs;
      if (seen.heardMs === undefined && (seen.countedMs !== undefined || (key && key.hasAttribute('data-heard')))) seen.heardMs = atMs;
      if (seen.countedMs === undefined) requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  })()`);
}

/** From asking for a page until the first tap on its strides is seen to be heard, and until it is counted. */
async function answered(page: Page, address: string): Promise<Answered> {
  await page.goto(address, { waitUntil: 'commit' });
  await page.getByRole('button', { name: /^Undo stride 1$/ }).waitFor();
  const { keyMs, heardMs, countedMs } = await page.evaluate(
    () => (window as Window & { roanSeen?: Seen }).roanSeen ?? {},
  );
  if (keyMs === undefined || heardMs === undefined || countedMs === undefined)
    throw new Error(`${address} did not say when its tap was answered`);
  return { keyMs, heardMs, countedMs };
}
