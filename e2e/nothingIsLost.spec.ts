import { spawnSync } from 'node:child_process';
import type { Page } from '@playwright/test';
import { expect, test } from './support/fixtures';
import { key, onSand } from './support/pad';
import type { RoanServer } from './support/roanServer';
import { saved } from './support/sand';

/** A row of five poles in the plan, chosen: where their number is typed. */
async function fivePoles(page: Page, yard: RoanServer) {
  await page.goto(`${yard.url}/plan`);
  await page.getByRole('link', { name: /Five trot poles/ }).click();
  await page.locator('[data-item$=" p1"]').click();
  const poles = page.getByLabel('Poles', { exact: true });
  await expect(poles).toHaveValue('5');
  return poles;
}

test('a tap that was acknowledged is there after the server is killed', async ({ demoYard, strictPage: page }) => {
  await page.goto(`${demoYard.url}/ride`);
  await page.getByRole('radio', { name: /^Larkspur with/ }).click();
  await page.getByRole('radio', { name: /^Three canter poles/ }).click();
  await page.getByRole('button', { name: 'Ride' }).click();
  await page.getByRole('button', { name: /^a third/ }).click();
  await expect(page.locator('[data-delivery=saved]')).toBeVisible();
  await demoYard.kill();

  // While the server is away, taps are kept on the device and say so.
  await onSand(page, 'pole 2').click();
  await key(page, /^hit/).click();
  await expect(page.getByText(/1 not saved yet, kept on this device/)).toBeVisible();

  await demoYard.start();
  await expect(page.locator('[data-delivery=saved]')).toBeVisible({ timeout: 20_000 });
  await page.reload();
  await page.locator('[data-whole-screen] header button').first().click();
  await expect(page.getByRole('listitem').filter({ hasText: 'a third · hit pole 2' })).toHaveCount(1);
});

test(
  'marks that never reached the server go out when the page is opened again, once',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/ride`);
    await page.getByRole('radio', { name: /^Larkspur with/ }).click();
    await page.getByRole('radio', { name: /^Three canter poles/ }).click();
    await page.getByRole('button', { name: 'Ride' }).click();
    await expect(page.locator('[data-delivery=saved]')).toBeVisible();
    const ride = page.url();
    await demoYard.kill();
    await page.getByRole('button', { name: /^middle/ }).click();
    await expect(page.getByText(/2 not saved yet/)).toBeVisible();
    await page.goto('about:blank');
    await demoYard.start();
    await page.goto(ride);
    await expect(page.locator('[data-delivery=saved]')).toBeVisible();
    await page.reload();
    await page.locator('[data-whole-screen] header button').first().click();
    await expect(page.getByRole('listitem').filter({ hasText: 'the middle' })).toHaveCount(1);
  },
);

test(
  'a plan edited while the server is away is saved when it is back',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    const poles = await fivePoles(page, demoYard);
    await demoYard.kill();
    await poles.fill('6');
    await poles.press('Enter');
    await expect(page.getByText(/Not saved yet/)).toBeVisible();
    // Coming back to the window meanwhile takes nothing away.
    await page.evaluate(() => window.dispatchEvent(new Event('focus')));
    await page.waitForTimeout(1000);
    await expect(poles).toHaveValue('6');
    await demoYard.start();
    await expect(saved(page)).toBeVisible({ timeout: 20_000 });
    await page.reload();
    await expect(page.locator('[data-kind="pole"]')).toHaveCount(6);
  },
);

test(
  'what was planned and never saved comes back when the page is opened again',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    const poles = await fivePoles(page, demoYard);
    const plan = page.url();
    await demoYard.kill();
    await poles.fill('3');
    await poles.press('Enter');
    await expect(page.getByText(/Not saved yet/)).toBeVisible();
    await page.goto('about:blank');
    await demoYard.start();
    await page.goto(plan);
    await expect(page.getByText('Brought back what had not been saved')).toBeVisible();
    await expect(page.locator('[data-kind="pole"]')).toHaveCount(3);
    await expect(saved(page)).toBeVisible();
  },
);

test(
  'a second Roan on the same file is refused in a sentence, and so is a port that is taken',
  { tag: '@full' },
  async ({ demoYard }) => {
    const again = (env: Record<string, string>) =>
      spawnSync(process.execPath, ['scripts/start.mjs'], { env: { ...demoYard.env, ...env }, encoding: 'utf8' });
    const sameFile = again({ ROAN_PORT: '1' + String(demoYard.port).slice(-4) });
    expect(sameFile.status).toBe(1);
    expect(sameFile.stderr).toContain('Another Roan is already running on');
    const samePort = again({ ROAN_DATABASE_URL: `file:${demoYard.folder}/other.db` });
    expect(samePort.status).toBe(1);
    expect(samePort.stderr.trim()).toBe(
      `Port ${demoYard.port} is taken by another program: stop it, or choose another port with ROAN_PORT=${demoYard.port + 1}.`,
    );
  },
);
