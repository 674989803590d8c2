import type { Browser, Page } from '@playwright/test';
import { expect, test } from './support/fixtures';
import { closeSheet, key, onSand, openDay } from './support/pad';
import { drawnAt, item, panel, saved } from './support/sand';

const YD = 0.9144;
const FT = 0.3048;

/** A page as a hand has it, with no mouse and no keys. */
async function touched(browser: Browser, width: number, height: number): Promise<Page> {
  const context = await browser.newContext({ viewport: { width, height }, hasTouch: true, isMobile: true });
  return context.newPage();
}

async function begin(page: Page, url: string, name: string, arena: string, horses: string[]): Promise<void> {
  await page.goto(`${url}/plan`);
  await page.getByRole('button', { name: 'New layout' }).tap();
  await page.getByLabel('Name').fill(name);
  await page.getByRole('combobox', { name: 'Arena' }).tap();
  await page.getByRole('option', { name: arena, exact: true }).tap();
  if (horses.length > 0) await page.getByRole('combobox', { name: 'Horses of the lesson' }).tap();
  for (const horse of horses) await page.getByRole('option', { name: horse, exact: true }).tap();
  await page.getByLabel('Name').tap();
  await page.getByRole('button', { name: 'Make the layout' }).tap();
  await page.getByLabel('Name of the layout').waitFor();
}

async function shelf(page: Page, title: string): Promise<void> {
  await page.getByRole('button', { name: 'Shelf' }).tap();
  await page.getByLabel('Search the shelf').fill(title);
  await page.getByRole('button', { name: new RegExp(`^${title}`) }).tap();
  // Its stages are pictures, with what to know before it and where to stand.
  await expect(page.getByRole('list', { name: 'Stages' }).locator('svg').first()).toBeVisible();
  await expect(page.getByText('Know first:')).toBeVisible();
  await page.getByRole('button', { name: 'Put it on the sand' }).tap();
  await page.getByRole('dialog').waitFor({ state: 'hidden' });
}

async function typed(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true });
  await field.fill(text);
  await field.press('Enter');
}

/** The gaps between what is ridden one after the other up a straight line, centre to centre. */
async function gapsM(page: Page): Promise<number[]> {
  const pieces = await page.locator('[data-kind="pole"], [data-kind="fence"]').all();
  const at = (await Promise.all(pieces.map(drawnAt))).map(({ yM }) => yM).sort((a, b) => a - b);
  return at.slice(1).map((yM, index) => yM - at[index]!);
}

// The full grid of common practice: pole, 3 yd, cross-rail, 3 yd 1 ft, cross-rail, 3 yd 1 ft, cross-rail, 6 yd, vertical, 6 yd with a
// pole halfway, vertical, 6 yd with a pole halfway, oxer.
test('on a tablet by touch: a grid typed to 3 yd and 3 yd 1 ft, a height for all and one by itself', async ({
  demoYard,
  browser,
}) => {
  const page = await touched(browser, 1180, 820);
  await begin(page, demoYard.url, 'Grid in yards', 'Field arena', ['Quill']);
  await shelf(page, 'A grid');
  const elements = page.getByRole('group', { name: 'Elements' });
  await expect(elements.getByRole('combobox').first()).toHaveValue('placing pole');
  await typed(page, 'Distance from pole A to fence 1', '3yd');
  await typed(page, 'Distance from fence 1 to fence 2', '3yd 1ft');
  await typed(page, 'Distance from fence 2 to fence 3', '3 yd 1 ft');
  await typed(page, 'Distance from fence 3 to fence 4', '6yd');
  await typed(page, 'Distance from fence 4 to pole B', '3yd');
  await typed(page, 'Distance from fence 5 to pole C', '3yd');
  const bounce = 3 * YD + FT;
  // The oxer is as deep as it is high: centre to centre half of that more.
  const half = 0.3;
  const wanted = [3 * YD, bounce, bounce, 6 * YD, 3 * YD, 3 * YD, 3 * YD, 3 * YD + half];
  await expect
    .poll(async () => (await gapsM(page)).map(gap => Math.round(gap * 1000)))
    .toEqual(wanted.map(gap => Math.round(gap * 1000)));
  await typed(page, 'Height of all fences', '2ft 6in');
  await typed(page, 'Height of fence 4', '70 cm');
  await expect(page.getByLabel('Height of fence 6')).toHaveValue('0.76 m');
  await expect(page.getByLabel('Height of fence 4')).toHaveValue('0.70 m');
  // One more at its end, and out again: what was typed stays where it was.
  await page.getByRole('button', { name: 'Add one more at the end' }).tap();
  await expect(page.locator('[data-kind="fence"]')).toHaveCount(7);
  await page.getByRole('button', { name: 'Remove element 10' }).tap();
  await expect(page.locator('[data-kind="fence"]')).toHaveCount(6);
  await expect(page.getByLabel('Distance from fence 1 to fence 2')).toHaveValue('3.05 m');
  await expect(saved(page)).toBeVisible();
  await page.reload();
  await expect.poll(async () => (await gapsM(page))[1]!).toBeCloseTo(bounce, 3);
  await page.context().close();
});

