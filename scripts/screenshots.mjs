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
const key = (page, name) => page.getByRole('button', { name }).first();
const onSand = (page, name) => page.getByRole('group', { name: 'Where on the sand' }).getByRole('button', { name });
const strides = async (page, times) => {
  for (let stride = 0; stride < times; stride += 1) {
    await key(page, /Tap each stride/).click();
    await page.waitForTimeout(220);
  }
};

/** A lesson that runs: a pass clean, the next one being counted. */
const lesson = async page => {
  await page.goto(`${URL}/ride`);
  await page.getByRole('link', { name: 'Run it: The bend, built up' }).click();
  await key(page, 'Ride it today instead').click();
  await key(page, 'Begin the lesson').click();
  await key(page, /^Clean pass/).click();
  await strides(page, 3);
};

/** A pair over a layout by itself, on its pad. */
const ride = (layout, pair, steps) => async page => {
  await page.goto(`${URL}/ride`);
  await page.getByRole('radio', { name: layout }).click();
  await page.getByRole('radio', { name: pair }).click();
  await page.getByRole('button', { name: 'Ride', exact: true }).click();
  await page.waitForURL(/\/ride\/[0-9a-f-]+\/[0-9a-f-]+/);
  await key(page, 'Read').click();
  await steps(page);
};

/** Every kind of pad, beside each other in one picture. */
const PADS = [
  ride(/^Five trot poles/, /^Quill/, async page => {
    await onSand(page, /^pole 3/).click();
    await key(page, /^hit/).click();
  }),
  ride(/^Two fences/, /^Barley/, page => strides(page, 5)),
  ride(/^Course of eight/, /^Larkspur/, async page => {
    await strides(page, 4);
    await key(page, /^down/).click();
    await key(page, /^left lead/).click();
  }),
  lesson,
  ride(/^Three loops/, /^Quill/, async page => {
    await onSand(page, /^the second loop/).click();
    await key(page, /^bend lost/).click();
  }),
  ride(/^Fewer steps to canter/, /^Quill/, async page => {
    for (let change = 0; change < 3; change += 1) await key(page, /^prompt/).click();
  }),
  ride(/^Two poles in running walk/, /^Tansy/, async page => {
    await onSand(page, /^pole 2/).click();
    await key(page, /^fox trot/).click();
  }),
  async page => {
    await open('/yard', 'Barley')(page);
    await page.goto(page.url() + '/test');
    await key(page, 'Count on one screen').click();
    for (let stride = 0; stride < 5; stride += 1) await key(page, /Tap each time the/).click();
  },
];

async function shootPads(name) {
  const pictures = [];
  for (const steps of PADS) {
    const context = await browser.newContext({ viewport: PHONE, locale: 'en-GB', hasTouch: true });
    const page = await context.newPage();
    await steps(page);
    await page.waitForTimeout(600);
    pictures.push((await page.screenshot()).toString('base64'));
    await context.close();
  }
  const columns = PADS.length / 2;
  const page = await browser.newPage({
    viewport: { width: columns * (PHONE.width + 16) + 16, height: 2 * (PHONE.height + 16) + 16 },
  });
  const images = pictures.map(data => `<img width="${PHONE.width}" src="data:image/png;base64,${data}">`).join('');
  await page.setContent(
    `<body style="margin:16px;display:grid;gap:16px;grid-template-columns:repeat(${columns},${PHONE.width}px);background:#8590a0">${images}`,
  );
  await page.waitForTimeout(300);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  await page.close();
}

const oneAtATime = async page => {
  await open('/set', /Course of eight/)(page);
  await page.getByText('One at a time', { exact: true }).tap();
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
  for (let tap = 0; tap < 7; tap += 1)
    await page.getByRole('button', { name: /: tap, or press the space bar/ }).click();
};
const openPlan = async (page, name) => {
  await open('/plan', name)(page);
  await page.locator('[data-layer="still"]').waitFor();
};
/** A course from the saddle, on the turn to its third fence, with what would suit every horse beside it. */
const saddle = async page => {
  await openPlan(page, /Course of eight/);
  await page.getByText('Fit', { exact: true }).click();
  await page.getByRole('button', { name: 'Fit it' }).click();
  await page.getByRole('button', { name: 'Move them so' }).waitFor();
  await page.keyboard.press('f');
  await page.getByRole('slider', { name: /^Along/ }).fill('36');
  await page.getByRole('region', { name: 'From the saddle' }).waitFor();
  await page.waitForTimeout(500);
};
/** The course with a fence in the hand: what draws it, how far it is from what, and every horse's words. */
const course = async page => {
  await openPlan(page, /Course of eight/);
  await page.waitForTimeout(800);
  const fence = await page.locator('[data-drawn="willow"]').boundingBox();
  const [x, y] = [fence.x + fence.width / 2, fence.y + fence.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 44, y + 2, { steps: 6 });
};

/** What each pair could ride next is found beside the page. */
const suggested = page =>
  page
    .getByRole('region', { name: /could ride next/ })
    .getByRole('listitem')
    .first()
    .waitFor();

await shoot('today', DESK, async page => {
  await open('/today')(page);
  await suggested(page);
});
await shoot('yard', DESK, open('/yard'));
await shoot('horse', DESK, open('/yard', 'Quill'));
await shoot('stride-test', DESK, strideTest);
await shoot('plan-layouts', DESK, open('/plan'));
await shoot('plan', DESK, course);
await shoot('plan-saddle', DESK, saddle);
await shoot('plan-flat', DESK, open('/plan', /Three loops/));
await shoot('set', DESK, open('/set', /Four on the bend/));
await shoot('set-phone', PHONE, oneAtATime);
await shoot('lesson', DESK, async page => {
  await open('/ride', 'The bend, built up')(page);
  await page.getByRole('button', { name: /^Change stage 2/ }).click();
});
await shoot('lesson-end', DESK, open('/ride', 'Saturday, the course'));
await shoot('lesson-list', DESK, async page => {
  await open('/ride')(page);
  await page.getByRole('region', { name: 'Work by pair' }).scrollIntoViewIfNeeded();
});
await shoot('next', DESK, async page => {
  await open('/ride/next')(page);
  await page.getByText(/^Quill with/).click();
  await page.getByRole('article').first().waitFor();
});
await shoot('season', DESK, open('/ride/season'));
await shoot('lesson-record', DESK, async page => {
  await open('/ride', /^Read it: Saturday, the course/)(page);
  await page.getByRole('button', { name: 'Put right' }).first().click();
  await page.evaluate(() => scrollTo(0, 0));
});
await shoot('review', DESK, open('/review', /^Quill with/));
await shoot('review-sand', DESK, open('/review', /^Field arena/));
// Last, since they record passes.
await shootPads('ride-pads');

await browser.close();
server.kill();
rmSync(folder, { recursive: true, force: true });
