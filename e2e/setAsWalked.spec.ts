import type { Browser, Page } from '@playwright/test';
import { choose, expect, test } from './support/fixtures';
import { DPI, pdfPage, rowLengthsMm } from '../src/files/pdf/testPdf';

/** A phone with touch. */
async function phoneOf(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, locale: 'en-GB' });
  return context.newPage();
}

/** A new layout with one exercise of the shelf on it; returns its id. */
async function fromShelf(page: Page, url: string, name: string, arena: string, exercise: string): Promise<string> {
  await page.goto(`${url}/plan`);
  await page.getByRole('button', { name: 'New layout' }).click();
  await page.getByLabel('Name').fill(name);
  await choose(page, 'Arena', arena);
  await choose(page, 'Horses of the lesson', 'Quill');
  await page.getByLabel('Name').click();
  await page.getByRole('button', { name: 'Make the layout' }).click();
  await page.getByLabel('Name of the layout').waitFor();
  await page.getByRole('button', { name: 'Shelf' }).click();
  await page.getByLabel('Search the shelf').fill(exercise);
  await page.getByRole('button', { name: new RegExp(`^${exercise}`) }).click();
  await page.getByRole('button', { name: 'Put it on the sand' }).click();
  await page.getByRole('dialog').waitFor({ state: 'hidden' });
  await expect(page.getByText(/^Saved/)).toBeVisible();
  return /\/plan\/([0-9a-f-]+)/.exec(page.url())![1]!;
}

test(
  'a grid of nine is set on a phone: each by its gap from the one before, counted while walking, with a picture',
  { tag: '@full' },
  async ({ demoYard, browser, page: desk }) => {
    const id = await fromShelf(desk, demoYard.url, 'Grid on Friday', 'Field arena', 'A grid');
    const page = await phoneOf(browser);
    await page.goto(`${demoYard.url}/set/${id}?motion=simulated`);
    const list = page.getByRole('list', { name: 'Pieces in the order of the work' });
    // The first box to tick is in reach without a scroll.
    const first = await list.getByRole('checkbox').first().boundingBox();
    expect(first!.y).toBeLessThan(500);
    const pieces = await list.getByRole('listitem').count();
    expect(pieces).toBeGreaterThanOrEqual(9);
    await page.getByText('One at a time', { exact: true }).tap();
    const one = page.getByRole('region', { name: 'One at a time' });
    let gaps = 0;
    for (let at = 0; at < pieces; at += 1) {
      await expect(one.locator('svg').first()).toBeVisible();
      // The picture and the large number are seen at once, above the thumb's keys.
      const number = await one.locator('dd strong').first().boundingBox();
      const keys = await one.getByRole('button', { name: 'It stands', exact: true }).boundingBox();
      expect(number!.y + number!.height).toBeLessThanOrEqual(keys!.y + 1);
      const words = await one.locator('dt').first().innerText();
      if (words.startsWith('On from')) gaps += 1;
      expect(await one.innerText()).not.toMatch(/\b0\.00 m/);
      await one.getByRole('button', { name: 'It stands', exact: true }).tap();
    }
    expect(gaps).toBeGreaterThanOrEqual(6);
    await expect(page.getByText(`${pieces} of ${pieces} stand`)).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);

    // The phone counts; what was walked is kept at once, and says what it does.
    await one.getByRole('button', { name: 'Back one' }).tap();
    await page.reload();
    await page.getByText('One at a time', { exact: true }).tap();
    await one.getByRole('button', { name: 'Count it while walking' }).tap();
    const walk = page.getByRole('dialog', { name: /Walk it/ });
    await walk.getByRole('button', { name: 'Let the phone count' }).tap();
    await expect(walk.getByRole('status', { name: 'Steps so far' })).toHaveText(/^[4-9]/, { timeout: 15_000 });
    await walk.getByRole('button', { name: 'Stop counting' }).tap();
    await walk.getByRole('button', { name: 'One step' }).tap();
    await walk.getByRole('button', { name: 'Half a step' }).tap();
    const walked = await walk.getByRole('status', { name: 'Steps so far' }).innerText();
    expect(walked).toContain('½');
    await walk.getByRole('button', { name: 'I am there' }).tap();
    await expect(one.getByText(`Walked: ${walked}`)).toBeVisible();
    await page.reload();
    await page.getByText('One at a time', { exact: true }).tap();
    await expect(one.getByText(`Walked: ${walked}`)).toBeVisible();
    await page.context().close();
  },
);

