import type { Page } from '@playwright/test';
import { expect, test } from './support/fixtures';

const saddle = (page: Page) => page.getByRole('region', { name: 'From the saddle' });
/** What is painted from the saddle, as a picture: it changes with the way. */
const painted = (page: Page) =>
  saddle(page)
    .locator('canvas')
    .evaluate((canvas: HTMLCanvasElement) => canvas.toDataURL().length);

test('a course is looked at from the saddle: walked, on each fence, with a mark to look at behind one', async ({
  demoYard,
  page,
}) => {
  await page.goto(`${demoYard.url}/plan`);
  await page.getByRole('link', { name: /Course of eight, low/ }).click();
  await page.getByRole('button', { name: 'Walk it' }).click();
  await page.getByRole('button', { name: 'Wait' }).click();
  await page.getByRole('button', { name: 'From the saddle' }).click();
  const along = page.getByRole('slider', { name: /^Along/ });
  await along.fill('-10');
  await expect(saddle(page)).toContainText(/Next: fence 1 in 10\.00 m, straight on\./);
  await expect(saddle(page)).toContainText('meets it square');
  const before = await painted(page);
  expect(before).toBeGreaterThan(5_000);
  await along.fill('40');
  await expect(saddle(page)).toContainText(/Next: fence 3 in .*look \d+° to the right\./);
  await expect(saddle(page)).toContainText(/would meet it \d+° off square; the track/);
  expect(await painted(page)).not.toBe(before);
  const items = page.locator('[data-layer="still"] [data-item]');
  const count = await items.count();
  await page.getByRole('button', { name: 'Put a mark to look at' }).click();
  await expect(items).toHaveCount(count + 1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(items).toHaveCount(count);
  // Another horse has another eye.
  const eye = saddle(page).getByText(/^Eye at/);
  const own = await eye.textContent();
  await page.keyboard.press('h');
  await expect(eye).not.toHaveText(own!);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Keep the picture' }).click();
  expect((await download).suggestedFilename()).toBe('from-the-saddle.png');
  await page.keyboard.press('f');
  await expect(saddle(page)).toHaveCount(0);
});

test('a rider at home rides the course through on a phone', { tag: '@full' }, async ({ demoYard, browser }) => {
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await phone.newPage();
  await page.goto(`${demoYard.url}/ride`);
  const lesson = await page.locator('a[href^="/ride/lessons/"]:not([href$="/new"])').first().getAttribute('href');
  await page.goto(`${demoYard.url}${/^\/ride\/lessons\/[^/]+/.exec(lesson!)![0]}/end`);
  await page.locator('a[href*="/for/"]').first().click();
  await expect(page.getByRole('img', { name: /^From the saddle, 12 m before fence 1/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Ride it through from the saddle' }).first().tap();
  await expect(saddle(page)).toContainText(/Next: (pole|fence) 1 in 12\.00 m/);
  await page.getByRole('button', { name: 'Go', exact: true }).tap();
  await expect(saddle(page)).toContainText(/Next: (pole|fence) 2/);
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(wide).toBeLessThanOrEqual(0);
  await phone.close();
});
