import type { Page } from '@playwright/test';
import { choose, expect, test } from './support/fixtures';

const key = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });

async function openLesson(page: Page, yardUrl: string): Promise<string> {
  await page.goto(`${yardUrl}/ride`);
  await page.getByRole('link', { name: 'The bend, built up', exact: true }).click();
  await page.waitForURL(/\/ride\/lessons\/[0-9a-f-]+$/);
  return page.url();
}

test('the yard’s own rule and words, a policy changed on the day, and only the line that failed', async ({
  demoYard,
  strictPage: page,
}) => {
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
  // Pairs ride in turn: one key takes the next one.
  const pairs = page.getByRole('region', { name: 'Pairs' });
  for (const horse of ['Quill', 'Larkspur', 'Barley']) {
    await pairs.getByRole('button', { name: `Next: ${horse}` }).click();
    await expect(pairs.getByRole('button', { name: new RegExp(`^${horse}`) })).toHaveAttribute('aria-pressed', 'true');
  }
  await key(page, 'The next stage').click();
  await expect(page.getByRole('heading', { name: /^2\./ })).toBeVisible();
  // Another stage has its own of each part, and nothing of the one before.
  await expect(page.getByText('Another question')).toHaveCount(1);
  await page.getByText('This stage today').click();
  await key(page, 'same question again').click();
  await expect(key(page, 'same question again')).toHaveAttribute('aria-pressed', 'true');
  await key(page, 'first clear improvement').click();
  await expect(key(page, 'first clear improvement')).toHaveAttribute('aria-pressed', 'true');

  const second = page
    .getByRole('group', { name: 'What is ridden over' })
    .getByRole('button', { name: '2', exact: true });
  await second.click();
  await key(page, 'down').click();
  await key(page, /^Pass done/).click();
  await expect(page.getByText('The same question again: try 2 of 3.')).toBeVisible();
  await key(page, /^Only .* 1 to .* 2$/).click();
  // The rest of the track is out of reach in such a pass.
  await expect(
    page.getByRole('group', { name: 'What is ridden over' }).getByRole('button', { name: '4', exact: true }),
  ).toHaveCount(0);
  await key(page, 'clear').click();
  await key(page, /^Pass done/).click();
  const ridden = page.getByRole('region', { name: 'Ridden at this stage' }).getByRole('listitem');
  await expect(ridden.nth(1)).toContainText(/only from .* 1 to .* 2/);
  await expect(page.getByText('That was clearly better: a good place to stop.')).toBeVisible();

  for (let pass = 0; pass < 2; pass += 1) {
    await second.click();
    await key(page, 'deep take-off').click();
    await key(page, /^Pass done/).click();
  }
  await second.click();
  await key(page, 'deep take-off').click();
  await page.getByText('More to mark').click();
  await key(page, 'late to the leg').click();
  await key(page, /^Pass done/).click();
  await expect(page.getByText(/^deep take-off at .* 2, 3 times\.$/)).toBeVisible();
  await key(page, /^Set .* 1 to .* 2 \+10 cm$/).click();
  // From the next pass on it is another setting, in the plan’s own words.
  await second.click();
  await expect(page.getByRole('group', { name: /^From .* 1 to .* 2 for the next pass$/ })).toContainText('stands at');
  await key(page, /right rein/).click();
  await key(page, /^Clean pass/).click();
  await key(page, /left rein/).click();
  await key(page, /^Clean pass/).click();
  await expect(page.getByText('The last pass was clean on both reins.')).toBeVisible();
});

test('the stand-in rides a lesson; its track and footfalls go out, and are read into a pass again', async ({
  demoYard,
  strictPage: page,
}) => {
  const lesson = await openLesson(page, demoYard.url);
  await page.getByRole('link', { name: 'Recordings' }).click();
  await choose(page, 'What was ridden', 'All cross-rails');
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
  await expect(page.getByRole('heading', { name: /^3\./ })).toBeVisible();
  await expect(pairs.first()).toContainText('4 left, 3 right');
  await expect(page.getByRole('region', { name: 'Ridden at this stage' })).toContainText('track recorded');
});
