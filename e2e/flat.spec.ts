import type { Page } from '@playwright/test';
import { finger } from './support/finger';
import { choose, expect, test } from './support/fixtures';
import { cleanPass, closeSheet, key, openDay } from './support/pad';

/** Takes a figure off the shelf into the session that is begun. */
async function figure(page: Page, title: string, rein: 'Left' | 'Right' = 'Left'): Promise<void> {
  await page.getByRole('button', { name: 'Shelf' }).click();
  await page.getByLabel('Search the shelf').fill(title);
  await page
    .getByRole('button', { name: new RegExp(`^${title}`) })
    .first()
    .click();
  if (rein === 'Right') await page.getByText('Right', { exact: true }).click();
  await page.getByRole('button', { name: 'Put it on the sand' }).click();
  await page.getByRole('dialog').waitFor({ state: 'hidden' });
}

test(
  'a warm-up on the flat: figures in order and tones, its balance, what evens it, and called out letter by letter',
  { tag: '@full' },
  async ({ demoYard, browser, strictPage: page }) => {
    await page.goto(`${demoYard.url}/plan`);
    await page.getByRole('button', { name: 'New layout' }).click();
    await page.getByLabel('Name').fill('Warm-up on the flat');
    await choose(page, 'Arena', 'Lower school');
    await choose(page, 'Horses of the lesson', 'Quill');
    await page.getByLabel('Name').click();
    await page.getByRole('button', { name: 'Make the layout' }).click();
    await page.getByLabel('Name of the layout').waitFor();
    await figure(page, 'Free walk across the diagonal');
    await figure(page, 'A circle');
    await page.getByRole('button', { name: 'Back to the whole layout' }).click();
    const order = page.getByRole('list', { name: 'Figures in the order ridden' });
    await expect(order.getByRole('listitem')).toHaveCount(2);
    await expect(order.getByRole('listitem').nth(1)).toContainText('At A: 20 m circle, twice, trot, left rein');

    // Two rounds of 20 m: 40π = 125.66 m on the left rein; the way there may add to it, and nothing on the right.
    const balance = page.getByRole('region', { name: 'The balance' });
    await expect(balance.getByRole('row', { name: /trot/ })).toContainText('125.66 m');
    await expect(balance).toContainText(/of it rest/);
    await expect(balance).not.toContainText(', 0 s of it rest');
    const missing = page.getByRole('list', { name: 'What is missing' });
    await expect(missing).toContainText(/The right rein has 100 % less trot/);
    await missing.getByRole('button', { name: /Add 2 rounds of a 20 m circle on the right rein in trot/ }).click();
    await expect(order.getByRole('listitem')).toHaveCount(3);
    await expect(page.getByText(/right rein has \d+ % less trot/)).toHaveCount(0);

    // Dragged with the keyboard: the walk goes to the end.
    const grip = order.getByRole('button', { name: 'Move Free walk across the diagonal' });
    await grip.focus();
    const said = page.getByText(/Free walk across the diagonal (is|lies)/);
    await page.keyboard.press('Space');
    await expect(
      said
        .filter({ hasText: 'is picked up' })
        .or(said.filter({ hasText: 'is over' }))
        .first(),
    ).toBeAttached();
    for (const place of [2, 3]) {
      await page.keyboard.press('ArrowDown');
      await expect(said.filter({ hasText: `is over place ${place}` }).first()).toBeAttached();
    }
    await page.keyboard.press('Space');
    await expect(order.getByRole('listitem').last()).toContainText('Free walk');
    await page.getByRole('button', { name: 'Call sheet' }).click();
    const calls = page.getByRole('list', { name: 'Figures as they are called out' }).getByRole('listitem');
    await expect(calls).toHaveCount(3);
    await expect(calls.first()).toContainText('At A: 20 m circle, twice');
    await page.keyboard.press('Escape');
    await expect(page.getByText(/^Saved/)).toBeVisible();
    await page.reload();
    await expect(order.getByRole('listitem').last()).toContainText('Free walk');

    // And with a finger on a tablet back to the beginning.
    const tablet = await browser.newContext({ viewport: { width: 1024, height: 768 }, hasTouch: true });
    const touched = await tablet.newPage();
    await touched.goto(page.url());
    const rows = touched.getByRole('list', { name: 'Figures in the order ridden' }).getByRole('listitem');
    const { drag, lift } = await finger(touched);
    const middle = async (row: number) => {
      const box = (await rows.nth(row).getByRole('button', { name: /^Move/ }).boundingBox())!;
      return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    };
    await expect(async () => {
      await rows.last().scrollIntoViewIfNeeded();
      await drag(await middle(2), await middle(0));
      await lift();
      await expect(rows.first()).toContainText('Free walk', { timeout: 2000 });
    }).toPass({ timeout: 20_000 });
    await tablet.close();
  },
);

