import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { reckonLayout, saidOfPair } from '../src/core';
import { readLayoutText } from '../src/files/layoutFile';
import { DPI, lineMiddlesMm, pdfPage, runs } from '../src/files/pdf/testPdf';
import { choose, expect, test } from './support/fixtures';
import { cleanPass, key, openDay } from './support/pad';

const region = (page: Page, name: string | RegExp) => page.getByRole('region', { name });
const whoRides = (page: Page) => region(page, 'Who rides').getByRole('listitem');

test(
  'three pairs are planned from a layout and taught at once, in under ten taps',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
    const page = await phone.newPage();
    await page.goto(`${demoYard.url}/plan`);
    let taps = 0;
    const tap = async (what: ReturnType<typeof key>) => {
      await what.tap();
      taps += 1;
    };
    await tap(page.getByRole('link', { name: /^Four on the bend for three/ }).first());
    await tap(key(page, 'Teach this now'));
    await tap(key(page, 'Begin with 3 pairs'));
    await tap(key(page, 'Begin the lesson'));
    await tap(key(page, /^On to “/));
    await tap(key(page, /^Clean pass/));
    expect(taps).toBeLessThan(10);
    await expect(page.locator('[data-delivery=saved]')).toBeVisible();
    await expect(region(page, 'Pairs').getByRole('button')).toHaveCount(3);
    // The lesson is an hour of stages that fit those who ride: a warm-up first.
    await page.goto(page.url().replace('/run', ''));
    await expect(page.getByRole('listitem', { name: 'Stage 1' })).toContainText('Warm-up');
    await phone.close();
  },
);

