import { createClient } from '@libsql/client';
import { rmSync } from 'node:fs';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { Device, keepsAll, keptPages } from './support/device';
import { expect, test as base } from './support/fixtures';
import { newerBuild } from './support/newerBuild';
import { cleanPass, closeSheet, key, openMore, riddenHere } from './support/pad';
import { RoanServer } from './support/roanServer';
import { PASSPHRASE, signInMaud } from './support/signIn';

/** A Roan of the demo yard on the network, over HTTPS, and a phone that trusts it. */
const test = base.extend<{ roan: RoanServer; device: Device }>({
  roan: async ({}, provide) => {
    const server = await RoanServer.start('demo', undefined, {
      ...{ args: ['--network'], told: { ROAN_PASSPHRASE: PASSPHRASE } },
    });
    await provide(server);
    await server.stop();
  },
  device: async ({ roan }, provide) => {
    const device = new Device(roan);
    await provide(device);
    expect(device.faults).toEqual([]);
    await device.gone();
  },
});

/** The lesson of the demo yard, ridden today, and kept on the device. */
async function lessonKept(page: Page, roan: RoanServer): Promise<string> {
  await page.getByRole('link', { name: 'Ride it' }).first().click();
  await page.getByRole('button', { name: 'Ride it today instead' }).click();
  await expect(key(page, 'Begin the lesson')).toBeVisible();
  const { pathname } = new URL(page.url());
  await keepsAll(page);
  // It is of today now, and is kept so.
  await expect
    .poll(
      () =>
        page.evaluate(async run => {
          const names = (await caches.keys()).filter(name => name.startsWith('roan-pages-'));
          const kept = await (await caches.open(names[0]!)).match(run);
          return /isItsDay\\*":true/.test((await kept?.text()) ?? '');
        }, `${roan.url}${pathname}`),
      { timeout: 40_000 },
    )
    .toBe(true);
  return pathname;
}

/** What says that a page comes from the device, and how old it is. */
const waits = (page: Page) =>
  page
    .getByText(/No connection: as of/)
    .filter({ visible: true })
    .first();

/** What the database holds of a lesson, in the order in which it came. */
async function rowsOf(roan: RoanServer, sql: string): Promise<unknown[][]> {
  const client = createClient({ url: `file:${path.join(roan.folder, 'roan.db')}` });
  const { rows } = await client.execute(sql);
  client.close();
  return rows.map(row => Array.from(row as unknown as ArrayLike<unknown>));
}

test(
  'a whole lesson with the server gone before its page is opened: kept through a cold start, sent once and in order by another page',
  { tag: '@full' },
  async ({ roan, device }) => {
    const before = await device.open();
    await signInMaud(before, roan);
    const run = await lessonKept(before, roan);
    await roan.kill();

    // A cold start, from the icon on the home screen.
    const page = await device.open();
    await page.goto(`${roan.url}/`);
    await page.waitForURL(`${roan.url}/today`);
    await expect(waits(page)).toBeVisible();
    await page.getByRole('link', { name: 'Ride it' }).first().tap();
    await expect(waits(page)).toBeVisible();
    await expect(page.getByText('Somebody is on the ground whenever fences are jumped.')).toBeVisible();
    await key(page, 'Begin the lesson').tap();
    const pair = (horse: string) =>
      page.getByRole('region', { name: 'Pairs' }).getByRole('button', { name: new RegExp(`^${horse}`) });
    for (const horse of ['Barley', 'Larkspur']) {
      await pair(horse).tap();
      for (const rein of ['left rein', 'right rein'] as const) await cleanPass(page, rein);
    }
    await key(page, /^hit/).tap();
    await openMore(page);
    await key(page, 'rush').tap();
    await closeSheet(page);
    await key(page, /^Undo/).tap();
    await key(page, /^Pass done/).tap();
    await key(page, /^Walk break/).tap();
    const ridden = await riddenHere(page);
    expect(ridden).toHaveLength(3);

    // The phone is put away and taken out again: all of it is there, over a page that knows none of it.
    const again = await device.open();
    await again.goto(`${roan.url}${run}`);
    await again
      .getByRole('region', { name: 'Pairs' })
      .getByRole('button', { name: /^Larkspur/ })
      .tap();
    expect(await riddenHere(again)).toEqual(ridden);

    // Another page sends it, as soon as there is a server.
    await again.goto(`${roan.url}/waiting`);
    await expect(again.getByText(/\d+ to be sent/)).toBeVisible();
    await roan.start();
    await expect(again.getByText('Nothing waits')).toBeVisible({ timeout: 40_000 });
    await expect(waits(again)).toHaveCount(0, { timeout: 40_000 });
    const passes = await rowsOf(
      roan,
      `select horses.name, passes.rein from passes join pairs on pairs.id = passes.pair_id join horses on horses.id = pairs.horse_id
     where lesson_id = '${run.split('/')[3]}' order by passes.rowid`,
    );
    expect(passes.map(([horse]) => horse)).toEqual(['Barley', 'Barley', 'Larkspur', 'Larkspur', 'Larkspur']);
    const marks = await rowsOf(
      roan,
      `select kind, marks.undone_at is null from marks join passes on passes.id = marks.pass_id
     where lesson_id = '${run.split('/')[3]}' order by marks.rowid`,
    );
    expect(marks.filter(([, counts]) => counts === 1)).toHaveLength(1);
    expect(await rowsOf(roan, `select count(*) from walk_breaks where lesson_id = '${run.split('/')[3]}'`)).toEqual([
      [1],
    ]);

    // What was answered is shown, though the page that is kept is of before it.
    await again.goto(`${roan.url}${run}`);
    await again
      .getByRole('region', { name: 'Pairs' })
      .getByRole('button', { name: /^Barley/ })
      .tap();
    await cleanPass(again, 'left rein');
    await expect(again.locator('[data-delivery=saved]')).toBeVisible();
    await roan.kill();
    await again.reload();
    await expect(waits(again)).toBeVisible();
    await again
      .getByRole('region', { name: 'Pairs' })
      .getByRole('button', { name: /^Barley/ })
      .tap();
    expect(await riddenHere(again)).toHaveLength(3);
  },
);

