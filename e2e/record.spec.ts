import JSZip from 'jszip';
import type { Browser, Page } from '@playwright/test';
import { choose, expect, test } from './support/fixtures';
import { cleanPass, closeSheet, key, onSand, openDay } from './support/pad';
import type { RoanServer } from './support/roanServer';

const saved = (page: Page) => page.locator('[data-delivery=saved]');
const pairKey = (page: Page, horse: string) =>
  page.getByRole('region', { name: 'Pairs' }).getByRole('button', { name: new RegExp(`^${horse}`) });
const region = (page: Page, name: string) => page.getByRole('region', { name });

/** Plans a lesson of two pairs over the first stage of the bend, on a day of the yard's clock. Returns its address. */
async function planned(page: Page, yard: RoanServer, name: string, startsAt?: string): Promise<string> {
  await page.goto(`${yard.url}/ride`);
  await page.getByRole('link', { name: 'Plan a lesson' }).click();
  await page.getByLabel('What it is called').fill(name);
  if (startsAt) await page.getByLabel('Day and time').fill(startsAt);
  await choose(page, 'Arena', 'Lower school');
  for (const pair of ['Barley with Bas Tamsin', 'Thimble with Neve Arkwell']) await choose(page, 'Pairs', pair);
  await page.keyboard.press('Escape');
  await choose(page, 'Add the stages of a layout', 'Four on the bend for three');
  for (let index = 0; index < 3; index += 1)
    await page.getByRole('listitem', { name: 'Stage 2' }).getByRole('button', { name: 'Take this stage out' }).click();
  await page.getByRole('button', { name: 'Plan the lesson' }).click();
  await expect(page.getByRole('heading', { name })).toBeVisible();
  return page.url();
}

async function onPhone(browser: Browser, url: string): Promise<Page> {
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await phone.newPage();
  await page.goto(url);
  return page;
}

type Answer = { log: { passes: { pass: { layoutVersionId: string; pairId: string; riddenAtMs: number } }[] } };
const recordOf = async (page: Page, lesson: string) =>
  (await (await page.request.get(`${lesson.replace('/ride/', '/api/')}/record`)).json()) as Answer;

