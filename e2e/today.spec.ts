import { finger } from './support/finger';
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

test(
  'on a phone a finger that goes up a drawing scrolls the page',
  { tag: '@full' },
  async ({ seasonYard, browser }) => {
    const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
    const page = await phone.newPage();
    const { drag, lift } = await finger(page);
    const drawings = [
      ['/', page.getByRole('region', { name: 'The lesson to come' }).locator('svg').first()],
      ['/review', page.getByRole('group', { name: /^The sand with/ })],
    ] as const;
    for (const [path, drawing] of drawings) {
      await page.goto(`${seasonYard.url}${path}`);
      await drawing.scrollIntoViewIfNeeded();
      const box = (await drawing.boundingBox())!;
      const before = await page.evaluate(() => scrollY);
      const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
      // Where the page ends the other way is left.
      const isAtEnd = await page.evaluate(() => scrollY + innerHeight > document.documentElement.scrollHeight - 200);
      await drag(from, { x: from.x, y: from.y + (isAtEnd ? 150 : -150) });
      await lift();
      await expect.poll(async () => Math.abs((await page.evaluate(() => scrollY)) - before)).toBeGreaterThan(80);
    }
    await phone.close();
  },
);
