import { execFileSync } from 'node:child_process';
import type { Page } from '@playwright/test';
import { startTestServer, type TestServer } from '../src/data/testServer';
import { expect, test as base } from './support/fixtures';
import { cleanPass, key, openDay } from './support/pad';
import { RoanServer } from './support/roanServer';
import { PASSPHRASE, signInMaud } from './support/signIn';
import { drag, drawing, drawnAt, item } from './support/sand';

type Store = { store: TestServer; copy: TestServer; one: RoanServer; two: RoanServer };

/** Two Roans on one libSQL server, the second of which reads from a copy of it that is near. */
const test = base.extend<Store>({
  store: async ({}, provide) => {
    const store = await startTestServer();
    const env = { ...process.env, ROAN_DATABASE_URL: store.url, ROAN_DEMO_SEASON: '0' };
    execFileSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'scripts/seedDemo.ts'], { env });
    await provide(store);
    await store.stop();
  },
  one: async ({ store }, provide) => {
    const told = { ROAN_DATABASE_URL: store.url, ROAN_PASSPHRASE: PASSPHRASE };
    const roan = await RoanServer.start('empty', undefined, { told });
    await provide(roan);
    await roan.stop();
  },
  copy: async ({ store }, provide) => {
    const copy = await startTestServer({ primary: store });
    await provide(copy);
    await copy.stop();
  },
  two: async ({ store, copy, one }, provide) => {
    // Both have the films in one folder, which is the first one's.
    const told = { ROAN_DATABASE_URL: store.url, ROAN_DATABASE_REPLICA_URL: copy.url, ROAN_DATA_FOLDER: one.folder };
    const roan = await RoanServer.start('empty', undefined, { told });
    await provide(roan);
    await roan.stop();
  },
});

test(
  'two Roans on one store: signed in to one is signed in to both, a drag and a tap on one are seen on the other, and each of them may die, and the copy',
  { tag: '@full' },
  async ({ one, two, copy, browser }) => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const here = await context.newPage();
    await signInMaud(here, one);
    // The cookie is sealed with what both know.
    const there = await context.newPage();
    await there.goto(`${two.url}/plan`);
    await there.getByRole('link', { name: /Course of eight/ }).click();
    await expect(item(there, 'heron')).toBeVisible();
    await here.goto(there.url().replace(two.url, one.url));
    await expect(item(here, 'heron')).toBeVisible();
    const kept = here.waitForResponse(answer => answer.request().method() === 'PUT' && answer.ok());
    await here.bringToFront();
    await here.keyboard.down('Alt');
    await drag(here, { xM: 8.75, yM: 34.5 }, { xM: 9.1, yM: 34.5 });
    await here.keyboard.up('Alt');
    await kept;
    await there.bringToFront();
    await there.reload();
    await expect(item(there, 'heron')).toBeVisible();
    expect((await drawnAt(drawing(there, 'willow'))).xM).toBeCloseTo(9.1, 1);

    await here.goto(`${one.url}/today`);
    await here.getByRole('link', { name: 'Ride it' }).first().click();
    await here.getByRole('button', { name: 'Ride it today instead' }).click();
    await key(here, 'Begin the lesson').click();
    await there.goto(here.url().replace(one.url, two.url));
    await cleanPass(here, 'left rein');
    const ridden = async (page: Page, times: number) => {
      await openDay(page, 'Ridden');
      const passes = page.getByRole('region', { name: 'Ridden at this stage' }).getByRole('listitem');
      await expect(passes).toHaveCount(times, { timeout: 20_000 });
      await page.keyboard.press('Escape');
    };
    await ridden(there, 1);
    // One of them dies with a tap that waits; the other goes on, and has it when the first is back.
    await one.kill();
    await cleanPass(here, 'right rein');
    await expect(here.getByText(/not saved yet, kept on this device/)).toBeVisible();
    await cleanPass(there, 'right rein');
    await expect(there.locator('[data-delivery=saved]')).toBeVisible();
    await one.start();
    await expect(here.locator('[data-delivery=saved]')).toBeVisible({ timeout: 40_000 });
    await ridden(there, 3);
    // The copy dies, and then the Roan that read from it: what it is asked for comes from the store.
    await copy.kill();
    await there.reload();
    await ridden(there, 3);
    await two.kill();
    await cleanPass(there, 'left rein');
    await expect(there.getByText(/not saved yet, kept on this device/)).toBeVisible();
    await two.start();
    await expect(there.locator('[data-delivery=saved]')).toBeVisible({ timeout: 40_000 });
    await ridden(here, 4);
    await context.close();
  },
);

test(
  'a person of two yards chooses: nothing of the one is seen in the other, and the office has sums',
  { tag: '@full' },
  async ({ one, browser }) => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await signInMaud(page, one);
    await page.goto(`${one.url}/today`);
    const theirs = await page.locator('header').first().locator('span').first().innerText();
    const lesson = (await page.getByRole('link', { name: 'Ride it' }).first().getAttribute('href'))!;
    await page.goto(`${one.url}/yards`);
    await page.getByLabel('Tell how many lessons').check();
    await page.getByLabel('Name of the new yard').fill('The Lower Yard');
    await page.getByRole('button', { name: 'Begin it' }).click();
    await page.waitForURL(`${one.url}/today`);
    await expect(page.getByRole('link', { name: 'Yard The Lower Yard' })).toBeVisible();

    // An empty yard: no horse, no lesson of the other one, at no address.
    await page.goto(`${one.url}/yard`);
    await expect(page.getByText('Barley')).toHaveCount(0);
    expect((await page.request.get(`${one.url}${lesson}`)).status()).toBe(404);
    expect((await page.request.get(`${one.url}/api/lessons/${lesson.split('/')[3]}/record`)).status()).toBe(404);

    // The office of this yard reads how much the other one did, and not who.
    await page.goto(`${one.url}/office`);
    const told = page
      .getByRole('region', { name: /\d{4}$/ })
      .first()
      .getByRole('row')
      .filter({ hasText: theirs });
    await expect(told).toHaveText(new RegExp(`^${theirs}(\\d+){4}$`));
    await expect(page.getByText('Barley')).toHaveCount(0);

    await page.getByRole('link', { name: 'Yard The Lower Yard' }).click();
    await page.getByRole('button', { name: /^Go to / }).click();
    await page.waitForURL(`${one.url}/today`);
    await page.goto(`${one.url}/yard`);
    await expect(page.getByText('Barley').first()).toBeVisible();

    // Elsewhere the same name and passphrase come into both.
    const other = await browser.newContext();
    const again = await other.newPage();
    await signInMaud(again, one);
    await again.goto(`${one.url}/yards`);
    await expect(again.getByRole('button', { name: /^Go to / })).toHaveCount(1);
    await other.close();
    await context.close();
  },
);
