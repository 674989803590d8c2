import type { Page } from '@playwright/test';
import { finger } from './support/finger';
import { choose, expect, test } from './support/fixtures';
import { cleanPass, key, openDay, closeSheet } from './support/pad';
import type { RoanServer } from './support/roanServer';

const now = () => new Date(Date.now() - new Date().getTimezoneOffset() * 60_000).toISOString().slice(0, 16);

/** Sets a goal that is a stage of an exercise for a pair, from its own page. */
async function setGoal(page: Page, yard: RoanServer, pair: string, words: string, exercise: string, stage: string) {
  await page.goto(`${yard.url}/review`);
  await page.getByRole('link', { name: new RegExp(`^${pair} with`) }).click();
  await key(page, 'Set a goal').click();
  await page.getByLabel('What you work towards').fill(words);
  await choose(page, 'It is reached when', 'A stage of an exercise is earned');
  // Nothing is kept before it says which.
  await key(page, 'Save the goal').click();
  await expect(page.getByText('The shelf has no such exercise.')).toBeVisible();
  await choose(page, 'Exercise', exercise);
  await choose(page, 'Stage', stage);
  await key(page, 'Save the goal').click();
  await expect(goalCard(page, words)).toBeVisible();
}

const goalCard = (page: Page, words: string) =>
  page.getByRole('region', { name: 'Goals' }).getByRole('listitem').filter({ hasText: words });