test(
  'a pair is added and a horse swapped in the middle, while the layout is moved at the desk',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const desk = await (await browser.newContext()).newPage();
    const lesson = await planned(desk, demoYard, 'Friday group');
    const page = await onPhone(browser, `${lesson}/run`);
    await key(page, 'Begin the lesson').tap();
    await cleanPass(page, 'left rein');

    // Somebody whom nobody planned: a name and a horse are enough.
    await openDay(page, 'Who rides');
    await page.getByLabel('Its name').fill('Sorrel');
    await page.getByLabel('Their name').fill('Ada Wren');
    await key(page, 'small pony').tap();
    await key(page, 'Add the pair').tap();
    // The order is as it is said.
    await key(page, 'Sorrel rides earlier').tap();
    await expect(page.getByRole('region', { name: 'Order of pairs' })).toContainText(/Sorrel.*Thimble/);
    await closeSheet(page);
    await expect(page.getByRole('region', { name: 'Pairs' }).getByRole('button').nth(1)).toContainText('Sorrel');
    await pairKey(page, 'Sorrel').tap();
    await cleanPass(page, 'left rein');
    await expect(pairKey(page, 'Sorrel')).toContainText('1 left, 0 right');

    // Thimble is lame today: its rider takes another horse.
    await pairKey(page, 'Thimble').tap();
    await cleanPass(page, 'right rein');
    await openDay(page, 'Who rides');
    await key(page, 'Neve Arkwell rides Larkspur instead of Thimble').tap();
    await closeSheet(page);
    await expect(pairKey(page, 'Larkspur')).toContainText('Neve Arkwell');
    await expect(pairKey(page, 'Thimble')).toHaveCount(0);
    await expect(saved(page)).toBeVisible();

    // Meanwhile the desk moves the layout; the phone sees it within seconds, and what was ridden stays where it was.
    await desk.goto(`${demoYard.url}/plan`);
    await desk
      .getByRole('link', { name: /Four on the bend for three/ })
      .first()
      .click();
    await expect(desk.getByText(/What you change here is ridden in .*“Friday group”/)).toBeVisible();
    const piece = desk.locator('[data-item]').first();
    // A page that is not alive yet is told again.
    await expect(async () => {
      await piece.click();
      await expect(piece).toHaveAttribute('aria-pressed', 'true', { timeout: 2000 });
    }).toPass();
    await desk.keyboard.press('ArrowRight');
    await desk.keyboard.press('ArrowRight');
    await expect(desk.getByRole('button', { name: 'Undo', exact: true })).toBeEnabled();
    await expect(desk.getByText('Saved', { exact: true })).toBeVisible();
    await expect(page.getByText(/“Four on the bend for three” was changed just now/)).toBeVisible({ timeout: 15_000 });
    await pairKey(page, 'Larkspur').tap();
    await cleanPass(page, 'left rein');
    await expect(saved(page)).toBeVisible();
    const { log } = await recordOf(page, lesson);
    expect(log.passes).toHaveLength(4);
    expect(new Set(log.passes.slice(0, 3).map(({ pass }) => pass.layoutVersionId)).size).toBe(1);
    expect(log.passes[3]!.pass.layoutVersionId).not.toBe(log.passes[0]!.pass.layoutVersionId);

    // After a reload all of it is there, and an undo reaches what is shown and no farther.
    await page.reload();
    await expect(pairKey(page, 'Sorrel')).toContainText('1 left, 0 right');
    await expect(pairKey(page, 'Larkspur')).toContainText('1 left, 0 right');
    await pairKey(page, 'Sorrel').tap();
    await expect(key(page, /^Undo/)).toContainText('the pass');
    await key(page, /^Undo/).tap();
    await expect(pairKey(page, 'Sorrel')).toContainText('0 left, 0 right');
    await expect(key(page, /^Undo/)).toBeDisabled();
    await expect(pairKey(page, 'Larkspur')).toContainText('1 left, 0 right');
    await key(page, /^Redo/).tap();
    await expect(pairKey(page, 'Sorrel')).toContainText('1 left, 0 right');
    await expect(saved(page)).toBeVisible();

    // The desk has them too, and changing the plan there loses nobody.
    await desk.goto(lesson);
    await expect(region(desk, 'Who rides').getByRole('button', { name: /^Sorrel with Ada Wren/ })).toBeVisible();
    await expect(desk.getByText(/its record stays/)).toBeVisible();
    await desk.getByRole('button', { name: 'Take this stage out' }).click();
    await desk.getByRole('button', { name: 'Keep these changes' }).click();
    await expect(desk.getByText(/stays: 4 passes were ridden in it/)).toBeVisible();
  },
);

test(
  'a lesson is ended, read, opened again, put away and taken out',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const desk = await (await browser.newContext()).newPage();
    const lesson = await planned(desk, demoYard, 'Short one');
    const page = await onPhone(browser, `${lesson}/run`);
    await key(page, 'Begin the lesson').tap();
    await cleanPass(page, 'left rein');
    await openDay(page, 'Lesson');
    await page.getByLabel('Who records on this device').fill('Mira');
    await key(page, 'Save').tap();
    await key(page, 'End the lesson').tap();
    await expect(page.getByRole('heading', { name: 'The lesson is over' })).toBeVisible();
    await expect(saved(page)).toBeVisible();
    // Nothing is added to it by mistake: every way to it leads to its record.
    await page.goto(`${lesson}/run`);
    await expect(page).toHaveURL(/\/record$/);
    await expect(page.getByText(/It is over/)).toBeVisible();
    await expect(page.getByText('1 pass counts')).toBeVisible();
    await key(page, 'Open it again').tap();
    await expect(saved(page)).toBeVisible();
    await page.goto(`${lesson}/run`);
    await cleanPass(page, 'right rein');
    await expect(saved(page)).toBeVisible();
    await page.goto(`${lesson}/record`);
    await expect(page.getByText('2 passes count')).toBeVisible();
    await expect(region(page, 'What was changed afterwards')).toContainText(/by Mira/);
    await key(page, 'Archive it').tap();
    await expect(page.getByText(/It is archived/)).toBeVisible();
    await page.goto(`${demoYard.url}/ride`);
    await page.getByText('Archived (1)').tap();
    await page.getByRole('link', { name: 'Short one', exact: true }).tap();
    await key(page, 'Restore it').tap();
    await expect(page.getByText(/It runs/)).toBeVisible();
    await expect(page.getByText('2 passes count')).toBeVisible();
  },
);

