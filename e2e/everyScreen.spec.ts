import type { Browser, Page } from '@playwright/test';
import { axeFinds, complaints, eyeFinds, kindsOfPage, walkPages } from './support/everyPage';
import { expect, test } from './support/fixtures';
import { keepRow } from './support/keepRow';

/** Pages for whoever signs in or has a link, of a film, and the one that leads on: each is looked at in otherScreens.spec. */
const OTHERS = [
  '/',
  '/join/[token]',
  '/mine',
  '/mine/films/[videoId]',
  '/office',
  '/review/films/[videoId]',
  '/s/[token]',
  '/sign-in',
  '/yards',
];
/** Where the walk begins; the last ones are led to by a menu or a device. */
const FROM = ['/today', '/yard', '/plan', '/set', '/ride', '/review', '/waiting', '/trust', '/plan/keys'];

/** What a lesson is planned, set, taught and read by. */
const MAIN = [
  ...['/today', '/yard', '/plan', '/plan/[layoutId]', '/set', '/set/[layoutId]', '/ride', '/ride/next'],
  ...['/ride/lessons/[lessonId]', '/ride/lessons/[lessonId]/run'],
  ...['/review', '/review/[pairId]'],
];

type Look = Parameters<Browser['newContext']>[0];

/** Opens each kind of page in a browser like this, and says what was found on it. */
async function walk(browser: Browser, url: string, like: Look, without: readonly string[] = OTHERS) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB', ...like });
  const page = await context.newPage();
  const faults = complaints(page);
  const isTouch = like?.hasTouch === true;
  const found = await walkPages(page, url, { from: FROM, without }, async () => [
    ...(await eyeFinds(page, { isTouch })),
    ...(await axeFinds(page)),
    ...faults.splice(0),
  ]);
  await context.close();
  return found;
}

const keepFindings = (what: string, looked: number, findings: number) =>
  keepRow('axe', ['what', 'looked at', 'findings'], [what, looked, findings]);

const nothing = (found: Map<string, string[]>) =>
  Object.fromEntries([...found].filter(([, findings]) => findings.length > 0));

const SCREENS: { name: string; like: Look }[] = [
  { name: 'on a desk', like: {} },
  { name: 'on a phone', like: { viewport: { width: 360, height: 740 }, hasTouch: true, isMobile: true } },
  { name: 'in the dark, without motion', like: { colorScheme: 'dark', reducedMotion: 'reduce' } },
  { name: 'in forced colours', like: { forcedColors: 'active' } },
  { name: 'at 200 %', like: { viewport: { width: 640, height: 400 }, deviceScaleFactor: 2 } },
];

test('the main pages on a phone: nothing that axe finds, one heading, none wider than the screen, no complaint', async ({
  demoYard,
  browser,
}) => {
  const like = { viewport: { width: 360, height: 740 }, hasTouch: true, isMobile: true };
  const without = kindsOfPage().filter(kind => !MAIN.includes(kind));
  const found = await walk(browser, demoYard.url, like, without);
  expect(nothing(found)).toEqual({});
  expect([...found.keys()].sort()).toEqual([...MAIN].sort());
});

for (const { name, like } of SCREENS)
  test(
    `every page ${name}: nothing that axe finds, one heading, none wider than the screen, no complaint`,
    { tag: '@full' },
    async ({ seasonYard, browser }) => {
      test.setTimeout(480_000);
      const found = await walk(browser, seasonYard.url, like);
      keepFindings(`every page ${name}`, found.size, Object.values(nothing(found)).flat().length);
      expect(nothing(found)).toEqual({});
      expect([...found.keys()].sort()).toEqual(kindsOfPage().filter(kind => !OTHERS.includes(kind)));
    },
  );

test(
  'every page of a yard with nothing in it says what it is for',
  { tag: '@full' },
  async ({ emptyYard, browser }) => {
    test.setTimeout(480_000);
    const found = await walk(browser, emptyYard.url, { viewport: { width: 390, height: 844 }, hasTouch: true });
    keepFindings('every page of an empty yard', found.size, Object.values(nothing(found)).flat().length);
    expect(nothing(found)).toEqual({});
  },
);

