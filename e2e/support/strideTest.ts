import { expect, type Page } from '@playwright/test';
import { choose } from './fixtures';
import type { RoanServer } from './roanServer';

/**
 * Tests a horse's stride on one screen, tap by tap, in lanes of 20 m, and keeps it: three passes of each gait, the last of a stride more.
 * @returns the tests on the horse's page
 */
export async function testStride(page: Page, roan: RoanServer, horse: RegExp, gaits: readonly [string, number][]) {
  await page.goto(`${roan.url}/yard`);
  const href = await page.getByRole('link', { name: horse }).first().getAttribute('href');
  await page.goto(`${roan.url}${href}/test`);
  const pad = page.getByRole('button', { name: /: tap, or press the space bar/ });
  for (const [gait, strides] of gaits) {
    await choose(page, 'Gait', gait);
    for (const more of [0, 0, 1]) {
      for (let stride = 0; stride < strides + more; stride += 1) await pad.click();
      await page.getByRole('button', { name: 'Keep this pass' }).click();
    }
  }
  await page.getByRole('button', { name: /^Keep the/ }).click();
  await expect(page).toHaveURL(new RegExp(`${href}$`));
  return page.getByRole('region', { name: 'Stride tests', exact: true });
}