test(
  'a course on one page of A4 and of Letter, measured with a ruler and read at arm’s length; numbers and cards to cut out',
  { tag: '@full' },
  async ({ demoYard, page }, info) => {
    await page.goto(`${demoYard.url}/set`);
    await page.getByRole('link', { name: /Course of eight/ }).click();
    await page.waitForURL(/\/set\/[0-9a-f-]+/);
    const id = /\/set\/([0-9a-f-]+)/.exec(page.url())![1]!;
    const pdf = async (wish: string, dpi = 60) => {
      const answer = await page.request.get(`${demoYard.url}/api/layouts/${id}/sheet?${wish}`);
      expect(answer.headers()['content-type']).toBe('application/pdf');
      return pdfPage(await answer.body(), info.outputPath(`${wish.replaceAll(/\W/g, '_')}.pdf`), { dpi });
    };
    for (const paper of ['a4', 'letter']) {
      const sheet = await pdf(`as=pdf&by=line&paper=${paper}`, DPI);
      expect(sheet.pages).toBe(1);
      const text = sheet.texts.join(' ');
      for (const number of ['1', '2·7', '3', '4', '5', '6', '8']) expect(sheet.texts).toContain(number);
      expect(text).toContain('On from 1');
      expect(text).toMatch(/matters for/);
      // Nothing that is measured is printed smaller than 9 points: letters of 3 mm are read at arm’s length (common practice, no source).
      expect(
        Math.min(...sheet.sizesPt.filter((_, at) => /^\d+\.\d+ m$/.test(sheet.texts[at]!))),
      ).toBeGreaterThanOrEqual(8.4);
      // The bar of 10 m is 10 m at the scale that is stated.
      const mmPerM = 1000 / Number(/Drawn 1 : (\d+)/.exec(text)![1]);
      const bars = rowLengthsMm(sheet, 10 * mmPerM);
      expect(bars.length).toBeGreaterThan(0);
      // What is ridden straight may be about as long as the bar: one line of them is the bar.
      expect(Math.min(...bars.map(bar => Math.abs(bar - 10 * mmPerM)))).toBeLessThan(0.5);
    }
    const all = await pdf('as=pdf&by=line&parts=all');
    expect(all.pages).toBeGreaterThanOrEqual(4);
    const numbers = await pdf('as=numbers');
    // Six on a page; the fence that is ridden twice has a card for each of its numbers.
    expect(numbers.pages).toBe(2);
    expect(numbers.texts).toEqual(expect.arrayContaining(['1', '2', '3', '4', '5', '6']));
    expect(Math.min(...numbers.sizesPt)).toBeGreaterThan(100);
    const cards = await pdf('as=cards');
    expect(cards.texts.join(' ')).toMatch(/1 to 2·7: +18\.20 m/);
  },
);

test(
  'from one stage to the next, its sheet, and on to the next layout',
  { tag: '@full' },
  async ({ demoYard, page }) => {
    const id = await fromShelf(page, demoYard.url, 'Grid by stages', 'Field arena', 'A grid');
    await page.goto(`${demoYard.url}/set/${id}`);
    const stages = page.getByRole('combobox', { name: 'Built for' });
    const names = await stages.locator('option').allInnerTexts();
    expect(names.length).toBeGreaterThanOrEqual(3);
    await stages.selectOption(names[1]!);
    await expect(page).toHaveURL(/stage=/);
    const list = page.getByRole('list', { name: 'Pieces in the order of the work' });
    // At its first stage what will be a fence lies as a pole, under the number of the fence.
    await expect(list.getByRole('listitem').filter({ hasText: /pole/ }).first()).toBeVisible();
    const kitNow = await page
      .getByText(/\d+ poles?/)
      .first()
      .innerText();
    expect(kitNow).toMatch(/pole/);
    await page.getByRole('link', { name: /On to the next stage or layout/ }).click();
    await expect(page.getByRole('combobox', { name: 'On to' })).toHaveValue('The same layout, another stage');
    await expect(page.getByText(/About \d+ min/)).toBeVisible();
    const rebuilt = page.getByRole('list', { name: 'What is rebuilt' });
    const carried = page.getByRole('list', { name: 'What is carried' });
    await expect(rebuilt.or(carried).first()).toBeVisible();
    // From poles to the last stage something goes up, and says what it takes.
    await choose(page, 'Built for', names.at(-1)!);
    await expect(rebuilt).toContainText(/up to|out,/);
    await expect(rebuilt).toContainText(/bring \d+/);
    await choose(page, 'On to', 'Course of eight, low');
    await expect(page.getByText(/to walk/)).toBeVisible();
    await page.getByRole('link', { name: /To the sheet of “Course of eight, low”/ }).click();
    await expect(page.getByRole('heading', { name: 'Course of eight, low' })).toBeVisible();
  },
);

test('what stands on the sand is walked in: a layout of it, read for the horses, kept through a reload', async ({
  demoYard,
  browser,
}) => {
  const page = await phoneOf(browser);
  await page.goto(`${demoYard.url}/set`);
  await page.getByRole('link', { name: 'What is on the sand?' }).tap();
  await choose(page, 'Arena', 'Field arena');
  await page.getByLabel('From the wall to the first', { exact: true }).fill('12 m');
  await page.getByRole('button', { name: 'And on to the next' }).tap();
  await page.getByRole('button', { name: 'Walk it: From 1 to 2' }).tap();
  const walk = page.getByRole('dialog', { name: /Walk it/ });
  for (let step = 0; step < 20; step += 1) await walk.getByRole('button', { name: 'One step' }).tap();
  await walk.getByRole('button', { name: 'Half a step' }).tap();
  await expect(walk.getByRole('status', { name: 'Steps so far' })).toHaveText('20½ steps');
  await walk.getByRole('button', { name: 'I am there' }).tap();
  await expect(page.getByLabel('From 1 to 2', { exact: true })).toHaveValue('20½ steps');
  await page.reload();
  await expect(page.getByLabel('From 1 to 2', { exact: true })).toHaveValue('20½ steps');
  await expect(page.getByRole('img', { name: 'The line as it stands' })).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('As I found it');
  await page.getByRole('button', { name: 'Make it a layout' }).tap();
  await expect(page.getByLabel('Name of the layout')).toHaveValue('As I found it');
  const id = /\/plan\/([0-9a-f-]+)/.exec(page.url())![1]!;
  await page.goto(`${demoYard.url}/set/${id}`);
  // 20½ of Maud's steps of 0.88 m.
  await expect(page.locator('[data-step]').nth(1)).toContainText('18.05 m');
  await page.context().close();
});