test('a page that is slow in coming is seen to be on its way', { tag: '@full' }, async ({ demoYard, page }) => {
  await page.goto(`${demoYard.url}/today`);
  await page.waitForLoadState('networkidle');
  await page.route(/\/plan\b.*_rsc/, async route => {
    await new Promise(resolve => setTimeout(resolve, 3000));
    await route.continue();
  });
  const plan = page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Plan' });
  await plan.click();
  await expect(plan.locator('[data-going]')).toHaveCSS('opacity', '1', { timeout: 2500 });
  await expect(page.getByRole('heading', { level: 1, name: 'Plan' })).toBeVisible();
  await expect(plan.locator('[data-going]')).toHaveCount(0);
});

/** Where a dialog is opened, by which keys one after the other. */
const DIALOGS: { at: string; opens: readonly (string | RegExp)[] }[] = [
  { at: '/yard', opens: ['Add a horse'] },
  { at: '/yard', opens: ['Change Thimble'] },
  { at: '/yard', opens: ['Add a pair'] },
  { at: '/yard', opens: ['Add a person'] },
  { at: '/yard', opens: ['Add an arena'] },
  { at: '/yard', opens: ['Change Lower school'] },
  { at: '/yard', opens: ['Add some kit'] },
  { at: '/plan', opens: ['New layout'] },
  { at: '/plan', opens: [/^More\. What to do with Course of eight/, 'Tags'] },
  { at: 'plan of Course of eight', opens: ['Shelf'] },
  { at: 'plan of Course of eight', opens: ['Call sheet'] },
  { at: 'plan of Course of eight', opens: ['Teach this now'] },
  { at: 'plan of Course of eight', opens: ['More', 'Compose a course'] },
  { at: 'plan of Course of eight', opens: ['More', 'Take it to another arena'] },
  { at: 'sheet of Course of eight', opens: ['Teach this'] },
  { at: 'lesson of The bend, built up', opens: ['Series and groups'] },
  { at: 'pair of Quill', opens: ['Set a goal'] },
];

const LISTS: Record<string, string> = { plan: '/plan', sheet: '/set', lesson: '/ride', pair: '/review' };

/** Opens a page by its address, or what is in a list by its name. */
async function openPage(page: Page, url: string, at: string): Promise<void> {
  const of = /^(plan|sheet|lesson|pair) of (.+)$/.exec(at);
  await page.goto(`${url}${of ? LISTS[of[1]!] : at}`);
  if (of) {
    await page
      .getByRole('main')
      .getByRole('link', { name: new RegExp(of[2]!) })
      .first()
      .click();
    await page.waitForURL(/[0-9a-f-]{36}/);
  }
  await page.waitForLoadState('networkidle');
}

test(
  'every dialog: nothing that axe finds, closed by Escape, and the focus is where it was',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    test.setTimeout(480_000);
    const found: Record<string, unknown> = {};
    for (const { at, opens } of DIALOGS)
      await test.step(`${at}: ${opens.join(', ')}`, async () => {
        await openPage(page, demoYard.url, at);
        const key = (name: string | RegExp, role: 'button' | 'menuitem') =>
          page.getByRole(role, { name, exact: typeof name === 'string' }).first();
        await key(opens[0]!, 'button').click();
        if (opens[1]) await key(opens[1], 'menuitem').click();
        const dialog = page.getByRole('dialog').last();
        await expect(dialog).toBeVisible();
        await page.waitForTimeout(400);
        const findings = await axeFinds(page, '[role="dialog"]');
        await page.keyboard.press('Escape');
        await expect(page.getByRole('dialog')).toHaveCount(0);
        const focused = await page.evaluate(() => document.activeElement?.tagName ?? '');
        if (focused === 'BODY') findings.push('the focus is lost');
        if (findings.length > 0) found[`${at}: ${opens.join(', ')}`] = findings;
      });
    keepFindings('dialogs', DIALOGS.length, Object.values(found).flat().length);
    expect(found).toEqual({});
  },
);