test(
  'a sheet of stride tests: walk and trot, before and after, nothing relabelled, void and drop taken back',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/yard`);
    await page
      .getByRole('link', { name: /^Barley/ })
      .first()
      .click();
    await page.getByRole('link', { name: 'Test the stride' }).first().click();
    const pad = page.getByRole('button', { name: /: tap, or press the space bar/ });
    const pass = async (strides: number) => {
      for (let stride = 0; stride < strides; stride += 1) await pad.click();
      await page.getByRole('button', { name: 'Keep this pass' }).click();
    };
    await choose(page, 'Gait', 'Walk');
    await page.getByText('Before schooling', { exact: true }).click();
    await pass(10);
    await pass(11);
    await choose(page, 'Gait', 'Trot');
    const columns = page.getByRole('group', { name: 'Columns of the sheet' });
    await expect(columns.getByRole('button', { name: /Walk before: 10, 11/ })).toBeVisible();
    // The space bar counts after a click on a pace, too.
    await page.getByText('Short', { exact: true }).click();
    for (let stride = 0; stride < 9; stride += 1) await page.keyboard.press('Space');
    await expect(pad).toContainText('9');
    await page.getByRole('button', { name: 'Keep this pass' }).click();
    await expect(columns.getByRole('button', { name: /Trot before: 9 short/ })).toBeVisible();
    await page.getByRole('button', { name: 'Void: the gait broke' }).click();
    await expect(page.getByRole('button', { name: /Remove the short pass of 1, void/ })).toBeVisible();
    await page.getByRole('button', { name: 'Take it back' }).click();
    await expect(page.getByRole('button', { name: /, void/ })).toHaveCount(0);
    await page.getByRole('button', { name: 'Drop this sheet' }).click();
    await expect(columns).toHaveCount(0);
    await page.getByRole('button', { name: 'Take it back' }).click();
    await columns.getByRole('button', { name: /Walk before: 10, 11/ }).click();
    await page.getByRole('radiogroup', { name: 'Rhythm' }).getByText('3', { exact: true }).click();

    // After schooling: as many strides, more even.
    await page.getByText('After', { exact: true }).click();
    await pass(10);
    await page.getByRole('radiogroup', { name: 'Rhythm' }).getByText('4', { exact: true }).click();
    await pass(11);
    await expect(page.getByRole('region', { name: 'What it comes to' })).toContainText(
      'As long as before schooling today, more even than then.',
    );
    await page.getByRole('button', { name: /^Keep the test/ }).click();
    await expect(page.getByRole('heading', { name: 'Barley', level: 1 })).toBeVisible();
    const tests = page.getByRole('region', { name: 'Stride tests', exact: true });
    await expect(tests).toContainText(/Walk in the lane, .*, after schooling/);
    await expect(tests).toContainText(/Trot in the lane, .*, before schooling/);
  },
);

test(
  'a warm-up of six figures: planned in under 40 clicks, ridden on the phone by two pairs on both reins, reviewed',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const desk = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    let clicks = 0;
    await desk.exposeFunction('clicked', () => void (clicks += 1));
    await desk.addInitScript(() =>
      document.addEventListener(
        'pointerdown',
        () => void (window as unknown as { clicked: () => void }).clicked(),
        true,
      ),
    );
    await desk.goto(`${demoYard.url}/plan`);
    await desk.getByRole('button', { name: 'New layout' }).click();
    await desk.getByLabel('Name').fill('Loose and supple');
    await choose(desk, 'Arena', 'Lower school');
    await choose(desk, 'Horses of the lesson', 'Quill');
    await desk.getByRole('option', { name: 'Barley', exact: true }).click();
    await desk.getByLabel('Name').click();
    await desk.getByRole('button', { name: 'Make the layout' }).click();
    await desk.getByLabel('Name of the layout').waitFor();
    for (const title of ['Free walk across the diagonal', 'A shallow loop', 'A serpentine']) await figure(desk, title);
    // The serpentine that was put down last is selected: it yields out of each loop.
    await desk.getByLabel('Yield out of each loop').fill('2');
    await desk.keyboard.press('Enter');
    for (const title of [
      'A spiral in and out',
      'Shoulder-in along the rail',
      'Canter from a small circle to a large one',
    ])
      await figure(desk, title);
    await desk.getByRole('button', { name: 'Back to the whole layout' }).click();
    const order = desk.getByRole('list', { name: 'Figures in the order ridden' });
    await expect(order.getByRole('listitem')).toHaveCount(6);
    await expect(order.getByRole('listitem').nth(2)).toContainText('serpentine of 3 loops, yielding out');
    expect(clicks).toBeLessThan(40);
    await expect(desk.getByText(/^Saved/)).toBeVisible();
    await desk.getByRole('button', { name: 'Teach this now' }).click();
    await desk.getByRole('button', { name: 'Begin with 2 pairs' }).click();
    await desk.waitForURL(/\/ride\/lessons\/.+\/run/);
    const lesson = desk.url().replace(/\/run.*/, '');

    const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
    const page = await phone.newPage();
    await page.goto(`${lesson}/run`);
    await key(page, 'Begin the lesson').tap();
    const toStage = async (name: RegExp) => {
      await openDay(page, 'Stage');
      await page.getByRole('region', { name: 'Stages' }).getByRole('button', { name }).tap();
      await closeSheet(page);
    };
    const pairs = page.getByRole('region', { name: 'Pairs' }).getByRole('button');

    // The yields of the serpentine, by loop: Barley slips off the right leg in the second, on each rein.
    await toStage(/A serpentine: in trot/);
    await expect(pairs).toHaveCount(2);
    const done = page.getByRole('button', { name: /^Pass done/ });
    for (let pass = 0; pass < 8; pass += 1) {
      // Left and right in turn, twice; what slipped at first no longer does.
      const slips = pass % 4 < 2;
      await page.getByRole('button', { name: /the second loop/ }).tap();
      if (slips) await key(page, 'off right leg').tap();
      await key(page, `quality ${slips ? 2 : 4} of 5`).tap();
      await done.tap();
      await expect(page.locator('[data-delivery=saved]')).toBeVisible();
      // Nobody has to look it up: it was better, from what to what.
      if (pass % 4 === 2)
        await expect(page.getByRole('status', { name: 'What now' })).toContainText(
          'Before: off the right leg, quality 2 of 5. Now: clean, quality 4 of 5.',
        );
      if (pass === 3) await pairs.nth(1).tap();
    }
    // The departs, each at its place, several in one pass.
    await toStage(/Canter from a small circle/);
    const changes = page.getByRole('button', { name: /trot to canter/ });
    expect(await changes.count()).toBeGreaterThanOrEqual(3);
    await changes.nth(0).tap();
    await key(page, 'late').tap();
    await changes.nth(1).tap();
    await key(page, 'prompt').tap();
    await done.tap();
    await expect(page.locator('[data-delivery=saved]')).toBeVisible();
    // Shoulder-in on each rein, both pairs.
    await toStage(/Shoulder-in along the rail: in trot/);
    for (const at of [0, 1]) {
      await pairs.nth(at).tap();
      for (const rein of ['left rein', 'right rein'] as const) {
        await cleanPass(page, rein);
        await expect(page.locator('[data-delivery=saved]')).toBeVisible();
      }
      await expect(pairs.filter({ hasText: '1 left, 1 right' })).toHaveCount(at + 1);
    }
    await phone.close();

    // In the evening the record says what happened, and the review counts the slips.
    await desk.goto(`${lesson}/record`);
    await expect(desk.getByText(/off the right leg in the second loop/).first()).toBeVisible();
    await desk.goto(`${lesson}/end`);
    await expect(desk.getByText(/from off the right leg, quality 2 of 5 to clean, quality 4 of 5/)).toHaveCount(2);
  },
);

test(
  'walk, trot and canter, short and long, before and after, counted on the phone by tapping alone',
  { tag: '@full' },
  async ({ demoYard, browser }) => {
    const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
    const page = await phone.newPage();
    await page.goto(`${demoYard.url}/yard`);
    await page
      .getByRole('link', { name: /^Barley/ })
      .first()
      .tap();
    await page.getByRole('link', { name: 'Test the stride' }).first().tap();
    await key(page, 'Count on one screen').tap();
    const pad = page.getByRole('button', { name: /^\d+\s*Tap each time/ });
    const pace = (name: string) =>
      page.getByRole('group', { name: 'Pace' }).getByRole('button', { name: new RegExp(`^${name}`) });
    const settings = async (work: () => Promise<void>) => {
      await page.locator('[data-whole-screen] header button').first().tap();
      await work();
      await closeSheet(page);
    };
    // Common practice, no source: 60 ft in 13 and 9 walk strides, 11 and 7 at trot (6 after work), 11 and 8 at canter.
    const counts = {
      before: { Walk: [13, 9], Trot: [11, 7], Canter: [11, 8] },
      after: { Walk: [13, 9], Trot: [11, 6], Canter: [11, 8] },
    } as const;
    for (const moment of ['before', 'after'] as const) {
      await settings(() => page.getByText(moment === 'before' ? 'Before schooling' : 'After', { exact: true }).tap());
      for (const gait of ['Walk', 'Trot', 'Canter'] as const) {
        await settings(() => choose(page, 'Gait', gait));
        for (const [at, name] of ['short', 'long'].entries()) {
          await pace(name).tap();
          await expect(pad).toContainText(`${gait.toLowerCase()} in the lane, ${name}`);
          for (let stride = 0; stride < counts[moment][gait][at]!; stride += 1) await pad.tap();
          await page.getByRole('button', { name: /^Keep this pass/ }).tap();
          await expect(pace(name)).toContainText(String(counts[moment][gait][at]));
        }
        await key(page, `rhythm ${moment === 'before' ? 3 : 4}`).tap();
      }
    }
    // A second horse in its turn, on the same sheet; its counts are its own.
    await settings(() => choose(page, 'Horse', 'Quill'));
    await pace('long').tap();
    for (let stride = 0; stride < 7; stride += 1) await pad.tap();
    await page.getByRole('button', { name: /^Keep this pass/ }).tap();
    await page.getByRole('group', { name: 'Horses in turn' }).getByRole('button', { name: 'Barley' }).tap();
    await expect(pace('long')).toContainText('8');
    await key(page, 'Results').tap();

    const results = page.getByRole('region', { name: 'What it comes to' });
    await page
      .getByRole('group', { name: 'Columns of the sheet' })
      .getByRole('button', { name: /^Trot after/ })
      .tap();
    const picture = results.getByRole('img', { name: /^Trot in the lane/ });
    // Barley's lane is the one of the last test, 20 m.
    const strideM = (count: number) => (20 / count).toFixed(2).replace('.', '\\.');
    await expect(picture).toHaveAccessibleName(
      new RegExp(`long: 7 · ${strideM(7)} m before, 6 · ${strideM(6)} m after`),
    );
    await page.getByRole('button', { name: /^Keep the test/ }).tap();
    await expect(page.getByRole('heading', { name: 'Barley', level: 1 })).toBeVisible();
    const days = page.getByRole('region', { name: 'Before and after schooling' });
    await expect(days.getByRole('img')).toHaveCount(3);
    await page.goto(`${demoYard.url}/yard`);
    await page
      .getByRole('link', { name: /^Quill/ })
      .first()
      .tap();
    await expect(page.getByRole('region', { name: 'Stride tests', exact: true })).toContainText(
      /Canter in the lane, .*after schooling/,
    );
    await phone.close();
  },
);
