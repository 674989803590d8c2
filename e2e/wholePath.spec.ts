import { choose, expect, test } from './support/fixtures';
import { closeSheet, key, onRein, onSand, openMore } from './support/pad';
import { drawnAt, fromShelf, newLayout, saved, type } from './support/sand';

test('from an empty yard to the next spacing: horse, arena, row, set, ride, review', async ({
  emptyYard,
  strictPage: page,
}) => {
  // The yard teaches its next steps.
  await page.goto(`${emptyYard.url}/yard`);
  await expect(page.getByRole('heading', { name: 'No horses yet' })).toBeVisible();
  await page.goto(`${emptyYard.url}/plan`);
  await expect(page.getByRole('heading', { name: 'First an arena and a horse' })).toBeVisible();

  // An arena of 20 × 40 m with letters.
  await page.goto(`${emptyYard.url}/yard`);
  await page.getByRole('button', { name: 'Add an arena' }).click();
  await page.getByLabel('Name').fill('Home school');
  await choose(page, 'Letters', '20 × 40: A K E H C M B F');
  await page.getByRole('dialog').getByRole('button', { name: 'Add the arena' }).click();
  await expect(page.getByText('Home school')).toBeVisible();

  // Two horses: one by height alone, one with a step of its own.
  await page.getByRole('button', { name: 'Add the first horse' }).click();
  await page.getByLabel('Name').fill('Pepper');
  await page.getByLabel('Height at the withers').fill('160 cm');
  await expect(page.getByLabel('Trot step over poles')).toHaveAttribute('placeholder', 'usually 1.37 m');
  await page.getByRole('dialog').getByRole('button', { name: 'Add the horse' }).click();
  await expect(page.getByRole('row', { name: /Pepper/ })).toContainText('1.37 m');
  await page.getByRole('button', { name: 'Add a horse' }).click();
  await page.getByLabel('Name').fill('Minnow');
  await page.getByLabel('Height at the withers').fill('12.2hh');
  await page.getByLabel('Trot step over poles').fill(`3'8"`);
  await page.getByRole('dialog').getByRole('button', { name: 'Add the horse' }).click();
  // 3 ft 8 in is 44 × 0.0254 m = 1.1176 m.
  await expect(page.getByRole('row', { name: /Minnow/ })).toContainText('1.12 m');

  // The instructor with her step, a rider, and the pair.
  for (const person of [
    { name: 'Greta', role: 'Instructor', step: '0.9' },
    { name: 'Lenna', role: 'Rider', step: '' },
  ]) {
    await page.getByRole('button', { name: 'Add a person' }).click();
    await page.getByLabel('Name').fill(person.name);
    await choose(page, 'What they do', person.role);
    await page.getByLabel('Own step').fill(person.step);
    await page.getByRole('dialog').getByRole('button', { name: 'Add the person' }).click();
    await expect(page.getByText(person.name, { exact: false }).first()).toBeVisible();
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  await page.getByRole('button', { name: 'Add a pair' }).click();
  await choose(page, 'Rider', 'Lenna');
  await choose(page, 'Horse', 'Pepper');
  await page.getByRole('dialog').getByRole('button', { name: 'Add the pair' }).click();
  await expect(page.getByText('Lenna and Pepper')).toBeVisible();

  // A row of four trot poles for Pepper.
  await newLayout(page, emptyYard.url, 'Four for rhythm', 'Home school', ['Pepper']);
  await fromShelf(page, 'A row of trot poles');
  await type(page, 'Poles', '4');
  await expect(page.getByLabel('Spacing, pole to pole')).toHaveValue('as the horses step');
  const poleAt = async (index: number) => (await drawnAt(page.locator('[data-kind="pole"]').nth(index))).yM;
  // Four poles 1.37 m apart about the middle of 40 m: the first at 20 − 1.5 × 1.37.
  await expect.poll(() => poleAt(0)).toBeCloseTo(17.945, 3);
  expect((await poleAt(1)) - (await poleAt(0))).toBeCloseTo(1.37, 3);

  // Another horse, and the poles move: 1.1176 m apart.
  await page.getByRole('button', { name: /^Horses/ }).click();
  await page.getByRole('checkbox', { name: 'Minnow' }).check();
  await page.getByRole('checkbox', { name: 'Pepper' }).uncheck();
  await page.keyboard.press('Escape');
  await expect.poll(async () => (await poleAt(1)) - (await poleAt(0))).toBeCloseTo(1.1176, 3);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await poleAt(1)) - (await poleAt(0))).toBeCloseTo(1.37, 3);

  // Put by numbers: the first pole 10 m up, 5 m from the long side; one pole raised.
  await page.locator('[data-item$=" p1"]').click();
  await type(page, 'From A short side', '10');
  await type(page, 'From E long side', '500 cm');
  await choose(page, 'Pole 2', '2 left');
  await expect(saved(page)).toBeVisible();

  // Saved by itself.
  await page.reload();
  await expect.poll(() => poleAt(0)).toBeCloseTo(10, 3);

  // Set: from two walls, in metres and in Greta's steps of 0.9 m.
  await page.getByRole('link', { name: 'Set it out' }).click();
  await expect(page.getByText('1 block')).toBeVisible();
  const first = page.locator('[data-step]').first();
  // Poles 3 m long across a line 5 m in: ends at 3.5 and 6.5 m; 10 m up is 4 m beyond K, 4½ steps less 5 cm.
  await expect(first).toContainText('3.50 m');
  // To what matters, with the exact measure a tap away.
  await expect(first).toContainText('4½ steps');
  await first.getByRole('button', { name: 'Exactly' }).click();
  await expect(first).toContainText('4 steps, back 10 cm');
  await expect(first).toContainText('6.50 m');
  await expect(first).toContainText('from K towards E');
  await expect(first).toContainText('4.00 m');
  await expect(first).toContainText('4½ steps, back 5 cm');
  const pdf = await page.pdf({ preferCSSPageSize: true });
  expect(pageCount(pdf)).toBeLessThanOrEqual(2);

  // Ride it: left rein, gap by gap, a pole hit, a note; then the right rein, judged as a whole.
  await page.getByRole('link', { name: 'Ride' }).click();
  await page.getByRole('radio', { name: /^Pepper with/ }).click();
  await page.getByRole('button', { name: 'Ride' }).click();
  await onSand(page, 'pole 1').click();
  await key(page, /^middle/).click();
  // The next gap follows.
  await key(page, /^a third/).click();
  await expect(onSand(page, 'pole 3')).toHaveAttribute('aria-pressed', 'true');
  await key(page, /^hit/).click();
  await openMore(page);
  await page.getByLabel('A word of note').fill('looked at the wings');
  await page.getByRole('button', { name: 'Note it' }).click();
  await closeSheet(page);
  await key(page, /^Pass done/).click();
  await onRein(page, 'right rein');
  await openMore(page);
  await page.getByLabel('Exact share').fill('42 %');
  await page.getByLabel('Exact share').press('Enter');
  await closeSheet(page);
  await expect(page.locator('[data-delivery=saved]')).toBeVisible();
  await page.locator('[data-whole-screen] header button').first().click();
  await expect(page.getByRole('heading', { name: '2 passes so far' })).toBeVisible();
  await closeSheet(page);

  // Review: from 0.5 to a third is a sixth of a gap back, more than 10 cm, so 10 cm closer and no more.
  await page.getByRole('link', { name: 'Review' }).click();
  await expect(page.getByRole('heading', { name: 'Pepper with Lenna' })).toBeVisible();
  await expect(page.getByText('Try 1.27 m: 10 cm closer')).toBeVisible();
  const passes = page.getByRole('table').getByRole('row');
  await expect(passes.nth(1)).toContainText('0.42'); // the mean of 1/2 and 1/3
  await expect(passes.nth(1)).toContainText('looked at the wings');
  await expect(passes.nth(2)).toContainText('right');
  await page.getByRole('button', { name: 'Set the row to 1.27 m' }).click();
  await expect.poll(async () => (await poleAt(1)) - (await poleAt(0))).toBeCloseTo(1.27, 3);
});

/** Pages of a PDF, counted by the page objects that Chromium writes. */
function pageCount(pdf: Buffer): number {
  return pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length ?? 0;
}
