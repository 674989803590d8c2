import type { Page } from '@playwright/test';
import type { RoanServer } from './roanServer';

/** The first passphrase of an unattended start: the first instructor's, who is Maud Ferrier in the demo yard. */
export const PASSPHRASE = 'seven teasels by the gate';

export async function signIn(page: Page, roan: RoanServer, name: string, passphrase: string): Promise<void> {
  await page.goto(`${roan.url}/sign-in`);
  await page.getByLabel('Name').fill(name);
  await page.getByRole('textbox', { name: 'Passphrase' }).fill(passphrase);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

/** Signs the instructor of the demo yard in. */
export async function signInMaud(page: Page, roan: RoanServer): Promise<void> {
  await signIn(page, roan, 'Maud Ferrier', PASSPHRASE);
  await page.waitForURL(`${roan.url}/today`);
}
