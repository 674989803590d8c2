import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { choose, expect, test } from './support/fixtures';
import { drawnAt, fromShelf, newLayout } from './support/sand';

test(
  'a new horse is tested, and the spacing of an open layout follows',
  { tag: '@full' },
  async ({ emptyYard, strictPage: page }) => {
    await page.goto(`${emptyYard.url}/yard`);
    await page.getByRole('button', { name: 'Add an arena' }).click();
    await page.getByLabel('Name').fill('Home school');
    await page.getByRole('dialog').getByRole('button', { name: 'Add the arena' }).click();
    await page.getByRole('button', { name: 'Add the first horse' }).click();
    await page.getByLabel('Name').fill('Pepper');
    await page.getByLabel('Height at the withers').fill('160 cm');
    await page.getByRole('dialog').getByRole('button', { name: 'Add the horse' }).click();

    // A layout stays open in another window: four trot poles, 1.37 m apart for a horse of 160 cm.
    const plan = await page.context().newPage();
    await newLayout(plan, emptyYard.url, 'Four for rhythm', 'Home school', ['Pepper']);
    await fromShelf(plan, 'A row of trot poles');
    const spacingM = async () => {
      const [first, second] = [plan.locator('[data-kind="pole"]').nth(0), plan.locator('[data-kind="pole"]').nth(1)];
      return (await drawnAt(second)).yM - (await drawnAt(first)).yM;
    };
    await expect.poll(spacingM).toBeCloseTo(1.37, 3);

    // A window behind another is drawn seldom.
    await page.bringToFront();
    // The test: 20 m, eight by the space bar, eight by taps, one void, then short and long typed.
    await page.getByRole('link', { name: 'Pepper' }).click();
    await expect(page.getByRole('heading', { name: 'No stride test yet' })).toBeVisible();
    await page.getByRole('link', { name: 'Test the stride' }).first().click();
    await page.getByText('20 m', { exact: true }).click();
    const pad = page.getByRole('button', { name: /: tap, or press the space bar/ });
    await page.getByRole('heading', { level: 1 }).click();
    for (let tap = 0; tap < 8; tap += 1) await page.keyboard.press('Space');
    await expect(pad).toContainText('8');
    await page.getByRole('button', { name: 'Keep this pass' }).click();
    for (let tap = 0; tap < 9; tap += 1) await pad.click();
    await page.getByRole('button', { name: 'One back' }).click();
    await page.getByRole('button', { name: 'Keep this pass' }).click();
    await page.getByRole('button', { name: 'Void: the gait broke' }).click();
    for (const [pace, count] of [
      ['Short', '11'],
      ['Long', '7'],
    ] as const) {
      await page.getByText(pace, { exact: true }).click();
      await page.getByLabel('Or type the count').fill(count);
      await page.getByLabel('Or type the count').press('Enter');
      await page.getByRole('button', { name: 'Keep this pass' }).click();
    }
    // A reload in the middle of it loses nothing.
    await page.reload();
    const said = page.getByRole('region', { name: 'What it comes to' });
    await expect(said).toContainText('Normal: 2.50 m, between');
    await expect(said).toContainText('from 2 passes, 1 void');
    // 2.50 m against twice 1.37 m.
    await expect(said).toContainText('Practice expects 2.74 m of its height and type: this is 9 % shorter.');
    await expect(said).toContainText('Adjustability: 4 strides between short and long');

    // The profile is shown first; the suggestion for poles is taken as well: 1.37 × 2.50 ÷ 2.74 is 1.25 m.
    await expect(page.getByRole('checkbox', { name: 'Trot in the lane: 2.74 m → 2.50 m' })).toBeChecked();
    await page.getByRole('checkbox', { name: 'Trot step over poles: 1.37 m → 1.25 m' }).check();
    await page.getByRole('button', { name: 'Keep the test and change the profile' }).click();
    await expect(page.getByRole('heading', { name: 'Pepper', level: 1 })).toBeVisible();
    await expect(
      page.getByRole('region', { name: 'Strides' }).getByRole('row', { name: /Trot in the lane/ }),
    ).toContainText('tested on');
    await expect(page.getByRole('img', { name: /Trot in the lane: 2.50 m on/ })).toBeVisible();
    // Coming back to the other window is enough. (A browser without a screen does not tell a window that it has the focus.)
    await plan.bringToFront();
    await plan.evaluate(() => window.dispatchEvent(new Event('focus')));
    await expect.poll(spacingM).toBeCloseTo(1.25, 2);
    await page.bringToFront();

    // Taken out of the profile, everything is as it was, and the test is still there.
    await page.getByRole('button', { name: 'Take it out of the profile' }).click();
    await expect(page.getByRole('button', { name: 'Take it out of the profile' })).toHaveCount(0);
    await expect(page.getByRole('region', { name: 'Stride tests', exact: true })).toContainText('Normal: 2.50 m');
    await plan.reload();
    await expect.poll(spacingM).toBeCloseTo(1.37, 3);
  },
);

