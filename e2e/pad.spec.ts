import AxeBuilder from '@axe-core/playwright';
import type { Browser, Locator, Page } from '@playwright/test';
import { choose, expect, test } from './support/fixtures';
import { closeSheet, key, onSand, openDay, riddenHere } from './support/pad';
import type { RoanServer } from './support/roanServer';

/** The least that a gloved thumb hits, pixels. */
const LEAST_PX = 56;

/** A thumb that never scrolls: each tap must be on the screen and large enough, and is counted. */
function thumb(page: Page, touches = true) {
  let taps = 0;
  return {
    count: () => taps,
    tap: async (target: Locator) => {
      await expect(target).toBeVisible();
      const box = (await target.boundingBox())!;
      const { width, height } = page.viewportSize()!;
      expect(box.x).toBeGreaterThanOrEqual(0);
      expect(box.y).toBeGreaterThanOrEqual(0);
      expect(box.x + box.width).toBeLessThanOrEqual(width);
      expect(box.y + box.height).toBeLessThanOrEqual(height);
      expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(LEAST_PX);
      // Where it is drawn it is also what a finger meets: a click there reaches it, and nothing is moved to get to it.
      if (touches) await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
      else await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
      taps += 1;
    },
    /** Taps strides as a horse goes, evenly. */
    strides: async (times: number) => {
      const place = (await key(page, /Tap each stride/).boundingBox())!;
      for (let stride = 0; stride < times; stride += 1) {
        if (touches) await page.touchscreen.tap(place.x + place.width / 2, place.y + place.height / 2);
        else await page.mouse.click(place.x + place.width / 2, place.y + place.height / 2);
        taps += 1;
        await page.waitForTimeout(220);
      }
    },
  };
}

/** Nothing of the pad lies below the edge of the screen, nor beside it. */
async function fitsTheScreen(page: Page): Promise<void> {
  const over = await page.evaluate(() => {
    const pad = document.querySelector('[data-whole-screen]')!;
    const root = document.scrollingElement!;
    const right = Math.max(...[...pad.querySelectorAll('button')].map(key => key.getBoundingClientRect().right));
    return [
      right - window.innerWidth,
      pad.scrollHeight - pad.clientHeight,
      root.scrollHeight - window.innerHeight,
      root.scrollWidth - window.innerWidth,
      root.scrollTop,
    ];
  });
  expect(Math.max(...over)).toBeLessThanOrEqual(0);
}

/** What a person begins with: a layout, a pair, and the pad. */
async function openRide(page: Page, yard: RoanServer, layout: string, pair: string): Promise<void> {
  await page.goto(`${yard.url}/ride`);
  const chosen = page.getByRole('radio', { name: new RegExp(`^${layout}`) });
  await expect(async () => {
    await chosen.click();
    await expect(chosen).toHaveAttribute('aria-checked', 'true', { timeout: 1000 });
  }).toPass();
  await page.getByRole('radio', { name: new RegExp(`^${pair}`) }).click();
  await key(page, 'Ride').click();
  await page.waitForURL(/\/ride\/[0-9a-f-]+\/[0-9a-f-]+/);
  await expect(page.locator('[data-delivery=saved]')).toBeVisible();
  // What is to be taken care of is read once; then the sand has the room that it took.
  await key(page, 'Read').click();
  await standsStill(page.locator('[data-whole-screen] svg').first());
}

/** Until something has not moved for a moment: nobody taps sooner than that. */
async function standsStill(of: Locator): Promise<void> {
  const place = async () => JSON.stringify(await of.boundingBox());
  await expect(async () => {
    const before = await place();
    await new Promise(resolve => setTimeout(resolve, 150));
    expect(await place()).toBe(before);
  }).toPass();
}

