import type { Browser, BrowserContext, Page } from '@playwright/test';
import { test as base } from './fixtures';
import { scanned, trustingBrowser } from './network';
import { RoanServer } from './roanServer';
import { PASSPHRASE, signInMaud } from './signIn';

export { expect } from './fixtures';

/** A Roan of the demo yard on the network, with the first passphrase of an unattended start. */
export const test = base.extend<{ roan: RoanServer; trusting: Browser }>({
  roan: async ({}, provide) => {
    const args = ['--network'];
    const server = await RoanServer.start('demo', undefined, { args, told: { ROAN_PASSPHRASE: PASSPHRASE } });
    await provide(server);
    await server.stop();
  },
  trusting: async ({ roan }, provide) => {
    const browser = await trustingBrowser(roan);
    await provide(browser);
    await browser.close();
  },
});

export const desk = (browser: Browser) => browser.newContext({ viewport: { width: 1280, height: 800 } });
export const phone = (browser: Browser) =>
  browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });

export async function instructor(browser: Browser, roan: RoanServer): Promise<Page> {
  const page = await (await desk(browser)).newPage();
  await signInMaud(page, roan);
  return page;
}

/** A device of a person, let in by the code on the instructor's screen. */
export async function joined(at: Page, roan: RoanServer, name: string, device: BrowserContext): Promise<Page> {
  await at.goto(`${roan.url}/yard/access`);
  await at
    .getByRole('row', { name: new RegExp(`^${name}`) })
    .getByRole('button', { name: 'Link for a device' })
    .click();
  const href = await scanned(at, new RegExp(`A device for ${name}`));
  await at.keyboard.press('Escape');
  const page = await device.newPage();
  await page.goto(href);
  await page.getByRole('button', { name: `Come in as ${name}` }).click();
  await page.waitForURL(url => !url.pathname.startsWith('/join'));
  return page;
}