test('walks over a taped length become the steps of the setting sheet', async ({ demoYard, strictPage: page }) => {
  await page.goto(`${demoYard.url}/yard`);
  await page.getByRole('link', { name: 'Bas Tamsin' }).click();
  await expect(page.getByText('Tape 20.00 m, walk it, and count.')).toBeVisible();
  const walk = async (steps: string) => {
    await page.getByLabel('Steps, to the half').fill(steps);
    await page.getByRole('button', { name: 'Keep this walk' }).click();
  };
  await walk('about twenty');
  await expect(page.getByText('Type the steps, to the half: 20, 20.5 or 20½.')).toBeVisible();
  await walk('25');
  await expect(page.getByText('0.80 m a step')).toBeVisible();
  await walk('25');
  await walk('30');
  await expect(page.getByRole('region', { name: 'What it means' })).toContainText('from 3 walks');
  await page.getByRole('button', { name: 'Take back the walk of 30 steps' }).click();
  await expect(page.getByRole('region', { name: 'What it means' })).toContainText('from 2 walks');
  await expect(page.getByText('Setting sheets speak in steps of 0.80 m, as walked.')).toBeVisible();

  await page.getByLabel('Any distance in these steps').fill('18.3');
  // 18.3 m is 23 steps less 10 cm.
  await expect(page.getByText('23 steps, back 10 cm')).toBeVisible();

  // The sheet of the five trot poles: the line is 5 m in, its poles 3 m long: 3.5 m is 4½ steps less 10 cm.
  await page.goto(`${demoYard.url}/set`);
  await page.getByRole('link', { name: /Five trot poles/ }).click();
  await page.getByRole('combobox', { name: 'Whose steps' }).selectOption('Steps of Bas Tamsin');
  // To what matters, with the exact measure a tap away.
  const first = page.locator('[data-step]').first();
  await first.getByRole('button', { name: 'Exactly' }).click();
  await expect(first).toContainText('4½ steps, back 10 cm');
});

