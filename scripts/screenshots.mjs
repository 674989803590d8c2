/** npm run screenshots: takes one picture of each main view from a fresh demo yard into docs/screenshots/. */
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { ensureChromium } from './lib/chromium.mjs';

const PORT = 4790;
const URL = `http://127.0.0.1:${PORT}`;
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
const folder = mkdtempSync(path.join(tmpdir(), 'roan-shots-'));

const server = spawn(process.execPath, ['scripts/demo.mjs'], {
  env: { ...process.env, ROAN_PORT: String(PORT), ROAN_DEMO_FILE: path.join(folder, 'demo.db') },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((resolve, reject) => {
  server.stdout.on('data', chunk => String(chunk).includes(' is at ') && resolve());
  server.once('close', code => reject(new Error(`the demo ended with ${code}`)));
});

const browser = await chromium.launch({
  executablePath: await ensureChromium(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking', '--no-first-run'],
});

/** Opens a page of its own size, goes where `steps` lead, and keeps the picture. */
async function shoot(name, viewport, steps) {
  const context = await browser.newContext({ viewport, locale: 'en-GB', hasTouch: viewport === PHONE });
  const page = await context.newPage();
  await steps(page);
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(600);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  await context.close();
}

const open = (place, link) => async page => {
  await page.goto(URL + place);
  if (link)
    await page
      .getByRole('link', { name: link, exact: typeof link === 'string' })
      .first()
      .click();
  await page.waitForURL(url => !link || url.pathname !== place);
};
const ride = async page => {
  await page.goto(`${URL}/ride`);
  await page.getByRole('radio', { name: /^Quill with/ }).click();
  await page.getByRole('radio', { name: /^Five trot poles/ }).click();
  await page.getByRole('button', { name: 'Ride' }).click();
  await page.getByRole('radio', { name: '1–2' }).click();
  await page.getByRole('button', { name: /Middle/ }).click();
  await page.getByRole('button', { name: /Middle/ }).click();
  await page.getByRole('button', { name: /A third/ }).click();
};

/** A stride test with two passes kept and a third being counted. */
const strideTest = async page => {
  await open('/yard', 'Barley')(page);
  await page.goto(`${page.url()}/test`);
  for (const count of ['10', '9']) {
    await page.getByLabel('Or type the count').fill(count);
    await page.getByLabel('Or type the count').press('Enter');
    await page.getByRole('button', { name: 'Keep this pass' }).click();
  }
  await page.getByText('Short', { exact: true }).click();
  for (let tap = 0; tap < 7; tap += 1) await page.getByRole('button', { name: 'The foot landed' }).click();
};
const below = (name, path) => async page => {
  await open('/yard', name)(page);
  await page.goto(page.url() + path);
};

await shoot('yard', DESK, open('/yard'));
await shoot('horse', DESK, open('/yard', 'Quill'));
await shoot('stride-test', DESK, strideTest);
await shoot('distance-card', DESK, below('Quill', '/card'));
await shoot('own-step', DESK, open('/yard', 'Jory Pell'));
await shoot('arena', DESK, open('/yard', 'Field arena'));
await shoot('lists', DESK, open('/yard/files'));
await shoot('plan-layouts', DESK, open('/plan'));
await shoot('plan', DESK, open('/plan', /Five trot poles/));
await shoot('set', DESK, open('/set', /Raised walk poles/));
await shoot('set-phone', PHONE, open('/set', /Raised walk poles/));
await shoot('review', DESK, open('/review', /^Quill with/));
// Last, since it records a pass.
await shoot('ride-phone', PHONE, ride);

await browser.close();
server.kill();
rmSync(folder, { recursive: true, force: true });
