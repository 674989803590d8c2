import { choose, expect, test } from './support/fixtures';
import { shelfOfNewLayout } from './support/newLayout';
import { cleanPass, key, riddenHere } from './support/pad';

test(
  'any stage may watch the rider: in the yard’s words or one’s own, kept with the lesson',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/plan`);
    await page
      .getByRole('link', { name: /^Four on the bend for three/ })
      .first()
      .click();
    await page.getByRole('button', { name: 'Teach this now' }).click();
    await page.getByRole('link', { name: 'Plan it for another day' }).click();
    const stage = () => page.getByRole('button', { name: /^Change stage 2/ });
    await stage().click();
    const watched = page.getByRole('combobox', { name: 'What is watched in the rider' });
    for (const words of ['eyes late', 'breathes out']) {
      await watched.fill(words);
      await watched.press('Enter');
    }
    // Kept for other lessons under its name, it is there for the next stage, and among the rules of the yard.
    const panel = page.getByRole('region', { name: /^Stage: / });
    await panel.getByLabel('Stage').fill('Eyes and breath');
    await panel.getByLabel('One thing to think of').fill('Look on, and breathe out');
    await panel.getByRole('button', { name: 'Keep “Eyes and breath” for other lessons' }).click();
    await expect(panel.getByText('“Eyes and breath” is the yard’s own now.')).toBeVisible();
    await page.getByRole('button', { name: /^Change stage 3/ }).click();
    await choose(page, 'Work for the rider', 'Eyes and breath');
    await expect(panel.getByLabel('One thing to think of')).toHaveValue('Look on, and breathe out');
    await expect(panel).toContainText('breathes out');
    await choose(page, 'Work for the rider', 'Half-seat on a circle');
    await expect(panel).toContainText('sat down');
    await page.getByRole('button', { name: 'Plan the lesson' }).click();
    await expect(page).toHaveURL(/\/ride\/lessons\/[0-9a-f-]{36}$/);
    await page.reload();
    await stage().click();
    await expect(page.getByRole('region', { name: /^Stage: / })).toContainText('breathes out');
    await expect(page.getByRole('region', { name: /^Stage: / })).toContainText('eyes late');
    await page.goto(`${demoYard.url}/yard/rules`);
    const kept = page.getByRole('region', { name: 'Work for the rider' });
    await expect(kept).toContainText('Look on, and breathe out (eyes late, breathes out)');
    await kept.getByRole('button', { name: 'Take Eyes and breath out' }).click();
    await page.getByRole('button', { name: 'Keep these rules' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'Kept' })).toBeVisible();
    await page.reload();
    await expect(page.getByRole('region', { name: 'Words on the keys' })).toBeVisible();
    await expect(kept).toHaveCount(0);
  },
);

test(
  'a seat lesson without a pole: two-point off the shelf, in minutes, what is seen of the rider under the thumb, and told in the review',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const desk = await browser.newPage();
    await shelfOfNewLayout(desk, demoYard, 'A seat for Ode', 'Quill');
    const work = desk.getByRole('dialog').getByRole('region', { name: 'For the rider' });
    await work.getByRole('button', { name: /^Two-point, gait by gait/ }).click();
    await desk.getByRole('button', { name: 'Put it on the sand' }).click();
    await desk.getByRole('dialog').waitFor({ state: 'hidden' });
    await expect(desk.getByText(/^Saved/)).toBeVisible();
    await desk.getByRole('button', { name: 'Teach this now' }).click();
    await desk.getByRole('button', { name: 'Begin with 1 pair' }).click();
    await expect(key(desk, 'Begin the lesson')).toBeVisible();
    const lesson = new URL(desk.url()).pathname;
    await desk.close();

    const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })).newPage();
    await phone.goto(`${demoYard.url}${lesson}`);
    await key(phone, 'Begin the lesson').tap();
    await key(phone, /^On to “/).tap();
    for (const mark of ['sat down', 'upper body ahead', 'heel up', 'leaned on the hands'])
      await expect(key(phone, new RegExp(`^${mark}`))).toBeVisible();
    await key(phone, /^heel up/).tap();
    await key(phone, /^Pass done/).tap();
    await cleanPass(phone, 'right rein');
    expect((await riddenHere(phone)).join(' ')).toContain('rider: heel up');
    await expect(phone.locator('[data-delivery=saved]')).toBeVisible();

    await phone.goto(`${demoYard.url}/review`);
    await phone
      .locator('a[href^="/review/"]', { hasText: /^Quill\b/ })
      .first()
      .click();
    await expect(phone.getByRole('img', { name: /seen of the rider of Quill/ })).toContainText('heel up: 1 pass');
    // How long, in the record and in the review.
    await expect(phone.getByRole('region', { name: 'The rider', exact: true })).toContainText(
      /A seat for Ode: about \d+\smin on 1 day/,
    );
    await phone.goto(`${demoYard.url}${lesson.replace(/\/run$/, '')}/record`);
    await expect(phone.getByText(/Quill with Ode Quillan: about \d+\smin/)).toBeVisible();
  },
);
