import { choose, expect, test } from './support/fixtures';
import { shelfOfNewLayout } from './support/newLayout';
import { key, onSand } from './support/pad';

test(
  'spread poles are laid by a gaited horse’s own steps; on the phone its gait slips at a pole, and the review says how far',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const desk = await browser.newPage();
    await shelfOfNewLayout(desk, demoYard, 'Poles for Tansy', 'Tansy');
    // What is ridden in her gaits stands first.
    await expect(desk.getByRole('dialog').getByRole('heading', { level: 3 }).first()).toHaveText('For gaited horses');
    await desk.getByRole('button', { name: /^Spread poles for a lateral gait/ }).click();
    await desk.getByRole('button', { name: 'Put it on the sand' }).click();
    await desk.getByRole('dialog').waitFor({ state: 'hidden' });
    await expect(desk.getByText(/^Saved/)).toBeVisible();
    await expect(desk.getByRole('radio', { name: /^Cautions 0/ })).toBeAttached();
    await desk.close();

    const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })).newPage();
    await phone.goto(`${demoYard.url}/ride`);
    await phone.getByRole('radio', { name: /^Poles for Tansy/ }).check();
    await phone.getByRole('radio', { name: /^Tansy with/ }).check();
    await key(phone, 'Ride').tap();
    await key(phone, 'Read').tap();
    await expect(key(phone, /^Clean pass/)).toBeVisible();
    await onSand(phone, 'pole 1').tap();
    await key(phone, /^trot/).tap();
    await key(phone, /^Pass done/).tap();
    await key(phone, /^Clean pass/).tap();
    await expect(phone.locator('[data-delivery=saved]')).toBeVisible();

    await phone.goto(`${demoYard.url}/review`);
    await phone.locator('a[href^="/review/"]', { hasText: 'Tansy' }).first().click();
    await expect(phone.getByRole('heading', { name: /^Tansy with/ })).toBeVisible();
    await expect(phone.getByRole('img', { name: /Gaits of Tansy/ })).toContainText('slipped in 1');
    await expect(phone.getByRole('img', { name: /Gaits of Tansy/ })).toContainText('running walk 70 %');
  },
);

test(
  'a lane is ridden in flat walk, running walk and fox trot, and each is a stride of its own',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/yard`);
    const horse = await page
      .getByRole('link', { name: /^Tansy/ })
      .first()
      .getAttribute('href');
    await page.goto(`${demoYard.url}${horse}/test`);
    const pad = page.getByRole('button', { name: /: tap, or press the space bar/ });
    for (const [gait, strides] of [
      ['Flat walk', 11],
      ['Running walk', 8],
      ['Fox trot', 9],
    ] as const) {
      await choose(page, 'Gait', gait);
      for (const more of [0, 0, 1]) {
        for (let stride = 0; stride < strides + more; stride += 1) await pad.click();
        await page.getByRole('button', { name: 'Keep this pass' }).click();
      }
    }
    await page.getByRole('button', { name: /^Keep the/ }).click();
    await expect(page).toHaveURL(new RegExp(`${horse}$`));
    const tests = page.getByRole('region', { name: 'Stride tests', exact: true });
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
    await desk.getByRole('button', { name: /^Canter and walk on a circle, with a way round/ }).click();
    await desk.getByRole('button', { name: 'Put it on the sand' }).click();
    await desk.getByRole('dialog').waitFor({ state: 'hidden' });
    await expect(desk.getByText(/^Saved/)).toBeVisible();
    await desk.close();

    const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })).newPage();
    await phone.goto(`${demoYard.url}/ride`);
    await phone.getByRole('radio', { name: /^A circle for Tansy/ }).check();
    await phone.getByRole('radio', { name: /^Tansy with/ }).check();
    await key(phone, 'Ride').tap();
    await key(phone, 'Read').tap();
    await expect(key(phone, /^Clean pass/)).toBeVisible();
    // She breaks into pace behind the second pole, and hits it.
    await onSand(phone, 'pole 2').tap();
    await key(phone, /^hit/).tap();
    await key(phone, /^pace/).tap();
    await key(phone, /^Pass done/).tap();
    await key(phone, /^Clean pass/).tap();
    await expect(phone.locator('[data-delivery=saved]')).toBeVisible();
    await phone.goto(`${demoYard.url}/review`);
    await phone.locator('a[href^="/review/"]', { hasText: 'Tansy' }).first().click();
    await expect(phone.getByRole('heading', { name: /^Tansy with/ })).toBeVisible();
    await expect(phone.getByRole('img', { name: /Gaits of Tansy/ })).toContainText('canter: 2 passes, slipped in 1');
  },
);