/** A day of the yard's clock so many days back, as a field takes it, and as a heading shows it. */
function daysAgo(days: number): { field: string; day: string } {
  const at = new Date(Date.now() - days * 24 * 3600 * 1000);
  const field = at.toLocaleDateString('sv-SE', { timeZone: 'Europe/London' });
  return {
    field,
    day: at.toLocaleDateString('en-GB', { timeZone: 'Europe/London', day: 'numeric', month: 'long', year: 'numeric' }),
  };
}

test(
  'a lesson is entered from paper: what is tapped has its day and its times',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const desk = await (await browser.newContext()).newPage();
    const { field, day } = daysAgo(20);
    const lesson = await planned(desk, demoYard, 'From paper', `${field}T17:30`);
    const page = await onPhone(browser, `${lesson}/run`);
    await expect(page.getByRole('heading', { name: new RegExp(`Planned for .*${day}`) })).toBeVisible();
    await page.getByRole('link', { name: 'Write it down' }).tap();
    await expect(page.getByText(new RegExp(`Written down afterwards: ridden on .*${day}`))).toBeVisible();
    await cleanPass(page, 'left rein');
    await pairKey(page, 'Thimble').tap();
    await cleanPass(page, 'right rein');
    await expect(saved(page)).toBeVisible();
    const { log } = await recordOf(page, lesson);
    for (const { pass } of log.passes)
      expect(new Date(pass.riddenAtMs).toLocaleDateString('sv-SE', { timeZone: 'Europe/London' })).toBe(field);
    await page.goto(`${lesson}/record`);
    await expect(page.getByText('2 passes count')).toBeVisible();
    await expect(region(page, 'All poles').getByRole('listitem').first()).toContainText(
      /Barley with Bas Tamsin, 17:3\d.*written down/,
    );
    // Its day is moved, and its passes with it.
    const moved = daysAgo(19);
    await page.goto(lesson);
    // A page that is not alive yet is told again.
    await expect(async () => {
      await page.getByLabel('Day and time').fill(`${moved.field}T09:00`);
      await key(page, 'Keep these changes').tap();
      await expect(page.getByText('Its 2 passes were moved with it.')).toBeVisible({ timeout: 15_000 });
    }).toPass({ timeout: 60_000 });
    await page.goto(`${lesson}/record`);
    await expect(region(page, 'All poles').getByRole('listitem').first()).toContainText('Barley with Bas Tamsin, 09:0');
    await expect(region(page, 'What was changed afterwards')).toContainText('the day of the lesson');
  },
);