async function passesSoFar(page: Page): Promise<string[]> {
  await page.locator('[data-whole-screen] header button').first().click();
  const passes = page.getByRole('region', { name: 'Passes' }).getByRole('listitem');
  await expect(passes.first()).toBeVisible();
  const words = await passes.allTextContents();
  await page.getByRole('dialog').getByRole('button', { name: 'Close', exact: true }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  return words;
}

type Kind = {
  name: string;
  layout: string;
  pair: string;
  ride: (page: Page, hand: ReturnType<typeof thumb>) => Promise<void>;
  /** The same on a keyboard. */
  keys: string[];
  /** The newest pass, as it is read afterwards; and how many taps all of it took. */
  reads: RegExp;
  taps: number;
};

/** Space, as often as the horse strides. */
const strideKeys = (times: number): string[] => Array.from({ length: times }, () => ' ');

const done = (page: Page) => key(page, /^(Pass done|Clean pass)/);

const KINDS: Kind[] = [
  {
    ...{ name: 'four passes over trot poles', layout: 'Five trot poles', pair: 'Quill with', taps: 4 },
    ride: async (page, { tap }) => {
      for (let pass = 0; pass < 4; pass += 1) await tap(done(page));
    },
    keys: ['Enter', 'Enter', 'Enter', 'Enter'],
    reads: /nothing to mark/,
  },
  {
    ...{ name: 'a line in six', layout: 'Two fences', pair: 'Barley with', taps: 7 },
    ride: async (page, { tap, strides }) => {
      await strides(6);
      await tap(done(page));
    },
    keys: [...strideKeys(6), 'Enter'],
    reads: /6 from vertical 1/,
  },
  {
    ...{ name: 'a line in five, its second fence down', layout: 'Two fences', pair: 'Quill with', taps: 7 },
    ride: async (page, { tap, strides }) => {
      await strides(5);
      await tap(key(page, /^down/));
      await tap(done(page));
    },
    keys: [...strideKeys(5), 'd', 'Enter'],
    reads: /5 from vertical 1.*down at vertical 2/,
  },
  {
    ...{ name: 'a course of eight', layout: 'Course of eight', pair: 'Larkspur with', taps: 9 },
    ride: async (page, { tap }) => {
      for (const [fence, word] of [
        ['oxer 2', /^left lead/],
        ['vertical 3', /^down/],
        ['vertical 4', /^right lead/],
        ['oxer 5', /^refusal/],
      ] as const) {
        await tap(onSand(page, fence).first());
        await tap(key(page, word));
      }
      await tap(done(page));
    },
    keys: ['2', 'q', '3', 'd', '4', 'e', '5', 'f', 'Enter'],
    reads: /left lead after oxer 2.*down at vertical 3.*right lead after vertical 4.*refusal at oxer 5/,
  },
  {
    ...{ name: 'a bend of four', layout: 'Four on the bend', pair: 'Larkspur with', taps: 7 },
    ride: async (page, { tap, strides }) => {
      await strides(3);
      await tap(key(page, /^rub/));
      await tap(key(page, /^left lead/));
      await tap(onSand(page, '[a-z -]+ 3'));
      await tap(done(page));
    },
    keys: [...strideKeys(3), 'r', 'q', '3', 'Enter'],
    reads: /3 from .* 1.*rub at .* 2.*left lead after .* 2/,
  },
  {
    ...{ name: 'a serpentine with a lost bend', layout: 'Three loops', pair: 'Quill with', taps: 3 },
    ride: async (page, { tap }) => {
      await tap(onSand(page, 'the second loop'));
      await tap(key(page, /^bend lost/));
      await tap(done(page));
    },
    keys: ['2', 'd', 'Enter'],
    reads: /bend lost in the second loop/,
  },
  {
    ...{ name: 'a ladder of transitions', layout: 'Fewer steps to canter', pair: 'Quill with', taps: 7 },
    ride: async (page, { tap }) => {
      // Walk, trot, walk, trot, walk, trot, canter: six changes, each one tap; the last on the wrong lead.
      for (let change = 0; change < 5; change += 1) await tap(key(page, /^prompt/));
      await tap(key(page, /^wrong lead/));
      await tap(done(page));
    },
    keys: ['p', 'p', 'p', 'p', 'p', 'x', 'Enter'],
    reads: /prompt into trot, transition 1.*prompt into walk, transition 2.*wrong lead into canter, transition 6/,
  },
  {
    ...{ name: 'a gait that slips', layout: 'Two poles in running walk', pair: 'Tansy with', taps: 3 },
    ride: async (page, { tap }) => {
      await tap(onSand(page, 'pole 2'));
      await tap(key(page, /^fox trot/));
      await tap(done(page));
    },
    keys: ['2', 'n', 'Enter'],
    reads: /fox trot from pole 2 on/,
  },
  {
    ...{ name: 'gaits in turn, one of which slips', layout: 'Running walk, and canter', pair: 'Tansy with', taps: 2 },
    ride: async (page, { tap }) => {
      // The first change is chosen as the pad opens.
      await tap(key(page, /^pace/));
      await tap(done(page));
    },
    keys: ['j', 'Enter'],
    reads: /pace from 25 m on/,
  },
];

async function rideAll(page: Page, yard: RoanServer, touches: boolean, look?: (kind: Kind) => Promise<void>) {
  // Every kind is opened anew, and there are many.
  test.setTimeout(480_000);
  for (const kind of KINDS) {
    await test.step(kind.name, async () => {
      await openRide(page, yard, kind.layout, kind.pair);
      const hand = thumb(page, touches);
      await kind.ride(page, hand);
      expect(hand.count()).toBe(kind.taps);
      await fitsTheScreen(page);
      await look?.(kind);
      expect((await passesSoFar(page))[0]).toMatch(kind.reads);
    });
  }
}

/** No finding of axe, and the contrast that the sun asks for. */
async function isReadable(page: Page): Promise<void> {
  const pad = () => new AxeBuilder({ page }).include('[data-whole-screen]');
  for (const looked of [await pad().analyze(), await pad().withRules(['color-contrast-enhanced']).analyze()])
    expect(looked.violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' ')}`)).toEqual([]);
}

async function phonePage(browser: Browser, width: number, height: number): Promise<Page> {
  return (await browser.newContext({ viewport: { width, height }, hasTouch: true })).newPage();
}

test(
  'every kind of question is ridden on a phone without a scroll, each pad without a finding of axe',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const page = await phonePage(browser, 390, 844);
    await rideAll(page, demoYard, true, () => isReadable(page));
  },
);

test(
  'the same on a small phone, and with the phone laid on its side',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    await rideAll(await phonePage(browser, 360, 640), demoYard, true);
    await rideAll(await phonePage(browser, 640, 360), demoYard, true);
  },
);

test('the same on a tablet or a desk', { tag: '@full' }, async ({ demoYard, browser }) => {
  const page = await (await browser.newContext({ viewport: { width: 1024, height: 768 } })).newPage();
  await rideAll(page, demoYard, false);
});

test('the same with keys only', { tag: '@full' }, async ({ demoYard, browser }) => {
  const page = await (await browser.newContext({ viewport: { width: 1024, height: 768 } })).newPage();
  for (const kind of KINDS)
    await test.step(kind.name, async () => {
      await openRide(page, demoYard, kind.layout, kind.pair);
      await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
      for (const pressed of kind.keys) {
        await page.keyboard.press(pressed);
        if (pressed === ' ') await page.waitForTimeout(220);
      }
      expect((await passesSoFar(page))[0]).toMatch(kind.reads);
    });
  // The last tap is taken back with a key too.
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('z');
  await expect(key(page, /^Redo/)).toBeVisible();
});

/** A lesson of two pairs over the trot poles. */
async function plannedLesson(browser: Browser, yard: RoanServer): Promise<string> {
  const page = await (await browser.newContext()).newPage();
  await page.goto(`${yard.url}/ride/lessons/new`);
  await page.getByLabel('What it is called').fill('Two over the line');
  await choose(page, 'Arena', 'Field arena');
  for (const pair of ['Quill with Ode Quillan', 'Larkspur with Ode Quillan']) await choose(page, 'Pairs', pair);
  await page.keyboard.press('Escape');
  await choose(page, 'Add the stages of a layout', 'Two fences, four or five');
  await page.getByRole('button', { name: 'Plan the lesson' }).click();
  await expect(page.getByRole('heading', { name: 'Two over the line' })).toBeVisible();
  const run = `${page.url()}/run`;
  await page.context().close();
  return run;
}

test('a change of pair is one tap, a count goes with the pair it is of, and a reload in the middle loses none of it', async ({
  demoYard,
  browser,
}) => {
  const run = await plannedLesson(browser, demoYard);
  const context = await browser.newContext({ viewport: { width: 360, height: 640 }, hasTouch: true });
  const page = await context.newPage();
  await page.addInitScript(() => {
    const seen = { shakes: 0, locks: 0 };
    Object.assign(window, { seen });
    navigator.vibrate = () => (seen.shakes += 1) > 0;
    Object.defineProperty(navigator, 'wakeLock', {
      value: { request: async () => ((seen.locks += 1), { release: async () => undefined }) },
    });
  });
  await page.goto(run);
  await key(page, 'Begin the lesson').tap();
  const hand = thumb(page);
  const pairs = page.getByRole('region', { name: 'Pairs' }).getByRole('button');
  await hand.strides(4);
  await hand.tap(pairs.nth(1));
  expect(hand.count()).toBe(5);
  await expect(pairs.first()).toContainText('Larkspur');
  await hand.strides(2);
  // The screen stays on, and each tap was answered with a shake.
  const seen = await page.evaluate(() => (window as unknown as { seen: { shakes: number; locks: number } }).seen);
  expect(seen.locks).toBeGreaterThanOrEqual(1);
  expect(seen.shakes).toBeGreaterThanOrEqual(6);
  await page.reload();
  await expect(pairs.first()).toContainText('Larkspur');
  await expect(key(page, /Tap each stride/)).toContainText('2');
  await hand.strides(3);
  await hand.tap(done(page));
  await expect(page.locator('[data-delivery=saved]')).toBeVisible();
  expect((await riddenHere(page))[0]).toMatch(/5 from vertical 1/);
  await pairs.nth(1).tap();
  expect((await riddenHere(page))[0]).toMatch(/4 from vertical 1/);
  await fitsTheScreen(page);
  await isReadable(page);
  // For the other hand the keys change sides.
  const endsAt = async () => (await done(page).boundingBox())!.x;
  expect(await endsAt()).toBeGreaterThan(180);
  await openDay(page, 'Lesson');
  await key(page, 'Left hand').tap();
  await closeSheet(page);
  expect(await endsAt()).toBeLessThan(60);
  await context.close();
});

test(
  'a count that cannot be asks; a tap from before the page is alive is kept',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const run = await plannedLesson(browser, demoYard);
    const page = await phonePage(browser, 390, 844);
    await page.goto(run);
    await key(page, 'Begin the lesson').tap();
    await key(page, /Tap each stride/).tap();
    await onSand(page, 'vertical 2').tap();
    const doubt = page.getByRole('status', { name: 'A count that cannot be' });
    await expect(doubt).toContainText(/1 from fence 1 to fence 2\? That is 19\.\d+ m/);
    await doubt.getByRole('button', { name: '5' }).tap();
    await expect(doubt).toHaveCount(0);
    await key(page, /^Pass done/).tap();
    expect((await riddenHere(page))[0]).toMatch(/5 from vertical 1/);
    await expect(page.locator('[data-delivery=saved]')).toBeVisible();

    // The scripts of the page are held back: what is tapped meanwhile is done once it is alive.
    let hold = true;
    const held: (() => void)[] = [];
    await page.route(/\/_next\/static\/.*\.js/, async route => {
      if (hold) await new Promise<void>(resolve => held.push(resolve));
      await route.continue();
    });
    await page.goto(run, { waitUntil: 'commit' });
    await expect(done(page)).toBeVisible();
    await done(page).tap();
    // It is seen to be heard at once, however long the scripts take.
    await expect(done(page)).toHaveAttribute('data-heard', '1');
    hold = false;
    held.forEach(go => go());
    await expect(page.getByRole('region', { name: 'Pairs' }).getByRole('button').first()).toContainText(
      /2 left, 0 right/,
    );
    await expect(page.locator('[data-heard]')).toHaveCount(0);
  },
);

test('a stride test is counted on one screen, and what is counted is never relabelled', async ({
  demoYard,
  browser,
}) => {
  const page = await phonePage(browser, 360, 640);
  await page.goto(`${demoYard.url}/yard`);
  const horse = await page
    .getByRole('link', { name: /^Barley/ })
    .first()
    .getAttribute('href');
  await page.goto(`${demoYard.url}${horse}/test`);
  await key(page, 'Count on one screen').click();
  const { tap } = thumb(page);
  const lands = key(page, /Tap each time the/);
  for (let stride = 0; stride < 7; stride += 1) await tap(lands);
  await expect(lands).toContainText('7');
  await expect(key(page, /^short/)).toBeDisabled();
  await tap(key(page, 'One back'));
  await tap(key(page, /^Keep this pass/));
  await expect(key(page, /^normal/)).toContainText('6');
  await tap(key(page, /^short/));
  for (let stride = 0; stride < 7; stride += 1) await tap(lands);
  await tap(key(page, /^Keep this pass/));
  await fitsTheScreen(page);
  await isReadable(page);
  await tap(key(page, 'Results'));
  await expect(page.getByRole('region', { name: 'What it comes to' })).toContainText(/short/i);
});