test(
  'on a tablet by touch: a bend at 18 ft along its track, its distance dragged, every target as large as a finger',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const page = await touched(browser, 1180, 820);
    await begin(page, demoYard.url, 'Bend in feet', 'Field arena', ['Quill', 'Larkspur']);
    await shelf(page, 'Fences on a bend');
    await typed(page, 'Distance from fence 2 to fence 3', '18ft');
    const chordM = async () => {
      const fences = await Promise.all((await page.locator('[data-kind="fence"]').all()).slice(0, 2).map(drawnAt));
      // While they are drawn anew there may be none.
      if (!fences[0] || !fences[1]) return Number.NaN;
      return Math.hypot(fences[1].xM - fences[0].xM, fences[1].yM - fences[0].yM);
    };
    // Geometry: 18 ft round a circle of 10 m radius is a chord of 2·10·sin(18 ft / 20 m).
    await expect.poll(chordM).toBeCloseTo(20 * Math.sin((18 * FT) / 20), 3);
    // The distance is taken hold of on the sand, between the fences.
    const grip = page.locator('[data-gap="1"]');
    const box = (await grip.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    const touch = await page.context().newCDPSession(page);
    const finger = (type: 'touchStart' | 'touchMove' | 'touchEnd', points: { x: number; y: number }[]) =>
      touch.send('Input.dispatchTouchEvent', { type, touchPoints: points.map((point, id) => ({ ...point, id })) });
    await finger('touchStart', [{ x, y }]);
    for (let step = 1; step <= 6; step += 1) await finger('touchMove', [{ x: x - step, y: y - step * 2 }]);
    await finger('touchEnd', []);
    await expect.poll(chordM).not.toBeCloseTo(20 * Math.sin((18 * FT) / 20), 1);
    await page.getByRole('button', { name: 'Undo' }).tap();
    await expect.poll(chordM).toBeCloseTo(20 * Math.sin((18 * FT) / 20), 3);
    const small = await page
      .getByRole('main')
      .getByRole('button')
      .evaluateAll(buttons =>
        buttons.flatMap(button => {
          const { width, height } = button.getBoundingClientRect();
          const isSand = button.closest('svg') !== null || button.closest('[data-testid="ribbon"]') !== null;
          return isSand || width === 0 || (width >= 43.5 && height >= 43.5) ? [] : [button.textContent];
        }),
      );
    expect(small).toEqual([]);
    await page.context().close();
  },
);

test(
  'on a tablet by touch: a line for three horses in six, five and seven, with each horse’s words',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const page = await touched(browser, 1180, 820);
    await begin(page, demoYard.url, 'Six, five, seven', 'Field arena', ['Quill', 'Larkspur', 'Osprey']);
    await shelf(page, 'A related line');
    await typed(page, 'Strides', '6');
    for (const flag of ['Also one stride more', 'Also one stride fewer'])
      await page.getByRole('switch', { name: flag }).check();
    await page.getByRole('button', { name: /read fence 1 to fence 2$/ }).tap();
    const table = page.getByRole('table', { name: 'What each horse makes of it' });
    await expect(table.getByRole('columnheader')).toHaveText(['Horse', 'five', 'sixasked', 'seven']);
    const words = /too tight|short|quiet|easy|forward|long|too far/;
    for (const horse of ['Quill', 'Larkspur', 'Osprey']) {
      const cells = table.locator(`[data-reads="${horse}"]`).getByRole('cell');
      await expect(cells).toHaveCount(3);
      for (const cell of await cells.all()) await expect(cell).toHaveText(words);
    }
    // A distance typed that is even for one horse in six is judged anew for all, and counts out of reach are cautions.
    await typed(page, 'Distance', '20 m');
    await expect(table.getByLabel('out of reach').first()).toBeVisible();
    await page.getByRole('button', { name: /^\d+ cautions?$/ }).tap();
    await expect(page.getByRole('region', { name: 'Cautions' })).toContainText(
      /In seven, from fence 1 to fence 2 is too tight for/,
    );
    // The mark on the sand leads to it, too.
    await panel(page, 'Numbers');
    await page.locator('[data-caution]').first().tap();
    await expect(page.getByRole('region', { name: 'Cautions' })).toBeVisible();
    await page.context().close();
  },
);

