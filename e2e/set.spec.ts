import type { Page } from '@playwright/test';
import { textsUnder } from './support/contrast';
import { choose, expect, test } from './support/fixtures';
import { DPI, pdfPage, rowLengthsMm } from '../src/files/pdf/testPdf';

/** Opens the sheet of a demo layout. */
async function openSheet(page: Page, url: string, layout: RegExp): Promise<void> {
  await page.goto(`${url}/set`);
  await page.getByRole('link', { name: layout }).click();
  await expect(page.getByRole('list', { name: 'Pieces in the order of the work' })).toBeVisible();
}

test(
  'printed on A4 and on Letter the page keeps its scale, and the files are there',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }, info) => {
    await openSheet(page, demoYard.url, /Four on the bend/);
    const stated = /1 : (\d+)/.exec((await page.getByText(/^Printed 1 : /).textContent()) ?? '');
    const mmPerM = 1000 / Number(stated?.[1]);
    for (const format of ['A4', 'Letter']) {
      const file = info.outputPath(`${format}.pdf`);
      const bytes = await page.pdf({ format, preferCSSPageSize: false, printBackground: true });
      const paper = pdfPage(bytes, file, { dpi: DPI });
      expect(paper.texts.join(' ')).toContain('Carry out');
      const bars = rowLengthsMm(paper, 10 * mmPerM);
      expect(bars.length).toBeGreaterThan(0);
      for (const bar of bars) expect(Math.abs(bar - 10 * mmPerM)).toBeLessThan(0.5);
    }

    const sheet = `${demoYard.url}${new URL(page.url()).pathname.replace('/set/', '/api/layouts/')}`;
    const pdf = await page.request.get(`${sheet}/sheet?as=pdf&paper=letter`);
    expect(pdf.headers()['content-type']).toBe('application/pdf');
    expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
    const csv = await (await page.request.get(`${sheet}/sheet?as=csv`)).text();
    expect(csv.split('\n')[0]).toBe('number,piece,what,end,xM,yM,measure,lengthM,tape,steps');
    expect((await page.request.get(`${sheet}/sheet?as=cake`)).status()).toBe(400);

    await page.getByRole('button', { name: 'On paper' }).click();
    await page
      .getByRole('menuitem', { name: /Called out/ })
      .first()
      .click();
    await expect(page.getByRole('dialog')).toContainText('1.');
  },
);

test('ticked on a phone it stays ticked after a reload, on the other device too, and through a lost connection', async ({
  demoYard,
  browser,
}) => {
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await phone.newPage();
  await openSheet(page, demoYard.url, /Four on the bend/);
  expect(await textsUnder(page, 7)).toEqual([]);
  await page.getByText('One at a time', { exact: true }).tap();
  await expect(page.getByRole('heading', { name: /^Peg 1/ })).toBeVisible();
  await page.getByRole('button', { name: 'It stands', exact: true }).tap();
  // The circle comes back to the first fence: it is the fifth too.
  await expect(page.getByRole('heading', { name: /^1·5 vertical/ })).toBeVisible();
  await expect(page.getByText('1 of 5 stand', { exact: true })).toBeVisible();

  expect(await textsUnder(page, 7)).toEqual([]);

  // The connection is lost: the tick is shown, kept and said to wait.
  await phone.setOffline(true);
  await page.getByRole('button', { name: 'It stands', exact: true }).tap();
  await expect(page.getByText('2 of 5 stand', { exact: true })).toBeVisible();
  await expect(page.locator('[data-unsent="1"]')).toBeVisible();
  await phone.setOffline(false);
  await expect(page.locator('[data-unsent]')).toHaveCount(0);

  await page.reload();
  await expect(page.getByText('2 of 5 stand', { exact: true })).toBeVisible();
  const desk = await browser.newContext();
  const other = await desk.newPage();
  await other.goto(page.url());
  await expect(other.getByRole('checkbox', { name: 'Peg 1 stands' })).toBeChecked();
  await expect(other.getByRole('checkbox', { name: '1·5 stands', exact: true })).toBeChecked();
  await other.getByRole('checkbox', { name: 'Peg 1 stands' }).uncheck();
  await expect(page.getByText('1 of 5 stand', { exact: true })).toBeVisible({ timeout: 30_000 });

  // Nothing is asked of a thumb that it cannot hit.
  const small = await page
    .locator('article button:visible, article input[type=checkbox]:visible')
    .evaluateAll(all => all.map(one => one.getBoundingClientRect()).filter(({ height }) => height < 24).length);
  expect(small).toBe(0);
  await phone.close();
  await desk.close();
});

