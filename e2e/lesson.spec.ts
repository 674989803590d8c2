import type { Browser, BrowserContext, Page } from '@playwright/test';
import { choose, expect, test } from './support/fixtures';
import { cleanPass, closeSheet, key, onRein, onSand, openDay, openMore, riddenHere } from './support/pad';
import type { RoanServer } from './support/roanServer';

const PAIRS = ['Barley with Bas Tamsin', 'Thimble with Neve Arkwell', 'Larkspur with Ode Quillan'];

/** Plans a lesson of three pairs over the first two stages of the bend. Returns where it is run. */
async function planned(browser: Browser, yard: RoanServer): Promise<string> {
  const desk = await browser.newContext();
  const page = await desk.newPage();
  await page.goto(`${yard.url}/ride`);
  await page.getByRole('link', { name: 'Plan a lesson' }).click();
  await page.getByLabel('What it is called').fill('Thursday group');
  await choose(page, 'Arena', 'Lower school');
  for (const pair of PAIRS) await choose(page, 'Pairs', pair);
  await page.keyboard.press('Escape');
  await choose(page, 'Add the stages of a layout', 'Four on the bend for three');
  // Four stages come with the exercise; the first two are enough today.
  for (let index = 0; index < 2; index += 1)
    await page.getByRole('listitem', { name: 'Stage 3' }).getByRole('button', { name: 'Take this stage out' }).click();
  // Every second pole of four is a cross-rail there: two jumps a pass, on both reins.
  const second = await page.getByRole('listitem', { name: 'Stage 2' }).textContent();
  const eachRein = Number(/(\d+) on each rein/.exec(second ?? '')?.[1]);
  const barley = page.getByRole('region', { name: 'Who rides' }).getByRole('button', { name: /^Barley/ });
  await expect(barley).toContainText(`${2 * 2 * eachRein} efforts`);
  await page.getByRole('button', { name: 'Plan the lesson' }).click();
  await expect(page.getByRole('heading', { name: 'Thursday group' })).toBeVisible();
  const run = `${page.url()}/run`;
  await desk.close();
  return run;
}

async function onPhone(browser: Browser, run: string): Promise<{ phone: BrowserContext; page: Page }> {
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await phone.newPage();
  await page.goto(run);
  return { phone, page };
}

const saved = (page: Page) => page.locator('[data-delivery=saved]');
/** A pair's key by its horse, which says how often it rode each rein. */
const pair = (page: Page, horse: string) =>
  page.getByRole('region', { name: 'Pairs' }).getByRole('button', { name: new RegExp(`^${horse}`) });

async function quality(page: Page, value: number): Promise<void> {
  await openMore(page);
  await page
    .getByRole('group', { name: 'Quality, 1 to 5' })
    .getByRole('button', { name: String(value) })
    .tap();
  await closeSheet(page);
}

