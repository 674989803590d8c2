import { pdfPage } from '../src/files/pdf/testPdf';
import { DEMO_LAYOUTS } from '../src/data/demo/demoLayouts';
import { DEMO_HORSES } from '../src/data/demo/demoYard';
import { SEASON_LESSONS } from '../src/data/demo/demoSeason';
import { expect, test } from './support/fixtures';
import { key } from './support/pad';
import { testStride } from './support/strideTest';
import type { Page } from '@playwright/test';

/** What somebody of the demo typed, and its tags: that stays as it was typed. */
const TYPED = [
  ...DEMO_LAYOUTS.flatMap(({ name, tags }) => [name, ...tags]),
  ...SEASON_LESSONS.map(({ name }) => name),
  ...DEMO_HORSES.flatMap(({ notes }) => notes ?? []),
].filter(words => /trot|canter/i.test(words));

/** Where a gait stands in the English word on the page that is open: what is read, and what a screen reader is told. */
async function englishGaits(page: Page): Promise<string[]> {
  await page.evaluate(() => document.querySelectorAll('details').forEach(one => (one.open = true)));
  const read = await page.evaluate(() => {
    const words: string[] = [document.body.innerText];
    for (const of of ['aria-label', 'placeholder', 'title'])
      document.querySelectorAll(`[${of}]`).forEach(one => words.push(one.getAttribute(of)!));
    return words.join('\n').split('\n');
  });
  const isEnglish = /(?<!fox )(?<![\w-])(trot|canter)(?!\w*_m)/i;
  return read
    .filter(line => !TYPED.includes(line.trim()) && line.trim() !== 'Walk, trot, canter')
    .map(line => TYPED.filter(typed => typed.includes(' ')).reduce((left, typed) => left.replaceAll(typed, ''), line))
    .filter(line => isEnglish.test(line));
}

async function sayWestern(page: Page, url: string) {
  await page.goto(`${url}/yard/rules`);
  await page.getByText('Walk, jog, lope').click();
  await page.getByRole('button', { name: 'Keep these rules' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Kept' })).toBeVisible();
}

test(
  'a western yard: stride tests in jog and lope, a circle large and fast, small and slow, and what the review says of it',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await sayWestern(page, demoYard.url);
    const tests = await testStride(page, demoYard, /^Fennel/, [
      ['Jog', 10],
      ['Lope', 8],
    ]);
    // Three passes of 20 m with 31 and 25 strides in all.
    await expect(tests).toContainText('Jog in the lane');
    await expect(tests).toContainText('Normal: 1.94 m');
    await expect(tests).toContainText('Lope in the lane');
    await expect(tests).toContainText('Normal: 2.40 m');

    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(`${demoYard.url}/ride`);
    await page.getByRole('radio', { name: /^Large and fast/ }).check();
    await page.getByRole('radio', { name: /^Fennel with/ }).check();
    await key(page, 'Ride').click();
    await key(page, 'Read').click();
    await key(page, /^broke gait/).click();
    await key(page, 'More …').click();
    await expect(page.getByRole('group', { name: 'Ridden gait' }).getByRole('button')).toHaveText([
      'walk',
      'jog',
      'lope',
    ]);
    await page.getByRole('group', { name: 'Ridden gait' }).getByRole('button', { name: 'lope' }).click();
    await page.keyboard.press('Escape');
    await key(page, /^Pass done/).click();
    await expect(page.locator('[data-delivery=saved]')).toBeVisible();
    expect(await englishGaits(page)).toEqual([]);

    await page.goto(`${demoYard.url}/review`);
    await page.locator('a[href^="/review/"]', { hasText: 'Fennel' }).first().click();
    await expect(page.getByRole('heading', { name: /^Fennel with/ })).toBeVisible();
    expect(await englishGaits(page)).toEqual([]);
  },
);

test(
  'in a western yard every page and paper says jog and lope, the shelf too; the fox trot keeps its name',
  { tag: '@full' },
  async ({ seasonYard, strictPage: page, request }, testInfo) => {
    test.slow();
    await sayWestern(page, seasonYard.url);
    const english: Record<string, string[]> = {};
    const visited = new Map<string, number>();
    const seen = new Set<string>();
    const toSee = ['/today', '/plan', '/set', '/ride', '/review', '/yard', '/yard/rules', '/ride/next', '/ride/season'];
    for (let path = toSee.shift(); path !== undefined; path = toSee.shift()) {
      const kind = path.replace(/\?.*/, '').replace(/[0-9a-f-]{36}/g, '*');
      if (seen.has(path) || (visited.get(kind) ?? 0) >= 2) continue;
      seen.add(path);
      visited.set(kind, (visited.get(kind) ?? 0) + 1);
      const answer = await page.goto(`${seasonYard.url}${path}`);
      expect([path, answer!.status()]).toEqual([path, 200]);
      await page.locator('main').first().waitFor();
      await page.waitForLoadState('networkidle');
      const found = await englishGaits(page);
      if (found.length > 0) english[kind] = found.slice(0, 5);
      const links = await page.locator('a[href^="/"]').evaluateAll(all => all.map(one => one.getAttribute('href')!));
      toSee.push(...links.map(link => link.split('#')[0]!).filter(link => !/^\/(api|s)\//.test(link)));
    }
    expect(english).toEqual({});
    expect(visited.size).toBeGreaterThan(35);

    // The shelf, with what is read of an exercise.
    await page.goto(`${seasonYard.url}/plan`);
    await page
      .getByRole('link', { name: /^Large and fast/ })
      .first()
      .click();
    await page.getByRole('button', { name: 'Shelf' }).click();
    await page.getByLabel('Search the shelf').fill('lope');
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /^A ladder of transitions to lope/ })
      .click();
    await expect(page.getByRole('dialog')).toContainText('jog steps');
    expect(await englishGaits(page)).toEqual([]);

    // Dialogs: what is typed of a horse, what next, and a goal.
    await page.goto(`${seasonYard.url}/yard`);
    await page.getByRole('button', { name: 'Add a horse' }).click();
    await expect(page.getByLabel('Jog step over poles').first()).toBeAttached();
    expect(await englishGaits(page)).toEqual([]);
    await page.goto(`${seasonYard.url}/review`);
    await page.locator('a[href^="/review/"]', { hasText: 'Fennel' }).first().click();
    await page.getByRole('button', { name: 'Set a goal' }).first().click();
    await page.getByRole('combobox', { name: 'What it is for' }).press('ArrowDown');
    await expect(page.getByRole('option', { name: 'lope departs' })).toBeVisible();
    expect(await englishGaits(page)).toEqual([]);

    // A paper, as whoever prints it has it.
    await page.goto(`${seasonYard.url}/ride`);
    const lesson = await page
      .getByRole('link', { name: /^The bend, built up/ })
      .first()
      .getAttribute('href');
    const paper = await request.get(`${seasonYard.url}/api${lesson!.replace('/ride', '')}/sheet`);
    expect(paper.ok()).toBe(true);
    const { words } = pdfPage(await paper.body(), testInfo.outputPath('lesson.pdf'));
    expect(words).toContain('All poles on the ground, in jog');
    expect(words).not.toMatch(/\b(trot|canter)/i);
  },
);