test('what was measured on the ground changes the reading, is ridden so, and is put back', async ({
  demoYard,
  strictPage: page,
}) => {
  await openSheet(page, demoYard.url, /Course of eight/);
  await page.getByText('As measured', { exact: true }).click();
  const ground = page.getByRole('region', { name: 'As measured' });
  await ground
    .getByLabel(/^piece 1 to piece 2·7$/)
    .first()
    .fill('far');
  await expect(ground.getByText(/“far”|number is missing/).first()).toBeVisible();
  // Planned at 18.2 m.
  await ground
    .getByLabel(/^piece 1 to piece 2·7$/)
    .first()
    .fill('17.9');
  await expect(ground.getByText('fence 1 to fence 2 30 cm short')).toBeVisible();
  await ground.getByRole('button', { name: 'Ride it as it stands' }).click();
  const banner = page.getByRole('region', { name: 'As set' });
  await expect(banner).toContainText('fence 1 to fence 2 30 cm short');
  await expect(banner).toContainText('30 cm forward');

  // The plan is as it was, and what is ridden is what stands.
  await page.reload();
  await expect(banner).toContainText('fence 1 to fence 2 30 cm short');
  await banner.getByRole('button', { name: /oxer/ }).click();
  await expect(page.getByRole('dialog', { name: /Put it back: 2·7,? oxer/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await banner.getByRole('button', { name: 'It is put back as planned' }).click();
  await expect(banner).toHaveCount(0);
});

test(
  'a piece that is tapped on the drawing shows its own measures alone; half steps say what they do',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await openSheet(page, demoYard.url, /Course of eight/);
    await page.getByRole('button', { name: /^Put back 1, vertical/ }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('16.00 m');
    await expect(dialog).not.toContainText('oxer');
    await dialog.getByRole('button', { name: 'It stands again' }).click();
    await expect(page.getByRole('checkbox', { name: '1 stands', exact: true })).toBeChecked();

    await page.getByRole('combobox', { name: 'Whose steps' }).selectOption('Steps of Maud Ferrier');
    await expect(page.locator('[data-step]').first()).toContainText('steps');
    await page.getByRole('button', { name: /Round to half steps/ }).click();
    const halves = page.getByRole('region', { name: 'In half steps' });
    // What is said of the change is what its list shows.
    const list = await halves.getByRole('list', { name: 'What changes' }).innerText();
    const saysOtherwise = list.split(' becomes ').length - 1;
    await expect(halves).toContainText(
      saysOtherwise === 0
        ? 'No word changes'
        : saysOtherwise === 1
          ? 'One word changes.'
          : `${saysOtherwise} words change.`,
    );

    await page.getByText('With two tapes', { exact: true }).click();
    await expect(page).toHaveURL(/by=tapes/);
    // Where the corners are farther apart than a tape is long, marks are pegged first.
    await expect(
      page
        .locator('[data-step]')
        .filter({ hasText: /tape from/ })
        .first(),
    ).toBeVisible();
  },
);

test(
  'from one layout to the next: what is carried, what comes out of the store',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await openSheet(page, demoYard.url, /Five trot poles/);
    await page.getByRole('link', { name: /On to the next stage or layout/ }).click();
    await choose(page, 'On to', 'Four on the bend for three');
    await expect(page.getByText(/min for one person who carries 2 things at a time/)).toBeVisible();
    const halts = page.getByRole('list', { name: 'What is carried' }).getByRole('listitem');
    await expect(halts.filter({ hasText: 'the store' }).first()).toBeVisible();
    // Five poles lie there, eight are wanted: all five are taken up where they lie, never more than two in hand.
    const words = await halts.allInnerTexts();
    let [inHand, fromSand] = [0, 0];
    const count = (text: string) =>
      [...text.matchAll(/(\d+) (?:pole|stand|block|cone|filler|marker)/g)].reduce((sum, [, n]) => sum + Number(n), 0);
    for (const halt of words) {
      const [puts, takes] = [/put down (.*)/.exec(halt)?.[1] ?? '', /take (.*)/.exec(halt)?.[1] ?? ''];
      inHand += count(takes) - count(puts);
      expect(inHand).toBeLessThanOrEqual(2);
      expect(inHand).toBeGreaterThanOrEqual(0);
      if (!halt.includes('the store'))
        fromSand += [...takes.matchAll(/(\d+) pole/g)].reduce((sum, [, n]) => sum + Number(n), 0);
    }
    expect([inHand, fromSand]).toEqual([0, 5]);
  },
);

test(
  'what a coming lesson goes on to is chosen already, and says whose plan that is',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/ride/lessons/new`);
    await page.getByLabel('What it is called').fill('Tomorrow, poles and the bend');
    await choose(page, 'Arena', 'Lower school');
    await choose(page, 'Pairs', 'Barley with Bas Tamsin');
    await page.keyboard.press('Escape');
    await choose(page, 'Add the stages of a layout', 'Five trot poles, quarter line');
    await choose(page, 'Add the stages of a layout', 'Four on the bend for three');
    await page.getByRole('button', { name: 'Plan the lesson' }).click();
    await expect(page.getByRole('heading', { name: 'Tomorrow, poles and the bend' })).toBeVisible();

    await openSheet(page, demoYard.url, /Five trot poles/);
    await page.getByRole('link', { name: /On to the next stage or layout/ }).click();
    await expect(page.getByText('Comes next in “Tomorrow, poles and the bend”')).toBeVisible();
    await expect(page.getByRole('combobox', { name: 'On to' })).toHaveValue('Four on the bend for three');
    await expect(page.getByText(/to walk/)).toBeVisible();
    // Another one can be chosen still; then no lesson is named.
    await choose(page, 'On to', 'Raised walk poles for the small ones');
    await expect(
      page.getByRole('link', { name: /To the sheet of “Raised walk poles for the small ones”/ }),
    ).toBeVisible();
    await expect(page.getByText(/Comes next in/)).toHaveCount(0);
  },
);
