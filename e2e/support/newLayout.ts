import type { Page } from '@playwright/test';
import { choose } from './fixtures';
import type { RoanServer } from './roanServer';

/** Makes a new layout for one horse in the lower school, and opens the shelf. */
export async function shelfOfNewLayout(page: Page, roan: RoanServer, name: string, horse: string): Promise<void> {
  await page.goto(`${roan.url}/plan`);
  await page.getByRole('button', { name: 'New layout' }).click();
  await page.getByLabel('Name').fill(name);
  await choose(page, 'Arena', 'Lower school');
  await choose(page, 'Horses of the lesson', horse);
  await page.getByLabel('Name').click();
  await page.getByRole('button', { name: 'Make the layout' }).click();
  await page.getByLabel('Name of the layout').waitFor();
  await page.getByRole('button', { name: 'Shelf' }).click();
}