/** Begins a lesson now, at its last stage. */
async function beginAtLastStage(page: Page, lessonUrl: string) {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${lessonUrl}/run`);
  const today = key(page, 'Ride it today instead');
  const begin = key(page, 'Begin the lesson');
  await expect(today.or(begin)).toBeVisible();
  if (await today.isVisible()) await today.click();
  await begin.click();
  await openDay(page, 'Stage');
  await key(page, /^2\./).click();
  await closeSheet(page);
}

test(
  'a goal is suggested for, its lesson taken and taught, the goal reached, and the suggestion moves on',
  { tag: '@full' },
  async ({ seasonYard, strictPage: page }) => {
    await setGoal(page, seasonYard, 'Thimble', 'An even eight', 'A figure of eight', '1: In walk');
    await expect(goalCard(page, 'An even eight')).toContainText('A figure of eight was not ridden yet.');

    await page.getByRole('link', { name: 'What next for this pair' }).click();
    await page.getByLabel('Day and time').fill(now());
    const card = page.getByRole('article', { name: 'A figure of eight' });
    await expect(card).toContainText('It serves the goal “An even eight”', { timeout: 20_000 });
    await expect(card.locator('svg')).toBeVisible();
    await expect(card.getByRole('listitem').first()).toContainText('In walk');
    await card.getByText('The numbers behind it').click();
    await expect(card.getByText(/of 3$/)).toBeVisible();

    // Refused, it is gone and remembered; brought back, it is there again.
    await card.getByRole('button', { name: 'Not this' }).click();
    await expect(page.getByText(/1 refused/)).toBeVisible();
    await expect(card).toHaveCount(0);
    await page.reload();
    await page.getByLabel('Day and time').fill(now());
    await expect(page.getByRole('article').first()).toBeVisible({ timeout: 20_000 });
    await expect(card).toHaveCount(0);
    await page.getByText(/1 refused/).click();
    await key(page, 'Restore').click();
    await expect(card).toBeVisible({ timeout: 20_000 });

    await card.getByRole('button', { name: 'Make the lesson' }).click();
    await page.waitForURL(/\/ride\/lessons\/[0-9a-f-]+$/);
    const lessonUrl = page.url();
    await expect(page.getByRole('region', { name: 'Stages' })).toContainText(/in walk/i);
    await beginAtLastStage(page, lessonUrl);
    for (const rein of ['left rein', 'right rein', 'left rein', 'right rein'] as const) await cleanPass(page, rein);
    await expect(page.getByText(/kept|saved/i).first()).toBeVisible();

    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(`${seasonYard.url}/review`);
    await page.getByRole('link', { name: /^Thimble with/ }).click();
    const goal = goalCard(page, 'An even eight');
    await expect(goal).toContainText('as good as reached');
    await goal.getByRole('button', { name: 'It is reached' }).click();
    await expect(goal).toContainText('reached on');
    await page.getByRole('link', { name: 'What next for this pair' }).click();
    await expect(page.getByRole('article').first()).toBeVisible({ timeout: 20_000 });
    await expect(page.getByText('It serves the goal')).toHaveCount(0);
  },
);

test(
  'the weeks to a goal are planned, wait where a stage was not earned, and are moved in the season',
  { tag: '@full' },
  async ({ seasonYard, strictPage: page }) => {
    await setGoal(page, seasonYard, 'Thimble', 'Serpentines', 'A serpentine', '2: In trot');
    const goal = goalCard(page, 'Serpentines');
    await goal.getByRole('button', { name: 'Plan the weeks to it' }).click();
    await page.getByLabel('The first lesson').fill(now());
    await key(page, 'Plan the weeks').click();
    await page.waitForURL(/\/ride\/season$/);
    const coming = page.getByRole('region', { name: 'Lessons to come' });
    const own = coming.getByRole('listitem').filter({ hasText: 'Thimble' });
    await expect(own).toHaveCount(2);
    await expect(
      page.getByRole('img', { name: /^Thimble with Neve Arkwell: \d+ days ridden, 2 planned/ }),
    ).toBeVisible();

    // Two weeks, and no stage of them ridden: they are as they should be.
    await expect(page.getByRole('region', { name: 'Series that wait' })).toHaveCount(0);
    const season = page.url();
    await own.first().getByRole('link').click();
    await page.waitForURL(/\/ride\/lessons\/[0-9a-f-]+$/);
    await beginAtLastStage(page, page.url());
    // One pass on one rein earns nothing.
    await cleanPass(page, 'left rein');
    await expect(page.getByText(/kept|saved/i).first()).toBeVisible();
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(season);
    const waits = page.getByRole('region', { name: 'Series that wait' });
    await expect(waits).toContainText(
      '“In walk” was not earned yet: it is asked again, and the rest comes a week later',
    );
    await waits.getByRole('button', { name: 'Plan it so' }).click();
    await expect(waits).toHaveCount(0);
    await expect(own).toHaveCount(2);

    // A lesson is moved by its button, dragged by hand, and put back.
    const demo = coming.getByRole('listitem').filter({ hasText: 'The bend, built up' });
    const before = await demo.innerText();
    await demo.getByRole('button', { name: /a week later/ }).click();
    await expect(page.getByText(/“The bend, built up” is on \w+day \d+ \w+ now/)).toBeVisible();
    await expect(demo).not.toHaveText(before);
    const mark = page.getByRole('button', { name: 'Move “The bend, built up”' }).first();
    await mark.scrollIntoViewIfNeeded();
    await expect(page.getByRole('button', { name: /^Back to/ })).toBeEnabled();
    const box = (await mark.boundingBox())!;
    await page.mouse.move(box.x + 4, box.y + 20);
    await page.mouse.down();
    await page.mouse.move(box.x + 4 + 2 * DAY_PX, box.y + 20, { steps: 8 });
    await expect(page.getByText(/“The bend, built up” to \w+day/)).toBeVisible();
    await page.mouse.up();
    await expect.poll(() => daysMoved(page)).toBe(2);
    await page.getByRole('button', { name: /^Back to/ }).click();
    await expect.poll(() => daysMoved(page)).toBe(-2);
    await mark.focus();
    await page.keyboard.press('Space');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Space');
    await expect(page.getByText(/“The bend, built up” is on/)).toBeVisible();
  },
);

/** How wide the season draws a day. */
const DAY_PX = 9;

/** How many days a lesson was moved by, as the season says it; null where it says nothing of it. */
async function daysMoved(page: Page): Promise<number | null> {
  const said = await page.getByText(/” is on \w+day \d+ \w+ now/).allInnerTexts();
  const days = /is on (\w+day \d+ \w+) now\.\s+Back to (\w+day \d+ \w+)/.exec(said.join(' '));
  if (!days) return null;
  // The year is not said: a day of January lies after one of December.
  const [to, from] = days.slice(1).map(day => Date.parse(`${day.replace(/^\w+ /, '')} 2026 UTC`)) as [number, number];
  const moved = Math.round((to - from) / (24 * 3600_000));
  return Math.abs(moved) > 180 ? moved - Math.sign(moved) * 365 : moved;
}

test(
  'on a phone a lesson goes as many days as the finger does, forth and back',
  { tag: '@full' },
  async ({ seasonYard, browser }) => {
    const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
    const page = await phone.newPage();
    await page.goto(`${seasonYard.url}/ride/season`);
    const { drag, lift } = await finger(page);
    const mark = page.getByRole('button', { name: 'Move “The bend, built up”' }).first();
    for (const days of [3, 2, -4]) {
      await mark.scrollIntoViewIfNeeded();
      await expect(page.getByRole('region', { name: 'The season' })).toHaveAttribute('aria-busy', 'false');
      // What a finger does before the page is alive is nothing.
      await expect(async () => {
        await lift();
        const box = (await mark.boundingBox())!;
        const [x, y] = [box.x + 4, box.y + 20];
        await drag({ x, y }, { x: x + days * DAY_PX, y });
        await expect(page.getByText(/“The bend, built up” to \w+day/)).toBeVisible({ timeout: 2000 });
      }).toPass();
      await lift();
      await expect.poll(() => daysMoved(page)).toBe(days);
    }
    await phone.close();
  },
);
