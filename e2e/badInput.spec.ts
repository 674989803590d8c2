import { expect, test } from './support/fixtures';
import { openMore } from './support/pad';

test('every field of the yard says what is wrong, and keeps what was typed', async ({ demoYard, strictPage: page }) => {
  await page.goto(`${demoYard.url}/yard`);
  await page.getByRole('button', { name: 'Add a horse' }).click();
  const dialog = page.getByRole('dialog');
  await page.getByLabel('Height at the withers').fill('15.7hh');
  await page.getByLabel('Trot step over poles').fill('4 furlongs');
  await page.getByLabel('Walk step over poles').fill('9 m');
  await dialog.getByRole('button', { name: 'Add the horse' }).click();
  await expect(dialog.getByText('Give the horse a name.')).toBeVisible();
  await expect(dialog.getByText('after the point come inches, 0 to 3')).toBeVisible();
  await expect(dialog.getByText('“furlongs” is not a unit Roan knows')).toBeVisible();
  await expect(dialog.getByText('Walk step over poles is 0.40 m to 1.40 m.')).toBeVisible();
  await expect(page.getByLabel('Height at the withers')).toHaveValue('15.7hh');
  await dialog.getByRole('button', { name: 'Cancel' }).click();

  await page.getByRole('button', { name: 'Add an arena' }).click();
  await page.getByLabel('Short side').fill('2');
  await page.getByLabel('Long side').fill('four hundred');
  await dialog.getByRole('button', { name: 'Add the arena' }).click();
  await expect(dialog.getByText('Give the arena a name.')).toBeVisible();
  await expect(dialog.getByText('The short side is 5.00 m to 200.00 m.')).toBeVisible();
  await expect(dialog.getByText('a number is missing')).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();

  await page.getByRole('button', { name: 'Add a person' }).click();
  await page.getByLabel('Own step').fill('3 m');
  await dialog.getByRole('button', { name: 'Add the person' }).click();
  await expect(dialog.getByText('A step is 0.30 m to 1.50 m.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();

  await page.getByRole('button', { name: 'Add a pair' }).click();
  await dialog.getByRole('button', { name: 'Add the pair' }).click();
  await expect(dialog.getByText('Choose a rider.')).toBeVisible();
  await expect(dialog.getByText('Choose a horse.')).toBeVisible();
});

test(
  'letters on sand of another size are refused by name',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/yard`);
    await page.getByRole('button', { name: 'Change Field arena' }).click();
    await page.getByRole('combobox', { name: 'Letters' }).click();
    await page.getByRole('option', { name: /^20 × 60/ }).click();
    await page.getByRole('button', { name: 'Save the arena' }).click();
    await expect(page.getByText('These letters belong to an arena of 20 × 60 m')).toBeVisible();
  },
);

test('a horse saved untouched does not drift by rounding', { tag: '@full' }, async ({ demoYard, strictPage: page }) => {
  await page.goto(`${demoYard.url}/yard`);
  await page.getByText('ft in').click();
  const row = page.getByRole('row', { name: /Quill/ });
  // 1.37 m is 53.94 in: to the half inch, 4 ft 6 in.
  await expect(row).toContainText('4 ft 6 in');
  await page.getByRole('button', { name: 'Change Quill' }).click();
  await page.getByRole('button', { name: 'Save the horse' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.getByRole('banner').getByText('m', { exact: true }).click();
  await expect(row).toContainText('160 cm');
  await expect(row).toContainText('1.37 m');
});

test(
  'every field of the plan says what is wrong and changes nothing',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/plan`);
    await page.getByRole('button', { name: 'New layout' }).click();
    await page.getByRole('button', { name: 'Make the layout' }).click();
    await expect(page.getByText('Give the layout a name.')).toBeVisible();
    await page.getByRole('button', { name: 'Cancel' }).click();
    await page.getByRole('link', { name: /Three canter poles/ }).click();
    await page.locator('[data-item$=" p1"]').click();

    const refuse = async (label: string, typed: string, sentence: string) => {
      const field = page.getByLabel(label, { exact: true });
      await field.fill(typed);
      await field.press('Enter');
      await expect(page.getByText(sentence)).toBeVisible();
      await expect(field).toHaveValue(typed);
      await field.press('Escape');
    };
    await refuse('Poles', 'twelve', 'Type a number.');
    await refuse('Poles', '13', 'Poles is a whole number from 1 to 12.');
    await refuse('Pole length', '20 m', 'Pole length is 1.00 m to 5.00 m.');
    await refuse('Spacing, pole to pole', '40 m', 'Spacing, pole to pole is 0.40 m to 5.00 m, or nothing');
    await refuse('From near short side', '99', 'From near short side is −5.00 m to 65.00 m.');
    await refuse('Ridden towards, degrees', 'north', 'Type a direction in degrees, such as 90.');
    await refuse('Height of the blocks', '2 m', 'Height of the blocks is 0.02 m to 0.50 m.');
    await refuse('Name of the layout', '', 'Give the layout a name.');
    await page.getByRole('button', { name: 'Break apart', exact: true }).click();
    await page.getByRole('button', { name: /^From pole 1 to pole 2/ }).click();
    await refuse('Asked strides', 'a few', 'Type how many strides: a whole number from 0 to 99, or nothing.');
    await page.locator('[data-item$=" p2"]').click();
    await refuse('Called', 'a'.repeat(41), 'A name has at most 40 letters.');
    await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  },
);