test(
  'a lesson is read for each pair against each question before it rides, as the core reads it',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/plan`);
    await page.getByRole('link', { name: /^Course of eight/ }).click();
    await expect(page).toHaveURL(/\/plan\/.+/);
    const layoutId = page.url().split('/plan/')[1]!;
    const sent = await page.request.get(`${demoYard.url}/api/layouts/${layoutId}/file`);
    const read = readLayoutText(await sent.text());
    if (!read.ok) throw new Error(read.reason);
    const [track] = reckonLayout(read.layout);
    if (track?.kind !== 'items') throw new Error('The first track of the course goes over no fences.');
    await key(page, 'Teach this now').click();
    await page.getByRole('link', { name: 'Plan it for another day' }).click();
    await expect(whoRides(page)).toHaveCount(read.layout.horses.length);
    for (const { name } of read.layout.horses) {
      await whoRides(page)
        .getByRole('button', { name: new RegExp(`^${name}`) })
        .click();
      const rows = region(page, `What ${name} is asked`).getByRole('group').first().getByRole('row');
      await expect(rows).toHaveCount(track.legs.length);
      for (const [at, leg] of track.legs.entries()) {
        const reading = leg.readings.find(({ horse }) => horse === name)!;
        await expect(rows.nth(at)).toContainText(`${leg.groundM.toFixed(2)} m`);
        await expect(rows.nth(at)).toContainText(saidOfPair(reading));
      }
    }
  },
);

test('stages are dragged into order, each minute is on the clock, and what is over the hour is said at once', async ({
  demoYard,
  strictPage: page,
}) => {
  await page.goto(`${demoYard.url}/ride/lessons/new`);
  await page.getByLabel('What it is called').fill('In another order');
  await page.getByLabel('Day and time').fill('2027-03-02T18:00');
  await choose(page, 'Arena', 'Lower school');
  await choose(page, 'Pairs', 'Barley with Bas Tamsin');
  await choose(page, 'Add the stages of a layout', 'Four on the bend for three');
  const stages = page.getByRole('listitem', { name: /^Stage \d/ });
  await expect(stages).toHaveCount(4);
  await expect(stages.nth(0).getByRole('time')).toHaveText('18:00');
  const names = async () =>
    (await stages.locator('strong').allTextContents()).map(text => text.replace(/^Change stage \d, /, ''));
  const before = await names();
  // By hand: the first is drawn below the second.
  const [from, to] = [key(page, /^Move stage 1/), key(page, /^Move stage 2/)];
  await from.hover();
  await page.mouse.down();
  const below = (await to.boundingBox())!;
  await page.mouse.move(below.x + below.width / 2, below.y + below.height / 2, { steps: 8 });
  await page.mouse.move(below.x + below.width / 2, below.y + below.height, { steps: 4 });
  await page.mouse.up();
  await expect.poll(names).toEqual([before[1], before[0], ...before.slice(2)]);
  // By keys: and back.
  await key(page, /^Move stage 2/).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/is over place 2/)).toBeAttached();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText(/is over place 1/)).toBeAttached();
  await page.keyboard.press('Space');
  await expect.poll(names).toEqual(before);
  await page.getByLabel('Minutes of stage 1').fill('70');
  await expect(page.getByText(/minutes? over the hour: .*shorten the longest/)).toBeVisible();
  await expect(stages.nth(1).getByRole('time')).toHaveText('19:10');
  await stages
    .nth(0)
    .getByRole('button', { name: /^It takes about/ })
    .click();
  await expect(page.getByText(/over the hour/)).toHaveCount(0);
  await key(page, 'Plan the lesson').click();
  await expect(page.getByRole('heading', { name: 'In another order' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Lesson In another order' })).toBeVisible();
});

test('a series of eight weeks, one of them moved', { tag: '@full' }, async ({ demoYard, strictPage: page }) => {
  await page.goto(`${demoYard.url}/ride/lessons/new`);
  await page.getByLabel('What it is called').fill('Tuesday eight');
  await page.getByLabel('Day and time').fill('2027-03-02T18:00');
  await choose(page, 'Arena', 'Lower school');
  await choose(page, 'Pairs', 'Barley with Bas Tamsin');
  await choose(page, 'Add the stages of a layout', 'Five trot poles, quarter line');
  await expect(page.getByRole('listitem', { name: 'Stage 1' })).toBeVisible();
  await key(page, 'Plan the lesson').click();
  await expect(page.getByRole('heading', { name: 'Tuesday eight' })).toBeVisible();
  await key(page, 'Series and groups').click();
  await key(page, 'Plan 8 weeks').click();
  const series = page.getByRole('navigation', { name: 'Series' }).getByRole('link');
  await expect(series).toHaveCount(8);
  // Over the last Sunday of March, when the clocks go on, it stays at six.
  await expect(series.nth(7)).toHaveText('Tue 20 Apr, 18:00');
  await series.nth(2).click();
  await expect(page.getByLabel('Day and time')).toHaveValue('2027-03-16T18:00');
  await page.getByLabel('Day and time').fill('2027-03-17T17:00');
  await key(page, 'Keep these changes').click();
  await expect(series.nth(2)).toHaveText('Wed 17 Mar, 17:00 moved');
  await expect(page.locator('em', { hasText: 'moved' })).toHaveCount(1);
  // Who comes from now on, comes to all that are still to come, on the days that they have.
  await choose(page, 'Pairs', 'Thimble with Neve Arkwell');
  await key(page, 'Keep these changes').click();
  await expect(key(page, 'Keep these changes')).not.toHaveAttribute('data-loading', 'true');
  await key(page, 'Bring this plan to the 5 that come').click();
  await expect(page.getByText('Brought to the 5 that come.')).toBeVisible();
  await series.nth(7).click();
  await expect(page.getByLabel('Day and time')).toHaveValue('2027-04-20T18:00');
  await expect(whoRides(page)).toHaveCount(2);
  await series.nth(0).click();
  await expect(page.getByLabel('Day and time')).toHaveValue('2027-03-02T18:00');
  await expect(whoRides(page)).toHaveCount(1);
});

test(
  'a clinic of eight pairs rides in two groups of like strides',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/plan`);
    await page.getByRole('link', { name: /^Five trot poles/ }).click();
    await key(page, 'Teach this now').click();
    // Seven pairs are there, and one comes.
    await key(page, 'Another pair').click();
    await page.getByRole('textbox', { name: 'Rider' }).fill('Jory Lamb');
    await choose(page, 'Horse', 'Quill');
    await key(page, 'Add this pair').click();
    await expect(page.getByRole('checkbox', { name: 'Quill with Jory Lamb' })).toBeChecked();
    for (const box of await page.getByRole('dialog').getByRole('checkbox').all()) await box.check();
    await expect(key(page, 'Begin with 8 pairs')).toBeVisible();
    await page.getByRole('link', { name: 'Plan it for another day' }).click();
    await expect(whoRides(page)).toHaveCount(8);
    await expect(page.getByText(/8 pairs are many at once/)).toBeVisible();
    await page.getByLabel('What it is called').fill('Clinic');
    await page.getByLabel('Day and time').fill('2027-03-06T10:00');
    await key(page, 'Plan the lesson').click();
    await expect(page.getByRole('heading', { name: 'Clinic' })).toBeVisible();
    await key(page, 'Series and groups').click();
    await page.getByLabel('Minutes each').fill('45');
    await key(page, 'Ride in 2 groups').click();
    const groups = page.getByRole('navigation', { name: 'Groups' }).getByRole('link');
    await expect(groups).toHaveText(['Group 1, 10:00', 'Group 2, 10:45']);
    await expect(whoRides(page)).toHaveCount(4);
    // The smallest horse rides in the first group, the largest in the second.
    await expect(whoRides(page).filter({ hasText: 'Thimble' })).toHaveCount(1);
    await groups.nth(1).click();
    await expect(page.getByRole('heading', { name: 'Clinic, group 2' })).toBeVisible();
    await expect(whoRides(page)).toHaveCount(4);
    await expect(whoRides(page).filter({ hasText: 'Thimble' })).toHaveCount(0);
  },
);

