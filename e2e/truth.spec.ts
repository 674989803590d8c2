import { expect, test } from './support/fixtures';

/** Where numbers could hurt: what a turn costs, what cannot be ridden, and lengths that can be meant in two ways. */

test(
  'what a turn costs is said, and the yard may take it to cost nothing',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    const openLeg = async () => {
      await page.goto(`${demoYard.url}/plan`);
      await page.getByRole('link', { name: /^Course of eight/ }).click();
      await page.getByRole('button', { name: /^2 to 3/ }).click();
      await expect(page.getByRole('region', { name: 'From fence 2 to fence 3' })).toBeVisible();
    };
    await openLeg();
    const cost = page.getByText(/its turns shorten the stride to \d\d %: for strides it counts as/);
    await expect(cost).toBeVisible();
    // The tape stays what it is: back to front, and centre to centre named so.
    await expect(page.getByRole('region', { name: 'From fence 2 to fence 3' })).toContainText('centre to centre');

    await page.goto(`${demoYard.url}/yard/rules`);
    await page.getByRole('switch', { name: /A tight turn at speed/ }).press('Space');
    await page.getByRole('button', { name: 'Keep these rules' }).click();
    await expect(page.getByText('Kept. They hold from the next lesson')).toBeVisible();
    await openLeg();
    await expect(cost).toHaveCount(0);
  },
);

test(
  'a spacing far from practice is asked about, and believed once it has its unit',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/plan`);
    await page.getByRole('link', { name: /Five trot poles/ }).click();
    await page.getByRole('button', { name: 'A row of trot poles' }).last().click();
    const spacing = page.getByLabel('Spacing, pole to pole');
    await spacing.fill('4.5');
    await spacing.press('Enter');
    await expect(page.getByText('4 ft 6 in, or 4.50 m? Write it with its unit.')).toBeVisible();
    await spacing.fill('4.5 ft');
    await spacing.press('Enter');
    await expect(spacing).toHaveValue('1.37 m');
    await expect(page.getByText(/Write it with its unit/)).toHaveCount(0);
  },
);

test('a stride test counts parts where both ends were noted, and says so where only one was', async ({
  demoYard,
  strictPage: page,
}) => {
  await page.goto(`${demoYard.url}/yard`);
  await page
    .getByRole('link', { name: /^Quill/ })
    .first()
    .click();
  await page.getByRole('link', { name: 'Test the stride' }).click();
  await page.getByLabel('Or type the count').fill('9');
  await page.getByLabel('Or type the count').press('Enter');
  const part = (name: string, value: string) =>
    page.getByRole('radiogroup', { name }).getByText(value, { exact: true }).click();
  await part('Part of a stride at the finish', '½');
  await expect(page.getByText('A part at one end alone says next to nothing')).toBeVisible();
  await part('Part of a stride behind the start', '¼');
  await expect(page.getByText('A part at one end alone says next to nothing')).toHaveCount(0);
});