test('a whole lesson of three pairs, two stages and both reins, tapped on a phone', async ({ demoYard, browser }) => {
  const run = await planned(browser, demoYard);
  const { phone, page } = await onPhone(browser, run);
  await expect(page.getByText('Somebody is on the ground whenever fences are jumped.')).toBeVisible();
  await key(page, 'Begin the lesson').tap();
  await expect(page.getByRole('heading', { name: /1\. All poles/ })).toBeVisible();

  const now = page.getByRole('status', { name: 'What now' });
  for (const horse of ['Barley', 'Thimble', 'Larkspur']) {
    await pair(page, horse).tap();
    for (const rein of ['left rein', 'right rein', 'left rein'] as const) await cleanPass(page, rein);
    await expect(now.filter({ hasText: 'On to' })).toHaveCount(0);
    await cleanPass(page, 'right rein');
    await expect(now).toContainText('The last 2 passes were clean on both reins.');
    await expect(pair(page, horse)).toContainText('2 left, 2 right');
  }
  // The next stage is offered, and everything a pass can say is a tap away.
  await key(page, 'Next stage').tap();
  await expect(page.getByRole('heading', { name: /2\. Every second one a cross-rail/ })).toBeVisible();
  await onRein(page, 'left rein');
  // From the first pole to the second stop two strides, which is a cross-rail; then what happened there.
  for (let stride = 0; stride < 2; stride += 1) await key(page, /Tap each stride/).tap();
  await key(page, /^rub/).tap();
  await key(page, /^left lead/).tap();
  await openMore(page);
  await key(page, 'deep take-off').tap();
  await key(page, 'landed close').tap();
  await closeSheet(page);
  await quality(page, 4);
  await expect(onSand(page, 'cross rail 2')).toHaveAccessibleName(/rub, left lead, deep, landed close/);

  // One undo that always works: the last tap goes, then the one before it; each says what it takes back.
  await expect(key(page, /^Undo/)).toContainText('quality 4 of 5');
  await key(page, /^Undo/).tap();
  await expect(key(page, /^Undo/)).toContainText('landed close');
  await key(page, /^Undo/).tap();
  await expect(onSand(page, 'cross rail 2')).not.toHaveAccessibleName(/landed/);
  await key(page, /^right lead/).tap();
  await key(page, /^Pass done/).tap();

  await openMore(page);
  await key(page, 'rush').tap();
  await key(page, 'eyes late').tap();
  await closeSheet(page);
  // A finger held on the sand marks the place.
  const sand = (await page.getByRole('group', { name: 'The sand', exact: true }).boundingBox())!;
  await page.mouse.move(sand.x + sand.width / 2, sand.y + sand.height / 2 + 24);
  await page.mouse.down();
  await page.waitForTimeout(800);
  await page.mouse.up();
  await expect(key(page, /^Undo/)).toContainText('a spot on the sand');
  await key(page, /^Pass done/).tap();
  const passes = await riddenHere(page);
  expect(passes).toHaveLength(2);
  expect(passes[0]).toMatch(/2 from .*rub at cross rail 2, right lead.*deep take-off/);
  expect(passes[1]).toContain('rush, rider: eyes late, a spot on the sand');
  // The same pictures as in the review: what was counted, and how much went clean on either rein.
  await openDay(page, 'Ridden');
  await expect(page.getByRole('img', { name: /^Strides that were counted/ })).toHaveAccessibleName(/2 strides once/);
  await expect(page.getByRole('img', { name: /^Clean passes on the left/ })).toBeVisible();
  await closeSheet(page);
  await key(page, /^Walk break/).tap();
  await expect(key(page, /^Undo/)).toContainText('the walk break');
  await expect(saved(page)).toBeVisible();

  await page.reload();
  await expect(page.getByRole('heading', { name: /2\. Every second/ })).toBeVisible();
  await pair(page, 'Larkspur').tap();
  expect(await riddenHere(page)).toEqual(passes);
  await phone.close();
});

test(
  'with the connection cut for part of a lesson nothing is lost, and it catches up once',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const { phone, page } = await onPhone(browser, await planned(browser, demoYard));
    await key(page, 'Begin the lesson').tap();
    await cleanPass(page, 'left rein');
    await expect(saved(page)).toBeVisible();
    await phone.setOffline(true);
    for (const horse of ['Barley', 'Thimble', 'Larkspur']) {
      await pair(page, horse).tap();
      await cleanPass(page, 'left rein');
      await cleanPass(page, 'right rein');
    }
    await expect(page.locator('[data-delivery=waiting]')).toContainText('not saved yet, kept on this device');
    await expect(pair(page, 'Barley')).toContainText('2 left, 1 right');
    await phone.setOffline(false);
    await expect(saved(page)).toBeVisible();
    await page.reload();
    await expect(pair(page, 'Barley')).toContainText('2 left, 1 right');
    await expect(pair(page, 'Thimble')).toContainText('1 left, 1 right');
    await expect(pair(page, 'Larkspur')).toContainText('1 left, 1 right');
    await phone.close();
  },
);

test(
  'with the server killed in the middle, and the tab closed before it is back',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const run = await planned(browser, demoYard);
    const { phone, page } = await onPhone(browser, run);
    await key(page, 'Begin the lesson').tap();
    await cleanPass(page, 'left rein');
    await expect(saved(page)).toBeVisible();
    await demoYard.kill();
    await cleanPass(page, 'right rein');
    await quality(page, 3);
    await expect(page.locator('[data-delivery=waiting]')).toBeVisible();
    await page.close();
    await demoYard.start();
    const again = await phone.newPage();
    await again.goto(run);
    await expect(saved(again)).toBeVisible();
    await expect(pair(again, 'Barley')).toContainText('1 left, 2 right');
    await again.reload();
    await expect(pair(again, 'Barley')).toContainText('1 left, 2 right');
    expect((await riddenHere(again))[2]).toContain('quality 3 of 5');
    await phone.close();
  },
);