/** How many passes the review says that a pair rode. */
async function passesInReview(page: Page, yard: RoanServer, horse: string): Promise<number> {
  await page.goto(`${yard.url}/review`);
  await page.getByRole('link', { name: new RegExp(`^${horse} with`) }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(horse);
  const text = (await page.locator('main').textContent()) ?? '';
  return Number(/(\d+) passes/.exec(text)?.[1]);
}

test(
  'a pass of a past day is moved to another pair and a mark of it changed; review, CSV and archive say so',
  { tag: '@full' },
  async ({ seasonYard, browser }) => {
    const page = await onPhone(browser, `${seasonYard.url}/ride`);
    const before = [await passesInReview(page, seasonYard, 'Quill'), await passesInReview(page, seasonYard, 'Osprey')];
    await page.goto(`${seasonYard.url}/ride`);
    await page.getByRole('link', { name: 'Read it: Saturday, the course', exact: true }).first().tap();
    await expect(page).toHaveURL(/\/record$/);
    const lesson = page.url().replace('/record', '');
    await page
      .getByRole('listitem')
      .filter({ hasText: 'Quill with' })
      .first()
      .getByRole('button', { name: 'Put right' })
      .tap();
    const pass = region(page, 'A pass put right');
    await pass.getByLabel('Who rode').selectOption({ label: 'Osprey with Maud Ferrier' });
    await pass.getByText('Mark it otherwise, or add a mark').tap();
    await pass.getByRole('group', { name: 'Quality, 1 to 5' }).getByRole('button', { name: '1' }).tap();
    await expect(pass.getByRole('list', { name: 'What was marked' })).toContainText('quality 1 of 5');
    const changes = region(page, 'What was changed afterwards');
    await expect(changes).toContainText('who rode: Osprey with Maud Ferrier, before Quill with Ode Quillan');
    await expect(changes).toContainText(/a mark: quality 1 of 5, before quality [2-5] of 5/);
    await expect(saved(page)).toBeVisible();

    const after = [await passesInReview(page, seasonYard, 'Quill'), await passesInReview(page, seasonYard, 'Osprey')];
    expect(after).toEqual([before[0]! - 1, before[1]! + 1]);
    const csv = await (await page.request.get(`${lesson.replace('/ride/', '/api/')}/changes`)).text();
    expect(csv.split(/\r?\n/)[0]).toBe('when,by,pair,ridden,what,before,after,afterwards');
    expect(csv).toMatch(/who rode,Quill with Ode Quillan,Osprey with Maud Ferrier,yes/);
    const zip = await JSZip.loadAsync(await (await page.request.get(`${seasonYard.url}/api/archive`)).body());
    expect(await zip.file('csv/record_changes.csv')!.async('string')).toMatch(/,pass,.*,pair,/);

    // Put back with an undo, and the review is what it was.
    await page.goto(`${lesson}/record`);
    await page.getByRole('button', { name: /^Undo: a mark/ }).tap();
    await page.getByRole('button', { name: /^Undo: who rode/ }).tap();
    await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled();
    await expect(saved(page)).toBeVisible();
    expect(await passesInReview(page, seasonYard, 'Quill')).toBe(before[0]);
  },
);

test(
  'an arena is given another size after a season: what was ridden keeps its own, and the review is unchanged',
  { tag: '@full' },
  async ({ seasonYard, strictPage: page }) => {
    const sandOf = async () => {
      await page.goto(`${seasonYard.url}/review`);
      await page.getByRole('link', { name: /^Field arena/ }).click();
      await expect(page.getByRole('heading', { name: /Field arena/ })).toBeVisible();
      const map = region(page, 'Where things went wrong');
      await map.getByText('Numbers and files').click();
      return map.getByRole('table').textContent();
    };
    const before = await sandOf();
    await page.goto(`${seasonYard.url}/yard`);
    await page.getByRole('button', { name: 'Change Field arena' }).click();
    await page.getByLabel('Long side').fill('30 m');
    await page.getByRole('button', { name: 'Save the arena' }).click();
    const touches = page.getByText('This touches more').locator('..');
    await expect(page.getByText(/\d+ passes were ridden on it: they keep/)).toBeVisible();
    await expect(page.getByText(/Outside of it then, in “/).first()).toBeVisible();
    await expect(touches).toBeVisible();
    await page.getByRole('button', { name: 'Save it all the same' }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
    expect(await sandOf()).toBe(before);
    await expect(page.getByText(/in the arena as it was then/)).toBeVisible();
  },
);

test('two who put the same pass right without knowing of each other: one word stands, both are kept and told', async ({
  demoYard,
  browser,
}) => {
  const desk = await (await browser.newContext()).newPage();
  const lesson = await planned(desk, demoYard, 'Two minds');
  const [one, two] = [await onPhone(browser, `${lesson}/run`), await onPhone(browser, `${lesson}/run`)];
  await key(one, 'Begin the lesson').tap();
  await cleanPass(one, 'left rein');
  await expect(saved(one)).toBeVisible();
  for (const page of [one, two]) {
    await page.goto(`${lesson}/record`);
    await page.getByRole('button', { name: 'Put right' }).first().tap();
    await expect(region(page, 'A pass put right')).toBeVisible();
    await page.context().setOffline(true);
  }
  await region(one, 'A pass put right').getByLabel('Who rode').selectOption({ label: 'Thimble with Neve Arkwell' });
  await region(two, 'A pass put right').getByLabel('Who rode').selectOption({ label: 'Larkspur with Ode Quillan' });
  for (const page of [one, two]) {
    await expect(page.locator('[data-delivery=waiting]')).toBeVisible();
    await page.context().setOffline(false);
    await expect(saved(page)).toBeVisible();
  }
  // Both phones come to the same, and neither word is lost.
  for (const page of [one, two]) {
    const told = page.getByText(/Two said different things/);
    await expect(told).toBeVisible({ timeout: 15_000 });
    await expect(told.locator('..')).toContainText('Larkspur with Ode Quillan stands');
    await expect(told.locator('..')).toContainText('Thimble with Neve Arkwell was said by');
    await expect(region(page, 'All poles').getByRole('listitem').first()).toContainText('Larkspur with Ode Quillan');
  }
  // Whoever knows settles it.
  await region(one, 'A pass put right').getByLabel('Who rode').selectOption({ label: 'Thimble with Neve Arkwell' });
  await expect(one.getByText(/Two said different things/)).toHaveCount(0);
  await expect(two.getByText(/Two said different things/)).toHaveCount(0, { timeout: 15_000 });
  await expect(region(two, 'All poles').getByRole('listitem').first()).toContainText('Thimble with Neve Arkwell');
});

test('a ride by itself is found again and put right', { tag: '@full' }, async ({ demoYard, browser }) => {
  const page = await onPhone(browser, `${demoYard.url}/ride`);
  await page.getByRole('radio', { name: /^Five trot poles/ }).tap();
  await page.getByRole('radio', { name: /^Barley/ }).tap();
  await page.getByRole('button', { name: 'Ride', exact: true }).tap();
  await onSand(page, 'pole 3').tap();
  await key(page, /^hit/).tap();
  await key(page, /^Pass done/).tap();
  await expect(saved(page)).toBeVisible();
  // The last tap is taken back and done again; what it was is said.
  await expect(key(page, /^Undo/)).toContainText('hit pole 3');
  await key(page, /^Undo/).tap();
  await key(page, /^Redo/).tap();
  await expect(saved(page)).toBeVisible();

  await page.goto(`${demoYard.url}/ride`);
  await page.getByText(/^Ridden lately by themselves/).tap();
  await page
    .getByRole('link', { name: /^Read it: Barley with Bas Tamsin, Five trot poles/ })
    .first()
    .tap();
  await page.locator('[data-whole-screen] header button').first().tap();
  await key(page, 'Put right').first().tap();
  const pass = region(page, 'A pass put right');
  await pass.getByRole('list', { name: 'What was marked' }).getByRole('button', { name: 'Take back' }).first().tap();
  await expect(pass.getByRole('list', { name: 'What was marked' })).toContainText(
    /hit pole 3, by device .* \(taken back\)/,
  );
  await expect(pass.getByRole('region', { name: 'What was changed of it' })).toContainText('taken back, before counts');
  await expect(saved(page)).toBeVisible();
  await page.reload();
  await page.locator('[data-whole-screen] header button').first().tap();
  await expect(page.getByRole('region', { name: 'Passes' }).getByRole('listitem').first()).not.toContainText('hit');
});
