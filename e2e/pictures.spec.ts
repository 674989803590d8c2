import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import { pictureFaults } from './support/clipped';
import { altered } from './support/altered';
import { expect, test } from './support/fixtures';

const card = (page: Page, name: string | RegExp) => page.getByRole('region', { name });
const ofPair = (page: Page, horse: string) => page.getByRole('link', { name: new RegExp(`^${horse} with`) });
/** As many letters as a name may have. */
const LONG = 'Wilhelmina Featherstonehaugh-Cholmondeley of the Lower Water'.slice(0, 60);
const YEAR_MS = 364 * 24 * 3600 * 1000;

/** Nine seasons before the one that is there, all names as long as they may be. */
const TEN_SEASONS = [
  ...Array.from({ length: 9 }, (_, at) => at + 1).flatMap(year => [
    `insert into passes (id, yard_id, pair_id, layout_version_id, lesson_id, stage, rein, direction, ridden_at)
     select id || '-${year}', yard_id, pair_id, layout_version_id, lesson_id, stage, rein, direction, ridden_at - ${year * YEAR_MS}
     from passes where id not like '%-_'`,
    `insert into marks (id, pass_id, yard_id, kind, place, fraction, words, document, marked_at)
     select id || '-${year}', pass_id || '-${year}', yard_id, kind, place, fraction, words, document, marked_at - ${year * YEAR_MS}
     from marks where id not like '%-_'`,
  ]),
  `update people set name = substr('${LONG}', 1, 58) || substr(id, 1, 2)`,
  `update horses set name = name || substr(', ${LONG}', 1, 60 - length(name))`,
  `update layouts set name = name || substr(', ${LONG}', 1, 60 - length(name))`,
  `update arenas set name = name || substr(', ${LONG}', 1, 60 - length(name))`,
];

test(
  'after ten seasons, with the longest names, every picture can be read on a phone, a tablet and a desk, and on paper',
  { tag: '@full' },
  async ({ seasonYard, strictPage: page }) => {
    await altered(seasonYard, TEN_SEASONS);
    await page.goto(`${seasonYard.url}/review`);
    const hrefs = await page
      .locator('main a[href^="/review/"]')
      .evaluateAll(links => links.map(a => a.getAttribute('href')!));
    const first = (start: RegExp) => hrefs.find(href => start.test(href))!;
    const pair = (await ofPair(page, 'Quill.*').getAttribute('href'))!;
    const pairId = pair.split('/').at(-1)!;
    await page.goto(`${seasonYard.url}${pair}`);
    const horse = (await page.getByRole('link', { name: 'The horse' }).getAttribute('href'))!;
    const lesson = (await card(page, 'The season, lesson by lesson').getByRole('link').first().getAttribute('href'))!;
    const pages = [
      ...['/review', pair, '/review/group', first(/layouts/), first(/sand/), horse],
      // The rider’s own page of a lesson.
      lesson.replace(/\/record$/, `/for/${pairId}`),
      `/review/compare?aPair=${pairId}&aRein=left&bPair=${pairId}&bRein=right`,
    ];
    for (const href of pages) {
      await page.goto(`${seasonYard.url}${href}`);
      await expect(page.locator('main svg').first()).toBeVisible();
      for (const width of [360, 768, 1280]) {
        await page.setViewportSize({ width, height: 800 });
        expect([href, width, await pictureFaults(page)]).toEqual([href, width, []]);
      }
    }
    // Of ten seasons the latest half-year is seen first, and those before are there.
    await page.goto(`${seasonYard.url}${pair}`);
    const calendar = card(page, 'When it was ridden');
    await calendar.getByText('Half-years before').click();
    expect(await calendar.getByRole('img').count()).toBeGreaterThan(9);
    const pdf = await page.pdf({ format: 'A4' });
    expect(pagesIn(pdf)).toBe(1);
  },
);

/** How many pages a PDF says it has. */
const pagesIn = (pdf: Buffer): number => pdf.toString('latin1').match(/\/Type\s*\/Page\b(?!s)/g)?.length ?? 0;

async function saved(page: Page, press: Locator): Promise<Buffer> {
  const download = page.waitForEvent('download');
  await press.click();
  return readFileSync((await (await download).path())!);
}