test(
  'two people record the same lesson, and each sees what the other tapped',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const run = await planned(browser, demoYard);
    const one = await onPhone(browser, run);
    await key(one.page, 'Begin the lesson').tap();
    await expect(saved(one.page)).toBeVisible();
    const two = await onPhone(browser, run);
    await pair(two.page, 'Thimble').tap();
    for (let pass = 0; pass < 3; pass += 1) {
      await cleanPass(one.page, 'left rein');
      await cleanPass(two.page, 'right rein');
    }
    await expect(pair(one.page, 'Thimble')).toContainText('0 left, 3 right');
    await expect(pair(two.page, 'Barley')).toContainText('3 left, 0 right');
    // What one takes back is gone for both.
    await key(one.page, /^Undo/).tap();
    await expect(pair(two.page, 'Barley')).toContainText('2 left, 0 right');
    await expect(pair(one.page, 'Thimble')).toContainText('0 left, 3 right');
    await one.phone.close();
    await two.phone.close();
  },
);

test(
  'a distance is changed between passes and is a new setting from then on; the lesson again in a week',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const run = await planned(browser, demoYard);
    const { phone, page } = await onPhone(browser, run);
    await key(page, 'Begin the lesson').tap();
    await openDay(page, 'Distances');
    const gap = page.getByRole('group', { name: 'pole 1 to pole 2 for the next pass' });
    const before = Number(/([\d.]+) m/.exec((await gap.textContent()) ?? '')?.[1]);
    await gap.getByRole('button', { name: 'pole 1 to pole 2 wider by 5 cm' }).tap();
    await expect(gap).toContainText(`${(before + 0.05).toFixed(2)} m`);
    // Each change of the day has its way back.
    await key(page, /^Put back/).tap();
    await expect(gap).toContainText(`${before.toFixed(2)} m`);
    await gap.getByRole('button', { name: 'pole 1 to pole 2 wider by 5 cm' }).tap();
    await expect(gap).toContainText(`${(before + 0.05).toFixed(2)} m`);
    await closeSheet(page);
    await cleanPass(page, 'left rein');
    await expect(saved(page)).toBeVisible();

    await page.goto(run.replace('/run', ''));
    const calendar = await page.request.get(`${run.replace('/ride/', '/api/').replace('/run', '')}/calendar`);
    const text = await calendar.text();
    // RFC 5545: the file begins and ends with its calendar, and an event has a start in UTC.
    expect(text.startsWith('BEGIN:VCALENDAR')).toBe(true);
    expect(text).toMatch(/DTSTART:\d{8}T\d{6}Z/);
    expect(text).toContain('SUMMARY:Thursday group');
    const sheet = `${run.replace('/ride/', '/api/').replace('/run', '')}/sheet`;
    const pdf = await page.request.get(sheet);
    expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
    await key(page, 'On paper and out').tap();
    const own = await page.getByRole('menuitem', { name: 'For Barley with Bas Tamsin (PDF)' }).getAttribute('href');
    expect((await page.request.get(`${demoYard.url}${own}`)).headers()['content-type']).toBe('application/pdf');
    expect((await page.request.get(`${sheet}?pair=nobody`)).status()).toBe(404);
    await page.keyboard.press('Escape');
    await key(page, 'Again in a week').tap();
    await expect(page).not.toHaveURL(run.replace('/run', ''));
    await page.goto(`${demoYard.url}/ride`);
    await expect(page.getByRole('link', { name: 'Thursday group', exact: true })).toHaveCount(2);
    await phone.close();
  },
);

test('what comes stands first, what was lies in a calendar by month, and every lesson is found by words', async ({
  seasonYard,
  strictPage: page,
}) => {
  await page.goto(`${seasonYard.url}/ride`);
  const calendar = page.getByRole('region', { name: 'Calendar' });
  const heading = calendar.getByRole('heading');
  const now = await heading.textContent();
  // The season lies behind today: a month back or some there is a day with a lesson. In this month there may be planned ones only.
  await page.getByRole('button', { name: 'The month before' }).click();
  const days = calendar.getByRole('cell').getByRole('button');
  for (let back = 0; back < 14 && (await days.count()) === 0; back += 1)
    await page.getByRole('button', { name: 'The month before' }).click();
  await expect(days.first()).toBeVisible();
  const name = (await days.first().locator('[data-state]').first().textContent())!;
  await days.first().click();
  await expect(calendar.getByRole('link', { name: `Read it: ${name}` }).first()).toBeVisible();
  await page.getByRole('button', { name: 'The month after' }).click();
  await page.getByRole('button', { name: 'The month before' }).click();
  expect(now).toMatch(/^[A-Z][a-z]+ 20\d\d$/);

  await page.getByLabel('Search the lessons').fill(name);
  await expect(page.getByRole('region', { name: 'Ridden' }).getByRole('link', { name }).first()).toBeVisible();
  await page.getByLabel('Search the lessons').fill('no such lesson');
  await expect(page.getByText('No lesson is like that')).toBeVisible();
});
