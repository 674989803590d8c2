import type { Browser, Locator } from '@playwright/test';
import { expect, test } from './support/fixtures';
import { keepRow } from './support/keepRow';
import type { RoanServer } from './support/roanServer';

/** The taps that each may take, from a yard with nothing in it. */
const POLES_ON_PAPER = 5;
const COURSE_ON_PAPER = 12;
const LESSON_AFTER_IT = 8;

/** It took no more taps than it may. */
function tapped(what: string, taps: number, most: number): void {
  keepRow('firstHour', ['what', 'taps', 'at most'], [what, taps, most]);
  expect(taps).toBeLessThanOrEqual(most);
}

/** A thumb on a phone that counts its taps. */
async function newUser(browser: Browser, yard: RoanServer) {
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await phone.newPage();
  let taps = 0;
  const tap = async (what: Locator) => {
    taps += 1;
    await what.first().tap();
  };
  const button = (name: string | RegExp) => page.getByRole('button', { name });
  await page.goto(yard.url);
  await expect(page).toHaveURL(/\/today$/);
  return { page, tap, button, taps: () => taps, close: () => phone.close() };
}

type User = Awaited<ReturnType<typeof newUser>>;

async function onPaper({ page, tap, button }: User): Promise<void> {
  await expect(page).toHaveURL(/\/set\//, { timeout: 60_000 });
  await expect(page.getByRole('heading', { name: 'Carry out' })).toBeVisible();
  await tap(button('On paper'));
  const download = page.waitForEvent('download');
  await tap(page.getByRole('menuitem', { name: 'The sheet' }));
  expect((await download).suggestedFilename()).toMatch(/\.pdf$/);
}

test('an empty yard asks three questions, and has its first row on paper after five taps', async ({
  emptyYard,
  browser,
}) => {
  const user = await newUser(browser, emptyYard);
  const { page, tap, button } = user;
  // Nothing is made before the last answer, and the last waits for the others.
  await expect(button('Trot poles')).toBeDisabled();
  await tap(button('A pony, 130 cm'));
  await tap(button('20 × 40 m'));
  await tap(button('Trot poles'));
  await onPaper(user);
  tapped('trot poles on paper, from an empty yard', user.taps(), POLES_ON_PAPER);
  await page.goto(`${emptyYard.url}/yard`);
  await expect(page.getByRole('row', { name: /Pony/ })).toBeVisible();
  // With a horse there, today has no lesson yet and says what to do.
  await page.goto(`${emptyYard.url}/today`);
  await expect(page.getByRole('heading', { name: 'No lesson comes' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Plan a lesson' })).toBeVisible();
  await user.close();
});

test('a course of six for three horses is on paper after twelve taps, and taught after eight more', async ({
  emptyYard,
  browser,
}) => {
  const user = await newUser(browser, emptyYard);
  const { page, tap, button } = user;
  await tap(button('A pony, 130 cm'));
  await tap(button('A horse, 160 cm'));
  await tap(button('A large horse, 172 cm'));
  await tap(button('35 × 65 m, no letters'));
  await tap(button('A course of six'));
  await onPaper(user);
  tapped('a course of six for three horses on paper, from an empty yard', user.taps(), COURSE_ON_PAPER);
  await expect(page.getByText(/6 fences for Pony, Horse, Large horse/)).toBeVisible();

  const before = user.taps();
  await tap(button('Teach this'));
  await tap(button('Begin with 3 pairs'));
  await expect(page).toHaveURL(/\/run$/);
  await tap(button('Begin the lesson'));
  await tap(button('On to “course”'));
  // Each pair rides it once, in turn.
  await tap(button('Clean, next Horse'));
  await tap(button('Clean, next Large horse'));
  await tap(button(/^Clean pass/));
  await tap(button('End the lesson'));
  await expect(page.getByRole('heading', { name: 'The lesson is over' })).toBeVisible();
  await expect(page.getByText('3 passes are in its record')).toBeVisible();
  tapped('a lesson of it, each pair once, after that', user.taps() - before, LESSON_AFTER_IT);
  await user.close();
});

test(
  'a course that goes nowhere on the small sand is refused with what would help, and nothing is made',
  { tag: '@full' },
  async ({ emptyYard, browser }) => {
    const user = await newUser(browser, emptyYard);
    const { page, tap, button } = user;
    await tap(button('A pony, 130 cm'));
    await tap(button('A large horse, 172 cm'));
    await tap(button('20 × 40 m'));
    await tap(button('A course of six'));
    await expect(page.getByRole('alert').filter({ hasText: 'does not go on 20 × 40 m' })).toContainText(
      'take a larger sand, or horses nearer in size. Nothing was made.',
      { timeout: 60_000 },
    );
    await expect(button('A pony, 130 cm')).toHaveAttribute('aria-pressed', 'true');
    await page.goto(`${emptyYard.url}/plan`);
    await expect(page.getByRole('heading', { name: 'First an arena and a horse' })).toBeVisible();
    await user.close();
  },
);

test(
  'a sample yard leads round in six steps, and is thrown away without a trace',
  { tag: '@full' },
  async ({ emptyYard, browser }) => {
    const { page, tap, button, close } = await newUser(browser, emptyYard);
    const sample = page.getByRole('complementary', { name: 'Sample yard' });
    await tap(button('Look round a sample yard'));
    await expect(sample).toContainText('Drag a fence', { timeout: 60_000 });
    await tap(sample.getByRole('link', { name: 'Show me' }));
    const titles = [/^Course of eight/, /^Course of eight/, /./, /^Record of/, /./, 'What next'];
    for (const [index, title] of titles.entries()) {
      await expect(sample.getByRole('listitem').nth(index).getByRole('link')).toHaveAttribute('aria-current', 'step');
      await expect(page.getByRole('main').getByRole('heading', { level: 1, name: title })).toBeVisible();
      if (index < titles.length - 1) await tap(sample.getByRole('link', { name: /^Next: / }));
    }
    await expect(sample.getByRole('link', { name: /^Next: / })).toHaveCount(0);
    await tap(button('End the sample'));
    await tap(button(/^Throw the sample away/));
    await expect(page.getByRole('heading', { name: 'Three questions' })).toBeVisible({ timeout: 60_000 });
    await expect(sample).toHaveCount(0);
    await page.goto(`${emptyYard.url}/yards`);
    await expect(page.getByText('Teasel Bank')).toHaveCount(0);
    await close();
  },
);
