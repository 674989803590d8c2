import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { choose, expect, test } from './support/fixtures';
import { recordedFilm } from './support/film';

const said = (page: Page) => page.getByRole('region', { name: 'What the record says' });
const card = (page: Page, name: string) => page.getByRole('region', { name });

test(
  'the season of a pair: sentences that say what they rest on, pictures with numbers and CSV, a stride on offer',
  { tag: '@full' },
  async ({ seasonYard, strictPage: page }) => {
    await page.goto(`${seasonYard.url}/review`);
    // The yard in three sentences, each with its picture and what can be done about it.
    const story = page.getByRole('region', { name: 'The yard' }).getByRole('article');
    await expect(story).toHaveCount(3);
    for (const [at, words] of [/Quill’s .* has grown/, /Quill .* on the right rein/, /More goes wrong/].entries()) {
      await expect(story.nth(at)).toContainText(words);
      await expect(story.nth(at).locator('svg').first()).toBeVisible();
      await expect(story.nth(at).getByRole('link').first()).toBeVisible();
    }
    await page.getByRole('link', { name: /^Quill with/ }).click();
    const strip = card(page, 'The season, lesson by lesson').getByRole('list', { name: /^Lessons/ });
    await expect(strip.getByRole('listitem').first()).toContainText(/\d+ of \d+ clean/);
    await strip.getByRole('link').first().click();
    await expect(page).toHaveURL(/\/record$/);
    await page.goBack();
    // What was planted in the season: her canter grows from 3.42 to 3.62 m.
    const canter = card(page, 'Canter between fences');
    const grown = canter.getByText(/canter stride between fences has grown over the season by about \d+ cm/);
    await expect(grown).toBeVisible();
    await grown.click();
    await expect(canter).toContainText(/A line through \d months, weighted by how sure each is/);
    await expect(canter.getByRole('img')).toBeVisible();
    await canter.getByText('Numbers and files').click();
    await expect(canter.getByRole('row').last()).toContainText('rein');
    const download = page.waitForEvent('download');
    await canter.getByRole('button', { name: 'As CSV' }).click();
    const csv = readFileSync((await (await download).path())!, 'utf8')
      .trim()
      .split(/\r?\n/);
    expect(csv[0]).toBe('month,stride m,low m,high m,from');
    expect(csv.length).toBe(await canter.getByRole('row').count());

    await canter.getByRole('button', { name: 'Give it to the profile' }).click();
    await expect(canter.getByRole('button', { name: 'Take it out of the profile again' })).toBeVisible();
    await expect(canter.getByText(/canter stride between fences looks shorter than the profile/)).toHaveCount(0);
    await canter.getByRole('button', { name: 'Take it out of the profile again' }).click();
    await expect(canter.getByRole('button', { name: 'Give it to the profile' })).toBeVisible();
    for (const name of ['Left and right', 'Strides ridden, leg by leg', 'How good the passes were', 'Work, day by day'])
      await expect(card(page, name).getByRole('img')).toBeVisible();
  },
);

test('the sand names the place that was planted, a layout is compared, and the group is looked at', async ({
  seasonYard,
  strictPage: page,
}) => {
  await page.goto(`${seasonYard.url}/review`);
  await page.getByRole('link', { name: /^Field arena/ }).click();
  const bad = said(page).getByText(
    /More goes wrong 9 m from the right wall, 38 m up from the A end than elsewhere, whoever rides/,
  );
  await expect(bad).toBeVisible();
  await bad.click();
  await expect(said(page)).toContainText(/\d+ times in \d+ rides over it, where [\d.]+ would be usual/);
  await page.getByRole('link', { name: 'Lower school' }).click();
  await expect(page.getByRole('heading', { name: /Lower school/ })).toBeVisible();
  // By the wall, where nothing stands: a soft place that was only ridden over on the flat.
  await expect(said(page)).toContainText(/More goes wrong 2 m from the left wall, 2[67] m up from the A end/);

  await page.getByRole('link', { name: 'All of the review' }).click();
  await page.getByRole('link', { name: /^Two fences, four or five/ }).click();
  const next = card(page, 'Which distance suits which horse, and what to set next');
  // What was ridden is drawn pair by pair: 19.40 m are five of a cob's strides, and four of a big horse's.
  await expect(next.locator('svg').first()).toBeVisible();
  const ridden = (horse: string) =>
    next
      .getByRole('row', { name: new RegExp(horse) })
      .first()
      .getByRole('img')
      .first();
  await expect(ridden('Barley')).toHaveAccessibleName(/5 strides \d\d times/);
  await expect(ridden('Osprey')).toHaveAccessibleName(/4 strides \d\d times/);
  // The same counts stand beside the leg in its plan.
  await page.getByRole('link', { name: 'To the plan' }).click();
  await page.getByRole('button', { name: /read fence 1 to fence 2$/ }).click();
  await expect(card(page, 'Ridden here').getByRole('img')).toHaveAccessibleName(/Barley: 5 strides \d\d times/);
  await page.goBack();
  await page.getByRole('link', { name: 'All of the review' }).click();
  await page.getByRole('link', { name: 'The group' }).click();
  const sharing = card(page, 'Who could share a spacing');
  await expect(sharing).toContainText('Canter between fences');
  await expect(sharing.getByRole('img')).toHaveAccessibleName(/Quill/);
  await expect(card(page, 'Who is ready for the next stage').getByRole('listitem').first()).toBeVisible();
  await expect(card(page, 'Of what, how much, in four weeks').getByRole('img')).toBeVisible();
});