test('a list with bad rows is refused row by row, and mended it is taken in whole', async ({
  demoYard,
  strictPage: page,
}, info) => {
  await page.goto(`${demoYard.url}/yard/files`);
  const file = info.outputPath('horses.csv');
  writeFileSync(file, 'name,height,type\nDamson,15.1 hh,cob\nRowan,9 m,cob\nSorrel,150,unicorn\n');
  await page.locator('input[type=file]').setInputFiles(file);
  const refused = page.getByRole('alert').filter({ hasText: 'Nothing was taken in' });
  await expect(refused).toContainText('Line 3, height: A horse stands 60 to 220 cm');
  await expect(refused).toContainText('Line 4, type:');
  await expect(page.getByRole('button', { name: 'Take it in' })).toBeDisabled();

  await page.getByLabel('Or paste it').fill('name,height,type\nDamson,15.1 hh,cob\nQuill,161 cm,all-round\n');
  await page.getByRole('button', { name: 'Look at it' }).click();
  await expect(page.getByText('This would be taken in: 1 added, 1 changed.')).toBeVisible();
  // Looking changes nothing.
  const yard = await page.context().newPage();
  await yard.goto(`${demoYard.url}/yard`);
  await expect(yard.getByText('Damson')).toHaveCount(0);
  await page.getByRole('button', { name: 'Take it in' }).click();
  // “This would be taken in” stands there until it is.
  await expect(page.getByText('Taken in: 1 added, 1 changed.', { exact: true })).toBeVisible();
  await yard.reload();
  await expect(yard.getByRole('row', { name: /Damson/ })).toContainText('155 cm');
  await expect(yard.getByRole('row', { name: /Quill/ })).toContainText('161 cm');

  // Out again, as a file of its own.
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Keep the yard’s horses as CSV' }).click();
  expect(path.basename((await download).suggestedFilename())).toBe('horses.csv');
});

