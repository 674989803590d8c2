import { test as base, expect, type Page } from '@playwright/test';
import { RoanServer } from './roanServer';

type Servers = { emptyYard: RoanServer; demoYard: RoanServer; seasonYard: RoanServer };

/**
 * `emptyYard`: a Roan with nothing in it; `demoYard`: one with the demo yard; `seasonYard`: with a season behind it. Every page fails its test when something
 * is logged as an error or asked for from another host.
 */
export const test = base.extend<Servers & { strictPage: Page }>({
  emptyYard: async ({}, provide) => {
    const server = await RoanServer.start('empty');
    await provide(server);
    await server.stop();
  },
  demoYard: async ({}, provide) => {
    const server = await RoanServer.start('demo');
    await provide(server);
    await server.stop();
  },
  seasonYard: async ({}, provide) => {
    const server = await RoanServer.start('season');
    await provide(server);
    await server.stop();
  },
  strictPage: async ({ page }, provide) => {
    const faults: string[] = [];
    page.on('pageerror', error => faults.push(error.message));
    page.on('console', message => {
      // A server that was killed on purpose, or that refuses a save, is logged by the browser itself.
      if (message.type() === 'error' && !/Failed to load resource|ERR_CONNECTION/.test(message.text()))
        faults.push(message.text());
    });
    page.on('request', request => {
      if (!/^(http:\/\/127\.0\.0\.1|data:|blob:)/.test(request.url())) faults.push(`asked for ${request.url()}`);
    });
    await provide(page);
    expect(faults).toEqual([]);
  },
});

export { expect };

/** Opens a drop-down and takes an option of it; a page that is not alive yet is asked again. */
export async function choose(page: Page, label: string, option: string): Promise<void> {
  const wanted = page.getByRole('option', { name: option, exact: true });
  await expect(async () => {
    await page.getByRole('combobox', { name: label }).click();
    await expect(wanted).toBeVisible({ timeout: 2000 });
  }).toPass();
  await wanted.click();
}