test(
  'a picture is kept as SVG and PNG, its numbers as CSV, and a pair as one page',
  { tag: '@full' },
  async ({ seasonYard, strictPage: page }) => {
    await page.goto(`${seasonYard.url}/review`);
    await ofPair(page, 'Quill').click();
    for (const [name, words] of [
      ['Left and right', 'clean passes'],
      ['The season, lesson by lesson', 'clean'],
    ] as const) {
      const picture = card(page, name);
      await picture.getByText('Numbers and files').click();
      const svg = (await saved(page, picture.getByRole('button', { name: `${name} as SVG` }))).toString();
      // A browser reads it as a drawing by itself, with the words of the picture and letters of its own.
      const read = await page.evaluate(
        text => {
          const drawing = new DOMParser().parseFromString(text, 'image/svg+xml');
          const texts = [...drawing.querySelectorAll('text')].map(one => one.textContent);
          return {
            root: drawing.documentElement.tagName,
            texts,
            hasClasses: drawing.querySelector('[class]') !== null,
          };
          // The page’s policy is not for this drawing: what its letters are does not matter here.
        },
        svg.replace(/<style.*?<\/style>/s, ''),
      );
      expect(read).toMatchObject({ root: 'svg', hasClasses: false });
      expect(read.texts.join(' ')).toContain(words);
      expect(svg).toContain('@font-face');
      const png = await saved(page, picture.getByRole('button', { name: `${name} as PNG` }));
      expect(png.subarray(1, 4).toString()).toBe('PNG');
      expect(png.readUInt32BE(16)).toBeGreaterThan(500);
      const csv = (await saved(page, picture.getByRole('button', { name: 'As CSV' }))).toString().trim().split(/\r?\n/);
      expect(csv.length).toBe(await picture.getByRole('row').count());
    }
    expect(pagesIn(await page.pdf({ format: 'A4' }))).toBe(1);
    // Colours that somebody has chosen hold, and nothing is lost by them.
    await page.emulateMedia({ forcedColors: 'active' });
    const fills = await card(page, 'Left and right')
      .locator('[data-picture] rect')
      .evaluateAll(rects => [...new Set(rects.map(rect => getComputedStyle(rect).fill))]);
    expect(fills.length).toBe(2);
  },
);

test(
  'any two are compared: the reins of a pair, two pairs, and what cannot be is told',
  { tag: '@full' },
  async ({ seasonYard, strictPage: page }) => {
    await page.goto(`${seasonYard.url}/review`);
    await ofPair(page, 'Quill').click();
    await card(page, 'Left and right').getByRole('link', { name: 'Compare them' }).click();
    const said = card(page, 'What differs');
    // What was planted: her left rein was the worse one.
    await expect(said).toContainText(
      /^the left rein against the right rein, beyond chance: .*clean passes, \d+ % against \d+ %/,
    );
    await expect(card(page, 'What was marked').getByRole('img')).toBeVisible();
    const [left, right] = /clean passes, (\d+) % against (\d+) %/
      .exec((await said.textContent())!)!
      .slice(1)
      .map(Number);
    expect(left!).toBeLessThan(right!);

    // Two pairs, by the form: a cob’s stride is shorter than hers.
    const side = (legend: string) => page.getByRole('group', { name: legend, exact: true });
    for (const legend of ['This', 'against this']) await side(legend).getByLabel('Rein').selectOption('');
    await side('against this').getByLabel('Pair').selectOption({ label: 'Barley with Bas Tamsin' });
    await page.getByRole('button', { name: 'Compare', exact: true }).click();
    await expect(said).toContainText(/Quill against Barley, beyond chance: /);
    const strides = card(page, 'Canter between fences');
    await expect(strides.getByRole('img')).toHaveAttribute(
      'aria-label',
      /Quill: ridden 3\.\d\d m.*Barley: ridden 3\.\d\d m/,
    );

    // The same on both sides, too little, and what is not there.
    await side('against this').getByLabel('Pair').selectOption({ label: 'Quill with Ode Quillan' });
    await page.getByRole('button', { name: 'Compare', exact: true }).click();
    await expect(said).toContainText('Both sides are the same');
    await side('This').getByLabel('From day').fill('2001-01-01');
    await side('This').getByLabel('Until day').fill('2001-01-02');
    await page.getByRole('button', { name: 'Compare', exact: true }).click();
    await expect(said).toContainText('0 passes against 480: with fewer than 8 on a side nothing is said.');
    await page.goto(`${seasonYard.url}/review/compare?aPair=nobody&bFrom=2026-02-30`);
    await expect(page.getByText('That pair is not in this yard')).toBeVisible();
    await expect(page.getByText('“2026-02-30” is no day')).toBeVisible();
  },
);

test(
  'an empty yard and one of three passes say that there is too little, and break nowhere',
  { tag: '@full' },
  async ({ emptyYard, seasonYard, strictPage: page }) => {
    for (const href of ['/review', '/review/group', '/review/compare']) {
      await page.goto(`${emptyYard.url}${href}`);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    }
    const three =
      "(select id from passes where pair_id in (select pairs.id from pairs join horses on horses.id = pairs.horse_id where horses.name = 'Quill') order by ridden_at limit 3)";
    await altered(seasonYard, [
      `delete from marks where pass_id not in ${three}`,
      `delete from passes where id not in ${three}`,
    ]);
    await page.goto(`${seasonYard.url}/review`);
    await expect(page.getByText('Nothing stands out in the record of the yard')).toBeVisible();
    await ofPair(page, 'Quill').click();
    await expect(page.getByText('3 passes recorded')).toBeVisible();
    await expect(page.getByText('Nothing stands out yet')).toBeVisible();
    await expect(card(page, 'When it was ridden').getByRole('img')).toBeVisible();
    expect(await pictureFaults(page)).toEqual([]);
    expect(pagesIn(await page.pdf({ format: 'A4' }))).toBe(1);
    for (const href of ['/review/group', '/review/compare']) {
      await page.goto(`${seasonYard.url}${href}`);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    }
  },
);
