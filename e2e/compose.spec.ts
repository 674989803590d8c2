import type { Page } from '@playwright/test';
import { expect, test } from './support/fixtures';

/** Something of the plan's seldom used menu. */
async function fromMenu(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name }).click();
}

const openFit = (page: Page) => page.getByText('Fit', { exact: true }).click();

test(
  'a course of eight is composed, changed, fitted, taken into a smaller arena with a pillar, set out and looked at',
  { tag: '@full' },
  async ({ demoYard, page }) => {
    // A smaller sand with a pillar, and a corner that is cut away.
    await page.goto(`${demoYard.url}/yard`);
    await page.getByRole('button', { name: 'Add an arena' }).click();
    await page.getByLabel('Name').fill('Barn');
    await page.getByLabel('Short side').fill('28');
    await page.getByLabel('Long side').fill('52');
    await page.getByRole('button', { name: 'Add the arena' }).click();
    await page.getByRole('link', { name: 'Barn' }).click();
    await page.getByText('Something that stands there', { exact: true }).click();
    await page.getByRole('button', { name: 'Or put it at the far end, and type it right' }).click();
    const things = page.getByRole('region', { name: 'What stands there' });
    await things.getByLabel('Across').fill('14');
    await things.getByLabel('Across').press('Enter');
    await things.getByLabel('Up the arena').fill('26');
    await things.getByLabel('Up the arena').press('Enter');
    await page.getByRole('button', { name: 'Walk the walls' }).click();
    const walls = page.getByRole('textbox', { name: 'Walls' });
    await walls.fill('28 left\n46 left\n6 right\n6 left\n20 left');
    await page.getByRole('button', { name: 'Take this outline' }).click();
    await expect(page.getByText(/The walk ends .* from where it began/)).toBeVisible();
    await walls.fill('28 left\n46 left\n6 right\n6 left\n22 left\n52 left');
    await page.getByRole('button', { name: 'Take this outline' }).click();
    await expect(page.getByRole('region', { name: 'Its shape' }).getByRole('listitem')).toHaveCount(6);
    await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
    await page.reload();
    await expect(page.locator('[data-thing="pillar"]')).toBeVisible();
    await expect(page.getByRole('region', { name: 'Its shape' }).getByRole('listitem')).toHaveCount(6);

    // A course for a group, composed on the large sand.
    await page.goto(`${demoYard.url}/plan`);
    await page.getByRole('link', { name: /Course of eight, low/ }).click();
    await fromMenu(page, 'Compose a course');
    const dialog = page.getByRole('dialog', { name: 'Compose a course' });
    await dialog.getByLabel('Fences').fill('6');
    await dialog.getByRole('button', { name: 'Compose', exact: true }).click();
    await expect(dialog.getByRole('button', { name: 'Take course 3' })).toBeVisible();
    await expect(dialog.getByRole('button', { name: 'Three others' })).toBeVisible();
    await expect(dialog.getByRole('region', { name: 'Course 1' })).toContainText(/changes? of rein/);
    await dialog.getByRole('button', { name: 'Take course 1' }).click();
    const items = page.locator('[data-layer="still"] [data-item]');
    await expect(items).toHaveCount(6);

    // Changed: a fence is pushed a metre, and fitted back.
    await items.nth(1).click();
    for (let push = 0; push < 8; push += 1) await page.keyboard.press('Shift+ArrowRight');
    await openFit(page);
    const fit = page.getByRole('region', { name: 'Fit it' });
    await fit.getByRole('button', { name: 'Fit it' }).click();
    await fit.getByRole('button', { name: 'Move them so' }).click();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();

    // Into the barn.
    await fromMenu(page, 'Take it to another arena');
    await page.getByRole('combobox', { name: 'Arena' }).click();
    await page.getByRole('option', { name: 'Barn' }).click();
    const refit = page.getByRole('dialog', { name: 'Take it to another arena' });
    await expect(refit.getByRole('status')).toContainText(/distances are kept/);
    await expect(refit.locator('[data-thing="pillar"]')).toBeVisible();
    await refit.getByRole('button', { name: 'Make the copy there' }).click();
    await expect(page.getByLabel('Name of the layout')).toHaveValue(/, Barn$/);
    await expect(items).toHaveCount(6);
    await expect(page.locator('[data-thing="pillar"]')).toBeVisible();

    // From the saddle, and set out.
    await page.keyboard.press('f');
    await expect(page.getByRole('region', { name: 'From the saddle' })).toContainText(/Next: fence/);
    await page.getByRole('link', { name: 'Set it out' }).click();
    await expect(page.getByRole('heading', { name: 'Carry out' })).toBeVisible();
    await expect(page.locator('main')).not.toContainText('NaN');
  },
);

test('a course is composed and taken by touch on a tablet', async ({ demoYard, browser }) => {
  const tablet = await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true });
  const page = await tablet.newPage();
  await page.goto(`${demoYard.url}/plan`);
  await page.getByRole('link', { name: /Course of eight, low/ }).tap();
  await page.getByRole('button', { name: 'More', exact: true }).tap();
  await page.getByRole('menuitem', { name: 'Compose a course' }).tap();
  const dialog = page.getByRole('dialog', { name: 'Compose a course' });
  await dialog.getByLabel('Fences').fill('5');
  await dialog.getByRole('button', { name: 'Compose', exact: true }).tap();
  await dialog.getByRole('button', { name: 'Take course 2' }).tap();
  await expect(page.locator('[data-layer="still"] [data-item]')).toHaveCount(5);
  await page.getByRole('button', { name: 'Walk it' }).tap();
  await page.getByRole('button', { name: 'From the saddle' }).tap();
  await expect(page.getByRole('region', { name: 'From the saddle' })).toBeVisible();
  await page.getByText('Fit', { exact: true }).tap();
  await page.getByRole('region', { name: 'Fit it' }).getByRole('button', { name: 'Fit it' }).tap();
  await expect(page.getByRole('region', { name: 'Fit it' }).getByRole('status')).toBeVisible();
  await tablet.close();
});
