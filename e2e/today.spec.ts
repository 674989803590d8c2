import { expect, test } from './support/fixtures';

test('today shows the lesson to come with its pairs and drawing, what stands, and what each could ride next', async ({
  seasonYard,
  page,
}) => {
  await page.goto(seasonYard.url);
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  const coming = page.getByRole('region', { name: 'The lesson to come' });
  await expect(coming).toContainText('The bend, built up');
  await expect(coming.locator('svg').first()).toBeVisible();
  await expect(coming).toContainText(/ with /);
  await expect(page.getByRole('region', { name: 'On the sand' })).toContainText('last ridden over');
  const next = page.getByRole('region', { name: 'What each pair could ride next' });
  await expect(next.getByRole('listitem')).toHaveCount(7);
  await expect(next.getByRole('listitem').filter({ hasText: 'Quill' }).locator('svg')).toBeVisible();
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Yard' }).click();
  await expect(page).toHaveURL(/\/yard$/);
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Today' }).click();
  await coming.getByRole('link', { name: 'Set it out' }).click();
  await expect(page.getByRole('heading', { name: 'Carry out' })).toBeVisible();
});
