import type { Browser, Page } from '@playwright/test';
import { expect, test } from './support/fixtures';
import { shelfOfNewLayout } from './support/newLayout';
import { key, onSand } from './support/pad';
import type { RoanServer } from './support/roanServer';
import { testStride } from './support/strideTest';

/** Takes an exercise from the shelf that is open, and waits until it is kept. */
async function putOnSand(desk: Page, exercise: RegExp) {
  await desk.getByRole('button', { name: exercise }).click();
  await desk.getByRole('button', { name: 'Put it on the sand' }).click();
  await desk.getByRole('dialog').waitFor({ state: 'hidden' });
  await expect(desk.getByText(/^Saved/)).toBeVisible();
}

/** Two passes of Tansy on a phone, the first with what is tapped at a pole, the second clean; and her gaits in the review. */
async function gaitsRidden(browser: Browser, yard: RoanServer, layout: RegExp, pole: string, ...taps: RegExp[]) {
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })).newPage();
  await phone.goto(`${yard.url}/ride`);
  await phone.getByRole('radio', { name: layout }).check();
  await phone.getByRole('radio', { name: /^Tansy with/ }).check();
  await key(phone, 'Ride').tap();
  await key(phone, 'Read').tap();
  await expect(key(phone, /^Clean pass/)).toBeVisible();
  await onSand(phone, pole).tap();
  for (const tap of [...taps, /^Pass done/, /^Clean pass/]) await key(phone, tap).tap();
  await expect(phone.locator('[data-delivery=saved]')).toBeVisible();
  await phone.goto(`${yard.url}/review`);
  await phone.locator('a[href^="/review/"]', { hasText: 'Tansy' }).first().click();
  await expect(phone.getByRole('heading', { name: /^Tansy with/ })).toBeVisible();
  return phone.getByRole('img', { name: /Gaits of Tansy/ });
}

test(
  'spread poles are laid by a gaited horse’s own steps; on the phone its gait slips at a pole, and the review says how far',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const desk = await browser.newPage();
    await shelfOfNewLayout(desk, demoYard, 'Poles for Tansy', 'Tansy');
    // What is ridden in her gaits stands first.
    await expect(desk.getByRole('dialog').getByRole('heading', { level: 3 }).first()).toHaveText('For gaited horses');
    await putOnSand(desk, /^Spread poles for a lateral gait/);
    await expect(desk.getByRole('radio', { name: /^Cautions 0/ })).toBeAttached();
    await desk.close();

    const gaits = await gaitsRidden(browser, demoYard, /^Poles for Tansy/, 'pole 1', /^trot/);
    await expect(gaits).toContainText('slipped in 1');
    await expect(gaits).toContainText('running walk 70 %');
  },
);

test(
  'a lane is ridden in flat walk, running walk and fox trot, and each is a stride of its own',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    const tests = await testStride(page, demoYard, /^Tansy/, [
      ['Flat walk', 11],
      ['Running walk', 8],
      ['Fox trot', 9],
    ]);
    // Three passes of 20 m with 34, 25 and 28 strides in all.
    await expect(tests).toContainText('Normal: 1.76 m');
    await expect(tests).toContainText('Normal: 2.40 m');
    await expect(tests).toContainText('Normal: 2.14 m');
  },
);

test(
  'canter and walk in turn on a circle, with a way round the poles: laid, ridden on the phone, and told by the gait it came out of',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const desk = await browser.newPage();
    await shelfOfNewLayout(desk, demoYard, 'A circle for Tansy', 'Tansy');
    await putOnSand(desk, /^Canter and walk on a circle, with a way round/);
    await desk.close();
    // She hits the second pole, and breaks into pace behind it.
    const gaits = await gaitsRidden(browser, demoYard, /^A circle for Tansy/, 'pole 2', /^hit/, /^pace/);
    await expect(gaits).toContainText('canter: 2 passes, slipped in 1');
  },
);