test(
  'addresses that lead nowhere and requests that make no sense get a sentence',
  { tag: '@full' },
  async ({ demoYard, page, request }) => {
    const nowhere = ['/plan/none', '/set/none', '/ride/none/none', '/review/none', '/nowhere'];
    const yard = [
      '/yard/horses/none',
      '/yard/horses/none/test',
      '/yard/horses/none/card',
      '/yard/people/none',
      '/yard/arenas/none',
    ];
    for (const path of [...nowhere, ...yard]) {
      await page.goto(demoYard.url + path);
      await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();
    }
    const notJson = await request.post(`${demoYard.url}/api/record`, {
      data: 'hello',
      headers: { 'content-type': 'text/plain' },
    });
    expect(notJson.status()).toBe(415);
    const broken = await request.post(`${demoYard.url}/api/record`, {
      data: Buffer.from('{"events":['),
      headers: { 'content-type': 'application/json' },
    });
    expect(broken.status()).toBe(400);
    expect(await broken.json()).toEqual({ problem: 'The request is not JSON.' });
    const wrong = await request.put(`${demoYard.url}/api/layouts/none`, {
      data: { baseRevision: 0, name: 'x', plan: {} },
    });
    expect(wrong.status()).toBe(400);
    expect(((await wrong.json()) as { problem: string }).problem).toContain('baseRevision');
    const refusals = [
      { path: '/api/stand-in?horseId=none&seed=1', status: 400, words: 'horseId' },
      { path: '/api/stand-in?horseId=none&seed=soon', status: 400, words: 'seed' },
      { path: '/api/stand-in/footfalls.csv?horseId=none&seed=1&laneM=0', status: 400, words: 'laneM' },
      { path: '/api/yard/secrets.csv', status: 404, words: 'secrets' },
      { path: '/api/horses/none/picture', status: 404, words: 'no picture' },
    ];
    for (const { path, status, words } of refusals) {
      const answer = await request.get(demoYard.url + path);
      expect(answer.status()).toBe(status);
      expect(((await answer.json()) as { problem: string }).problem).toContain(words);
    }
    const noPicture = await request.put(`${demoYard.url}/api/horses/none/picture`, {
      data: Buffer.from('<svg/>'),
      headers: { 'content-type': 'image/svg+xml' },
    });
    expect(noPicture.status()).toBe(415);
    const foreign = await request.post(`${demoYard.url}/api/record`, {
      data: {},
      headers: { 'sec-fetch-site': 'cross-site' },
    });
    expect(foreign.status()).toBe(403);
  },
);

test(
  'a footfall that is no share of the gap is refused, and a note that is too long',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/ride`);
    await page.getByRole('button', { name: 'Ride' }).click();
    await expect(page.getByText('Choose a pair.')).toBeVisible();
    await page.getByRole('radio', { name: /^Quill with/ }).click();
    await page.getByRole('radio', { name: /^Five trot poles/ }).click();
    await page.getByRole('button', { name: 'Ride' }).click();
    await openMore(page);
    await page.getByLabel('Exact share').fill('1.4');
    await page.getByLabel('Exact share').press('Enter');
    await expect(page.getByText('Type a share of the gap from 0 to 1')).toBeVisible();
    await page.getByLabel('A word of note').fill('a'.repeat(501));
    await expect(page.getByText('A note has at most 500 letters; this has 501.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Note it' })).toBeDisabled();
  },
);