test(
  'the stand-in drives a stride test from start to end',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/yard/stand-in`);
    await choose(page, 'Horse', 'Osprey');
    const answer = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Keep as CSV' }).click();
    const file = await (await answer).path();
    await page.getByRole('link', { name: 'Into a stride test' }).click();
    await page.getByText('20 m', { exact: true }).click();

    // By file: the big warmblood trots 3.09 m in the lane: six strides or seven in 20 m.
    await page.locator('input[type=file]').setInputFiles(file);
    const pad = page.getByRole('button', { name: /: tap, or press the space bar/ });
    await expect(pad).toContainText(/[67]/);
    await page.getByRole('button', { name: 'Keep this pass' }).click();

    // Live: each pace is played and kept.
    await choose(page, 'Stand-in plays at', '10 × life');
    for (const pace of ['Normal', 'Short', 'Long']) {
      await page.getByText(pace, { exact: true }).click();
      await page.getByRole('button', { name: 'Let the stand-in ride a pass' }).click();
      await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
      await expect(page.getByRole('button', { name: 'Let the stand-in ride a pass' })).toBeVisible({ timeout: 15_000 });
      await expect(pad.locator('strong')).not.toHaveText('0');
      await page.getByRole('button', { name: 'Keep this pass' }).click();
    }
    await expect(page.getByRole('region', { name: 'What it comes to' })).toContainText('from 2 passes');
    await page.getByRole('radiogroup', { name: 'Rhythm' }).getByText('4').click();
    await page.getByRole('button', { name: 'Keep the test and change the profile' }).click();
    await expect(page.getByRole('heading', { name: 'Osprey', level: 1 })).toBeVisible();
    await expect(page.getByText('Of 5: rhythm 4.')).toBeVisible();

    // A file that is none says what is wrong with it.
    await page.getByRole('link', { name: 'Test the stride' }).first().click();
    await expect(page.getByRole('heading', { name: 'Stride test: Osprey' })).toBeVisible();
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'bad.csv', mimeType: 'text/csv', buffer: Buffer.from('time_s,foot\n0.1,left\n') });
    await expect(page.getByRole('alert').filter({ hasText: 'bad.csv: Line 2' })).toBeVisible();
  },
);

test('archived and restored; kit, marks on the sand', async ({ demoYard, strictPage: page }) => {
  await page.goto(`${demoYard.url}/yard`);
  await page.getByRole('button', { name: 'Archive Osprey' }).click();
  await expect(page.getByRole('link', { name: 'Osprey' })).toHaveCount(0);
  await page.getByRole('switch', { name: 'Show what is archived' }).check();
  await page.getByRole('button', { name: 'Restore Osprey' }).click();
  await expect(page.getByRole('button', { name: 'Archive Osprey' })).toBeVisible();
  await page.getByLabel('Search the yard').fill('quil');
  await expect(page.getByRole('link', { name: 'Larkspur' })).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'Quill', exact: true })).toBeVisible();
  await page.getByLabel('Search the yard').fill('');

  await page.getByRole('button', { name: 'Add some kit' }).click();
  await choose(page, 'What', 'cones');
  await page.getByLabel('How many').fill('six');
  await page.getByRole('dialog').getByRole('button', { name: 'Add the kit' }).click();
  await expect(page.getByText('How many: a whole number from 0 to 9999.')).toBeVisible();
  await page.getByLabel('How many').fill('6');
  await page.getByLabel('Called').fill('small');
  await page.getByRole('dialog').getByRole('button', { name: 'Add the kit' }).click();
  await expect(page.getByText('6 cones, small')).toBeVisible();

  await page.getByRole('link', { name: 'Lower school' }).click();
  await page.getByRole('button', { name: 'Or put it at the far end, and type it right' }).click();
  await page.getByLabel('Radius').fill('3.5');
  await page.getByLabel('Radius').press('Enter');
  await page.getByLabel('A bad patch', { exact: true }).last().fill('frozen in winter');
  await page.getByLabel('A bad patch', { exact: true }).last().press('Enter');
  await expect(page.getByText('frozen in winter')).toBeVisible();
  await page.waitForTimeout(500);
  await page.reload();
  await expect(page.getByLabel('Radius')).toHaveValue('3.50 m');
});

test(
  'where an arena lies on the earth is three numbers together: two are not kept, and a wrong one is told',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/yard`);
    await page.getByRole('link', { name: 'Lower school' }).click();
    const [north, east, runs] = [/^Degrees north/, /^Degrees east/, /^The long side runs/].map(label =>
      page.getByLabel(label),
    );
    const type = async (field: typeof north, text: string) => {
      await field!.fill(text);
      await field!.press('Enter');
    };
    const takeAway = page.getByRole('region', { name: 'Where it lies' }).getByRole('button', { name: 'Take it away' });
    if (await takeAway.isVisible()) await takeAway.click();
    await type(north, '95');
    await expect(page.getByText('-85 to 85.')).toBeVisible();
    await type(north, '51,5');
    await expect(page.getByText('Two more numbers, and it is kept.')).toBeVisible();
    await type(runs, '20');
    await expect(page.getByText('One more number, and it is kept.')).toBeVisible();
    await expect(east!).toHaveValue('');
    // Half a place is none.
    await page.reload();
    await expect(north!).toHaveValue('');
    await type(north, '51.5');
    await type(runs, '20');
    const saved = page.waitForResponse(response => response.request().method() === 'POST');
    await type(east, '-1.25');
    await saved;
    await page.reload();
    await expect(north!).toHaveValue('51.5');
    await expect(east!).toHaveValue('-1.25');
    await expect(runs!).toHaveValue('20');
  },
);

test('a picture of a horse, and its distance card', { tag: '@full' }, async ({ demoYard, strictPage: page }) => {
  await page.goto(`${demoYard.url}/yard`);
  await page.getByRole('link', { name: 'Quill', exact: true }).click();
  // The smallest PNG there is: one point.
  const png = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==';
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'quill.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') });
  await expect(page.getByRole('img', { name: 'Quill', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Take it away' }).click();
  await expect(page.getByRole('img', { name: 'Quill', exact: true })).toHaveCount(0);

  await page.getByRole('link', { name: 'Distance card' }).click();
  // A horse of 12 ft: four strides of 3.66 m want 18.30 m.
  await expect(page.getByRole('row', { name: /^four/ })).toContainText('18.30 m');
  await page.getByRole('link', { name: 'In the two-metre school' }).click();
  await expect(page.getByRole('row', { name: /^four/ })).not.toContainText('18.30 m');
  const pdf = await page.pdf({ preferCSSPageSize: true, format: 'A4' });
  expect(pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
});
