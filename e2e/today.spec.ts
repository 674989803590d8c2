import { expect, test } from './support/fixtures';

test('an empty yard asks three questions, and has its first row on paper after five taps', async ({
  emptyYard,
  browser,
}) => {
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await phone.newPage();
  let taps = 0;
  const tap = async (name: string | RegExp, role: 'button' | 'menuitem' = 'button') => {
    taps += 1;
    await page.getByRole(role, { name }).first().tap();
  };
  await page.goto(emptyYard.url);
  await expect(page).toHaveURL(/\/today$/);
  // Nothing is made before the last answer, and the last waits for the others.
  await expect(page.getByRole('button', { name: 'Trot poles' })).toBeDisabled();
  await tap('A pony, 130 cm');
  await tap('20 × 40 m');
  await tap('Trot poles');
  await expect(page).toHaveURL(/\/set\//);
  await expect(page.getByRole('heading', { name: 'Carry out' })).toBeVisible();
  await tap('On paper');
  const download = page.waitForEvent('download');
  await tap('The sheet', 'menuitem');
  expect((await download).suggestedFilename()).toMatch(/\.pdf$/);
  expect(taps).toBe(5);
  await page.goto(`${emptyYard.url}/yard`);
  await expect(page.getByRole('row', { name: /Pony/ })).toBeVisible();
  // With a horse there, today has no lesson yet and says what to do.
  await page.goto(`${emptyYard.url}/today`);
  await expect(page.getByRole('heading', { name: 'No lesson comes' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Plan a lesson' })).toBeVisible();
  await phone.close();
});

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