test(
  'at its end each rider has a page and a sheet with the course to scale and a word, and the next lesson is one tap',
  { tag: '@full' },
  async ({ seasonYard, strictPage: page }) => {
    await page.goto(`${seasonYard.url}/ride`);
    await page.getByLabel('Search the lessons').fill('bend');
    const ridden = region(page, 'Ridden').getByRole('link', { name: /^(?!Read it)/ });
    await ridden.first().click();
    await expect(page.getByRole('heading', { name: /: the end$/ })).toBeVisible();
    const pair = page.getByRole('region', { name: / with / }).first();
    const name = (await pair.getAttribute('aria-label'))!;
    await expect(pair).toContainText(/\d+ pass(es)?/);
    const word = pair.getByRole('textbox');
    await word.fill('Look up sooner; the left rein first next time.');
    await expect(pair.getByText('Kept.')).toBeVisible();
    const lesson = page.url().replace(/\/end$/, '');
    await page.reload();
    await expect(word).toHaveValue('Look up sooner; the left rein first next time.');

    // The sheet goes out as a file, and a reader that is not Roan's finds it all there.
    const download = page.waitForEvent('download');
    await pair.getByRole('button', { name: 'Send the sheet' }).click();
    expect((await download).suggestedFilename()).toContain(name);
    await pair.getByRole('link', { name: 'Page for the rider' }).click();
    await expect(page.getByRole('heading', { name: 'What you rode' })).toBeVisible();
    await expect(region(page, 'A word from your instructor')).toContainText('Look up sooner');
    const legs = (await page.getByRole('cell').allTextContents()).filter(text => /^\d+\.\d\d m$/.test(text));
    expect(legs.length).toBeGreaterThan(0);
    const pairId = page.url().split('/for/')[1]!;
    for (const paper of ['a4', 'letter']) {
      const sent = await page.request.get(`${lesson.replace('/ride/', '/api/')}/sheet?pair=${pairId}&paper=${paper}`);
      const file = path.join(tmpdir(), `roan-rider-${process.pid}-${paper}.pdf`);
      const bytes = await sent.body();
      const { pages } = pdfPage(bytes, file);
      const all = Array.from({ length: pages }, (_, at) => pdfPage(bytes, file, { page: at + 1 }).words);
      expect(all[0]).toContain('Look up sooner; the left rein first next time.');
      for (const length of legs) expect(all.join(' ')).toContain(length);
      const drawn = all.findIndex(words => /Drawn 1 : \d+/.test(words));
      const mmPerM = 1000 / Number(/Drawn 1 : (\d+)/.exec(all[drawn]!)![1]);
      const page1 = pdfPage(bytes, file, { page: drawn + 1, dpi: DPI });
      // The arena is 40 m long (its own page says so), wall to wall.
      const walls = runs(page1, 'row', 40 * mmPerM);
      expect(lineMiddlesMm(walls).length).toBeGreaterThanOrEqual(2);
      for (const { from, to } of walls) expect(Math.abs(((to - from) * 25.4) / DPI - 40 * mmPerM)).toBeLessThan(0.5);
    }

    await page.goto(`${lesson}/end`);
    await key(page, 'Plan the next lesson').click();
    await expect(page).not.toHaveURL(/\/end$/);
    await expect(page.getByRole('listitem', { name: 'Stage 1' })).toBeVisible();
    await expect(key(page, 'Keep these changes')).toBeVisible();
  },
);

test('the month says what each pair worked, day by day', { tag: '@full' }, async ({ seasonYard, strictPage: page }) => {
  await page.goto(`${seasonYard.url}/ride`);
  const work = region(page, 'Work by pair');
  await expect(region(page, 'Calendar').getByText('Adding up')).toHaveCount(0);
  for (let back = 0; back < 3 && (await work.count()) === 0; back += 1) await key(page, 'The month before').click();
  const pairs = work.getByRole('listitem');
  await expect(pairs.first()).toContainText(/\d+ days?/);
  const first = pairs.first();
  const days = Number(/(\d+) days?/.exec((await first.textContent())!)![1]);
  await expect(first.locator('rect')).toHaveCount(days);
  await first.getByRole('link').click();
  await expect(page).toHaveURL(/\/review\//);
});

test('a lesson is ended on the pad, and its end is one tap away', { tag: '@full' }, async ({ demoYard, browser }) => {
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await phone.newPage();
  await page.goto(`${demoYard.url}/ride`);
  await page.getByRole('link', { name: 'Run it: The bend, built up' }).tap();
  await key(page, 'Ride it today instead').tap();
  await key(page, 'Begin the lesson').tap();
  for (const rein of ['left rein', 'right rein', 'left rein', 'right rein'] as const) await cleanPass(page, rein);
  await openDay(page, 'Lesson');
  await key(page, 'End the lesson').tap();
  await page.getByRole('link', { name: 'What each rider did, and what comes' }).tap();
  await expect(page.getByText('4 passes, all clean.')).toBeVisible();
  // What was earned comes once more next time, and goes on from there.
  await key(page, 'Plan the next lesson').tap();
  const stages = page.getByRole('listitem', { name: /^Stage \d/ });
  await expect(stages.first()).toContainText('1 on each rein');
  await phone.close();
});