test(
  'on a phone: fences, a track by tapping, numbers; then it is ridden',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const page = await touched(browser, 390, 844);
    await begin(page, demoYard.url, 'Two on the phone', 'Field arena', ['Quill']);
    const add = async (kind: string, xM: string, yM: string) => {
      await page.getByRole('button', { name: 'Add a piece' }).tap();
      await page.getByRole('menuitem', { name: kind, exact: true }).tap();
      await typed(page, 'From left long side', xM);
      await typed(page, 'From near short side', yM);
    };
    await add('Vertical', '17.5', '18');
    await add('Vertical', '17.5', '36');
    await expect(item(page, 'vertical B')).toBeVisible();
    await page.getByRole('button', { name: 'Add a track' }).tap();
    for (const yM of [17.8, 35.8]) {
      // Up on a phone: A is at the bottom.
      const { x, y } = await page.locator('[data-layer="still"]').evaluate(
        (node, at) => {
          const svg = node as unknown as SVGSVGElement;
          const place = new DOMPoint(at.xM, at.lengthM - at.yM).matrixTransform(svg.getScreenCTM()!);
          return { x: place.x, y: place.y };
        },
        { xM: 17.5, yM, lengthM: 60 },
      );
      await page.touchscreen.tap(x, y);
    }
    await page.getByRole('button', { name: 'End the track' }).tap();
    await page.getByRole('button', { name: /read fence 1 to fence 2$/ }).tap();
    await typed(page, 'Distance', '18.3 m');
    await expect(page.getByLabel('Distance', { exact: true })).toHaveValue('18.30 m');
    await expect(saved(page)).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);

    // Taught there and then: the pair of the horse it is for is ticked, one more is made on the spot.
    await page.getByRole('button', { name: 'Teach this now' }).tap();
    await expect(page.getByRole('checkbox', { name: /^Quill with/ }).first()).toBeChecked();
    await page.getByRole('button', { name: 'Another pair' }).tap();
    await page.getByLabel('Rider').fill('Wren Aster');
    await page.getByRole('combobox', { name: 'Horse' }).tap();
    await page.getByRole('option', { name: 'Osprey' }).tap();
    await page.getByRole('button', { name: 'Add this pair' }).tap();
    await expect(page.getByRole('checkbox', { name: 'Osprey with Wren Aster' })).toBeChecked();
    await page.getByRole('button', { name: 'Begin with 2 pairs' }).tap();
    await key(page, 'Begin the lesson').tap();
    await openDay(page, 'Stage');
    await page.getByRole('region', { name: 'Stages' }).getByRole('button').nth(1).tap();
    await closeSheet(page);
    for (let stride = 0; stride < 4; stride += 1) await key(page, /Tap each stride/).tap();
    await onSand(page, 'vertical 2').tap();
    await expect(onSand(page, 'vertical 1')).toBeVisible();
    await page.context().close();
  },
);

test(
  'a layout for any horse says so where it matters, and asks who rides',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const page = await touched(browser, 1180, 820);
    await begin(page, demoYard.url, 'For whoever comes', 'Lower school', []);
    await shelf(page, 'A row of trot poles');
    await expect(page.getByRole('note')).toContainText('For any horse.');
    // The handbook's step of a horse of 160 cm.
    await expect(page.getByLabel('Distance from pole 1 to pole 2')).toHaveValue('1.37 m');
    await expect(saved(page)).toBeVisible();
    const plan = page.url();
    await page.getByRole('link', { name: 'Set it out' }).tap();
    await expect(page.getByRole('note')).toContainText('Before it is set: who rides it?');
    await page.getByRole('link', { name: 'Choose who rides' }).tap();
    await page.waitForURL(plan);
    await page.getByRole('note').getByRole('button', { name: 'Choose who rides' }).tap();
    await page.getByRole('checkbox', { name: 'Thimble' }).tap();
    await expect(page.getByRole('note')).toHaveCount(0);
    await expect(page.getByRole('button', { name: 'Horses (1)' })).toBeVisible();
    await page.context().close();
  },
);
