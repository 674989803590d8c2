import { expect, type Locator, type Page } from '@playwright/test';

/** A key by its name. */
export const key = (page: Page, name: string | RegExp): Locator =>
  page.getByRole('button', { name, exact: typeof name === 'string' });

/** What is ridden over, a figure or a transition, on the sand of the pad: by how its name begins. */
export const onSand = (page: Page, words: string): Locator =>
  page.getByRole('group', { name: 'Where on the sand' }).getByRole('button', { name: new RegExp(`^${words}`) });

/** Opens what can be changed on the day, at one of its parts. */
export async function openDay(page: Page, part: string): Promise<void> {
  await page.locator('[data-whole-screen] header button').first().click();
  await page.getByRole('tab', { name: part, exact: true }).click();
}

/** Opens what is seldom marked. */
export async function openMore(page: Page): Promise<void> {
  await key(page, 'More …').click();
  await expect(page.getByRole('dialog')).toBeVisible();
}

export async function closeSheet(page: Page): Promise<void> {
  await page.getByRole('dialog').getByRole('button', { name: 'Close', exact: true }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
}

/** Lets it be ridden on a rein: a tap on the rein where it is the other one. */
export async function onRein(page: Page, rein: 'left rein' | 'right rein'): Promise<void> {
  const other = rein === 'left rein' ? 'right rein' : 'left rein';
  const now = page.locator('[data-whole-screen] header').getByRole('button', { name: /^(left|right) rein$/ });
  await expect(now).toBeVisible();
  if ((await now.getAttribute('aria-label')) === other) await now.click();
  await expect(now).toHaveAccessibleName(rein);
}

/** A pass with nothing to mark, on a rein. */
export async function cleanPass(page: Page, rein: 'left rein' | 'right rein'): Promise<void> {
  await onRein(page, rein);
  await key(page, /^Clean pass/).click();
}

/** What was ridden at the stage, pass by pass, read in its sheet. */
export async function riddenHere(page: Page): Promise<string[]> {
  await openDay(page, 'Ridden');
  const passes = page.getByRole('region', { name: 'Ridden at this stage' }).getByRole('listitem');
  const words = (await passes.allTextContents()).map(text => text.replace(/\s*Put right\s*$/, ''));
  await closeSheet(page);
  return words;
}