test(
  'everything goes out as one archive and into an empty Roan; a damaged one is refused',
  { tag: '@full' },
  async ({ demoYard, emptyYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/yard`);
    await page.getByRole('link', { name: 'All data' }).click();
    await expect(page.getByRole('button', { name: 'Restore an archive' })).toBeDisabled();
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Keep an archive' }).click();
    const archive = readFileSync((await (await download).path())!);

    await page.goto(`${emptyYard.url}/yard/archive`);
    const file = page.locator('input[type=file]');
    const zip = (buffer: Buffer) => ({ name: 'roan-archive.zip', mimeType: 'application/zip', buffer });
    await file.setInputFiles(zip(archive.subarray(0, archive.length - 1000)));
    await expect(page.getByRole('alert').filter({ hasText: 'Nothing was changed' })).toBeVisible();
    await file.setInputFiles(zip(archive));
    await expect(page.getByText('“Teasel Bank” is restored, row by row.')).toBeVisible();
    await page.goto(`${emptyYard.url}/review`);
    await expect(page.getByRole('link', { name: /^Quill with Ode Quillan.*16 passes/ })).toBeVisible();
  },
);

test(
  'a film beside a pass: played picture by picture, strides counted by tapping, given to the pass, removed',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/review`);
    await page.getByRole('link', { name: /^Quill with/ }).click();
    await page.getByRole('link', { name: 'Films' }).click();
    const first = card(page, 'Passes').getByRole('listitem').first();
    await first
      .locator('input[type=file]')
      .setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no') });
    await expect(first.getByRole('alert')).toHaveText('This is no film: choose a video file.');
    await first.locator('input[type=file]').setInputFiles({
      ...{ name: 'left-rein.webm', mimeType: 'video/webm' },
      buffer: await recordedFilm(page),
    });
    await expect(page.getByRole('heading', { name: 'left-rein.webm' })).toBeVisible();
    await expect
      .poll(() => page.locator('video').evaluate((video: HTMLVideoElement) => video.readyState))
      .toBeGreaterThan(0);
    await page.getByRole('button', { name: 'One picture on (.)' }).click();
    await expect
      .poll(() => page.locator('video').evaluate((video: HTMLVideoElement) => video.currentTime))
      .toBeCloseTo(1 / 30, 2);
    for (let stride = 0; stride < 3; stride += 1) await page.getByRole('button', { name: 'a stride (s)' }).click();
    await page.getByLabel('A word at this time').fill('looks at the cone');
    await page.getByRole('button', { name: 'Note it' }).click();
    await expect(page.getByRole('heading', { name: '3 strides counted' })).toBeVisible();
    await page
      .getByRole('listitem')
      .filter({ hasText: 'stride' })
      .first()
      .getByRole('button', { name: 'Take back' })
      .click();
    await expect(page.getByRole('heading', { name: '2 strides counted' })).toBeVisible();
    await choose(page, 'Counted from', 'pole 2 to pole 3');
    await page.getByRole('button', { name: 'Give it to the pass' }).click();
    await expect(page.getByText('The count is in the record of the pass now.')).toBeVisible();

    await page.reload();
    await expect(page.getByRole('heading', { name: '2 strides counted' })).toBeVisible();
    await page.getByRole('button', { name: 'Remove the film from the data folder' }).click();
    await expect(page.getByText('Removed; what was seen in it is kept.')).toBeVisible();
    await page.getByRole('link', { name: 'All films of the pair' }).click();
    await expect(card(page, 'Passes').getByRole('listitem').first()).toContainText('2 from pole 2');
  },
);
