import type { Page } from '@playwright/test';
import { choose, expect, test } from './support/fixtures';
import { cleanPass, closeSheet, key, onSand, openDay, openMore, riddenHere } from './support/pad';

async function openLesson(page: Page, yardUrl: string): Promise<string> {
  await page.goto(`${yardUrl}/ride`);
  await page.getByRole('link', { name: 'The bend, built up', exact: true }).click();
  await page.waitForURL(/\/ride\/lessons\/[0-9a-f-]+$/);
  return page.url();
}

test(
  'the yard’s own rule and words, a policy changed on the day, and only the line that failed',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/yard`);
    await page.getByRole('link', { name: 'How we teach' }).click();
    await page.getByLabel('Clean passes, one after the other, on a rein').fill('1');
    const words = page.getByRole('combobox', { name: 'What went wrong' });
    await words.fill('late to the leg');
    await words.press('Enter');
    await page.getByLabel('Jumping days in seven').fill('9');
    await key(page, 'Keep these rules').click();
    await expect(page.getByText('At most 7.')).toBeVisible();
    await page.getByLabel('Jumping days in seven').fill('2');
    await key(page, 'Keep these rules').click();
    await expect(page.getByText('Kept. They hold from the next lesson')).toBeVisible();

    const lesson = await openLesson(page, demoYard.url);
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(`${lesson}/run`);
    await key(page, 'Ride it today instead').click();
    await key(page, 'Begin the lesson').click();
    // Pairs ride in turn: whoever is next stands next to who rides.
    const pairs = page.getByRole('region', { name: 'Pairs' });
    for (const horse of ['Quill', 'Larkspur', 'Barley']) {
      await expect(pairs.getByRole('button').nth(1)).toContainText(horse);
      await pairs.getByRole('button').nth(1).click();
      await expect(pairs.getByRole('button', { name: new RegExp(`^${horse}`) })).toHaveAttribute(
        'aria-pressed',
        'true',
      );
    }
    await openDay(page, 'Stage');
    await key(page, /^2\./).click();
    await key(page, 'same question again').click();
    await expect(key(page, 'same question again')).toHaveAttribute('aria-pressed', 'true');
    await key(page, 'first clear improvement').click();
    await expect(key(page, 'first clear improvement')).toHaveAttribute('aria-pressed', 'true');
    await closeSheet(page);
    await expect(page.getByRole('heading', { name: /2\./ })).toBeVisible();

    const now = page.getByRole('status', { name: 'What now' });
    await onSand(page, 'cross rail 2').click();
    await key(page, /^down/).click();
    await key(page, /^Pass done/).click();
    await expect(now).toContainText('The same question again: try 2 of 3.');
    await now.getByRole('button', { name: /^Only .* 1 to .* 2$/ }).click();
    // The rest of the track is out of reach in such a pass.
    await expect(page.getByRole('group', { name: 'Where on the sand' }).getByRole('button')).toHaveCount(2);
    await key(page, /^Pass done/).click();
    expect((await riddenHere(page))[1]).toMatch(/only from .* 1 to .* 2/);
    await expect(now).toContainText('That was clearly better: a good place to stop.');

    const deep = async () => {
      await onSand(page, 'cross rail 2').click();
      await openMore(page);
      await key(page, 'deep take-off').click();
    };
    for (let pass = 0; pass < 2; pass += 1) {
      await deep();
      await closeSheet(page);
      await key(page, /^Pass done/).click();
    }
    await deep();
    await key(page, 'late to the leg').click();
    await closeSheet(page);
    await key(page, /^Pass done/).click();
    await expect(now).toContainText(/deep take-off at .* 2, 3 times/);
    await now.getByRole('button', { name: 'Set +10 cm' }).click();
    // From the next pass on it is another setting, in the plan’s own words; what was ridden before says nothing of it.
    await expect(page.getByText(/was changed just now/)).toBeVisible();
    await page.locator('[data-whole-screen]').getByRole('button', { name: 'Close', exact: true }).click();
    await expect(now).not.toContainText('deep take-off');
    await cleanPass(page, 'right rein');
    await cleanPass(page, 'left rein');
    await expect(now).toContainText('The last pass was clean on both reins.');
  },
);

test('the stand-in rides a lesson; its track and footfalls go out, and are read into a pass again', async ({
  demoYard,
  strictPage: page,
}) => {
  const lesson = await openLesson(page, demoYard.url);
  await page.getByRole('link', { name: 'Recordings' }).click();
  await choose(page, 'What was ridden', 'All cross-rails');
  await page.getByText('No recording at hand?').click();
  await key(page, 'Let it ride').click();
  await expect(page.getByText('6 passes are in the record of this lesson.')).toBeVisible();

  const files = await Promise.all(
    [/Left rein: track/, 'Footfalls (CSV)'].map(async name => {
      const href = await page.getByRole('link', { name }).first().getAttribute('href');
      return Buffer.from(await (await page.request.get(`${demoYard.url}${href}`)).body());
    }),
  );
  const [track, feet] = await page.locator('input[type=file]').all();
  await track!.setInputFiles({ name: 'ride.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from('<gpx><trk>') });
  await key(page, 'Look at it').click();
  await expect(page.getByText('This is no GPX file: its XML is not whole.')).toBeVisible();
  await track!.setInputFiles({ name: 'ride.gpx', mimeType: 'application/gpx+xml', buffer: files[0]! });
  await feet!.setInputFiles({ name: 'ride.csv', mimeType: 'text/csv', buffer: files[1]! });
  await key(page, 'Look at it').click();
  const found = page.getByRole('group', { name: 'What was found' });
  await expect(found).toContainText('Ridden over, in order: fence 1, fence 2, fence 3, fence 4, fence 1.');
  await expect(found.getByRole('listitem')).toHaveCount(4);
  await key(page, 'Keep it as a pass').click();
  await expect(page.getByText('It is a pass of this lesson now.')).toBeVisible();

  await page.goto(`${lesson}/run`);
  await key(page, 'Begin the lesson').click();
  const pairs = page.getByRole('region', { name: 'Pairs' }).getByRole('button');
  await expect(page.getByRole('heading', { name: /3\./ })).toBeVisible();
  await expect(pairs.first()).toContainText('4 left, 3 right');
  expect((await riddenHere(page)).join()).toContain('track recorded');
});