test('a sheet walked and ticked and a stride test, with the server gone before either is opened', async ({
  roan,
  device,
}) => {
  const before = await device.open();
  await signInMaud(before, roan);
  await keepsAll(before);
  await roan.kill();

  const page = await device.open();
  await page.goto(`${roan.url}/set`);
  await page.getByRole('link', { name: /Four on the bend for three/ }).tap();
  const one = page.getByText('One at a time', { exact: true });
  await expect(one).toBeVisible();
  const firstAt = await one.boundingBox();
  await expect(waits(page)).toBeVisible();
  // What the page says later, as of when it is, does not move it under a finger.
  expect(Math.abs((await one.boundingBox())!.y - firstAt!.y)).toBeLessThan(2);
  await one.tap();
  await expect(page.getByRole('heading', { name: /^Peg 1/ })).toBeVisible();
  await page.getByRole('button', { name: 'It stands', exact: true }).tap();
  await page.getByRole('button', { name: 'It stands', exact: true }).tap();
  await expect(page.getByText('2 of 5 stand', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByText('2 of 5 stand', { exact: true })).toBeVisible();

  const test = (await keptPages(page)).find(href => href.endsWith('/test'))!;
  await page.goto(`${roan.url}${test}`);
  const pad = page.getByRole('button', { name: /: tap, or press the space bar/ });
  for (let pass = 0; pass < 2; pass += 1) {
    for (let stride = 0; stride < 7; stride += 1) await pad.tap();
    await page.getByRole('button', { name: 'Keep this pass' }).tap();
  }
  await page.getByRole('button', { name: /^Keep the test/ }).tap();
  await expect(page.getByText('The test is kept on this device')).toBeVisible({ timeout: 15_000 });

  // A page that was not kept says so, and what is.
  await page.goto(`${roan.url}/review`);
  await expect(page.getByRole('heading', { name: 'Roan cannot be reached' })).toBeVisible();
  await expect(page.getByText('3 taps wait on this device')).toBeVisible();
  await page.getByRole('link', { name: /^Today/ }).tap();
  await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();

  await roan.start();
  await expect(page.getByRole('link', { name: /not sent/ })).toHaveCount(0, { timeout: 40_000 });
  expect(await rowsOf(roan, 'select count(*) from setting_ticks where ticked = 1')).toEqual([[2]]);
  const horse = test.split('/')[3]!;
  await page.goto(`${roan.url}/yard/horses/${horse}`);
  await expect(page.getByRole('region', { name: 'Stride tests', exact: true })).toContainText(/Trot in the lane/);
  expect(
    await rowsOf(
      roan,
      `select count(*) from stride_test_passes join stride_tests on stride_tests.id = stride_test_passes.test_id
       where horse_id = '${horse}' and tested_at > ${Date.now() - 600_000}`,
    ),
  ).toEqual([[2]]);
});

const rideOf = (run: string) => `where lesson_id = '${run.split('/')[3]}'`;

/** Begins the lesson that is open and rides a clean pass on either rein; returns how much waits then. */
async function tapped(page: Page): Promise<void> {
  await key(page, 'Begin the lesson').tap();
  for (const rein of ['left rein', 'right rein'] as const) await cleanPass(page, rein);
  expect(await riddenHere(page)).toHaveLength(2);
}

/** The caches that pages are kept in, each of a build. */
const builds = (page: Page) =>
  page.evaluate(async () => (await caches.keys()).filter(name => name.startsWith('roan-pages-')));

test(
  'a newer Roan takes over while marks wait: none is lost, and its pages open without the server',
  { tag: '@full' },
  async ({ roan, device }) => {
    const page = await device.open();
    await signInMaud(page, roan);
    const run = await lessonKept(page, roan);
    await device.lets(false);
    await tapped(page);
    const [before] = await builds(page);
    await roan.kill();
    const newer = newerBuild();
    roan.cwd = newer;
    await roan.start();
    // Whoever comes back to the page has the newer one; what the older one named is not there any more.
    await page.goto(`${roan.url}/ride`);
    await expect(async () => {
      const now = await builds(page);
      expect(now).toHaveLength(1);
      expect(now[0]).not.toBe(before);
      expect(await keptPages(page)).toContain(run);
    }).toPass({ timeout: 180_000 });
    await page.goto(`${roan.url}/waiting`);
    await expect(page.getByText('3 to be sent')).toBeVisible();
    await roan.kill();

    const again = await device.open();
    await again.goto(`${roan.url}${run}`);
    await expect(waits(again)).toBeVisible();
    expect(await riddenHere(again)).toHaveLength(2);
    await roan.start();
    await expect
      .poll(() => rowsOf(roan, `select count(*) from passes ${rideOf(run)}`), { timeout: 40_000 })
      .toEqual([[2]]);
    rmSync(newer, { recursive: true, force: true });
  },
);

test(
  'what is kept of pages is cleared, a session ends, somebody signs out and in: what waits is sent all the same, once',
  { tag: '@full' },
  async ({ roan, device }) => {
    const page = await device.open();
    await signInMaud(page, roan);
    const run = await lessonKept(page, roan);
    await roan.kill();
    await tapped(page);

    // The browser made room: no page is left, and what waits is.
    await page.evaluate(async () => {
      for (const name of await caches.keys()) await caches.delete(name);
    });
    await (await page.context().newCDPSession(page)).send('Network.clearBrowserCache');
    await page.goto(`${roan.url}${run}`);
    await expect(page.getByRole('heading', { name: 'Roan cannot be reached' })).toBeVisible();
    await expect(page.getByText('3 taps wait on this device')).toBeVisible();

    // Signed out from the desk meanwhile: nothing is sent, nothing of the yard is kept, and nothing is lost.
    await rowsOf(roan, `update sessions set ended_at = ${Date.now()}`);
    await roan.start();
    await page.goto(`${roan.url}/waiting`);
    await page.waitForURL(/sign-in/);
    await signInMaud(page, roan);
    await keepsAll(page);
    await expect(page.getByRole('link', { name: /not sent/ })).toHaveCount(0, { timeout: 40_000 });
    await expect
      .poll(() => rowsOf(roan, `select count(*) from passes ${rideOf(run)}`), { timeout: 40_000 })
      .toEqual([[2]]);

    // Signed out by hand with something that waits: the pages go, the tap stays.
    await page.goto(`${roan.url}${run}`);
    await device.lets(false);
    await cleanPass(page, 'left rein');
    await expect(page.getByText(/not saved yet, kept on this device/)).toBeVisible();
    await page.goto(`${roan.url}/waiting`);
    await page.getByRole('button', { name: 'Maud Ferrier: sign out' }).tap();
    await page.waitForURL(/sign-in/);
    expect(await keptPages(page)).toEqual([]);
    await roan.kill();
    await page.goto(`${roan.url}${run}`);
    await expect(page.getByText('1 tap waits on this device')).toBeVisible();
    await roan.start();
    await device.lets(true);
    await signInMaud(page, roan);
    await expect
      .poll(() => rowsOf(roan, `select count(*) from passes ${rideOf(run)}`), { timeout: 40_000 })
      .toEqual([[3]]);
  },
);
