import type { Page } from '@playwright/test';
import { axeFinds, complaints, eyeFinds } from './support/everyPage';
import { recordedFilm } from './support/film';
import { keepRow } from './support/keepRow';
import { withOffice } from './support/office';
import { expect, instructor, joined, phone, test } from './support/onNetwork';
import type { RoanServer } from './support/roanServer';
import { signInMaud } from './support/signIn';

const LOOKS = [
  { name: 'on a desk', widthPx: 1280, heightPx: 800 },
  { name: 'on a phone', widthPx: 360, heightPx: 740 },
  { name: 'in the dark', widthPx: 1280, heightPx: 800, colorScheme: 'dark' as const },
  { name: 'in forced colours', widthPx: 1280, heightPx: 800, forcedColors: 'active' as const },
];

/** Looks at a page in each way, and says what was found, by the page and the way. */
async function lookAt(page: Page, name: string, href: string): Promise<Record<string, string[]>> {
  const faults = complaints(page);
  const found: Record<string, string[]> = {};
  for (const { name: like, widthPx, heightPx, colorScheme = 'light', forcedColors = 'none' } of LOOKS) {
    await page.emulateMedia({ colorScheme, forcedColors });
    await page.setViewportSize({ width: widthPx, height: heightPx });
    await page.goto(href);
    await page.waitForLoadState('networkidle');
    const isTouch = like === 'on a phone';
    // A link that is none is answered so, and the browser says that.
    const told = faults.splice(0).filter(fault => !/status of 404/.test(fault));
    const findings = [...(await eyeFinds(page, { isTouch })), ...(await axeFinds(page)), ...told];
    if (findings.length > 0) found[`${name} ${like}`] = findings;
  }
  return found;
}

/** A link to read by, to the first of what it may show. */
async function linkTo(maud: Page, roan: RoanServer, what: string): Promise<string> {
  await maud.goto(`${roan.url}/yard/access`);
  await maud.getByRole('combobox', { name: 'What it shows' }).click();
  await maud.getByRole('option', { name: what }).click();
  await maud.getByRole('combobox', { name: 'Which' }).click();
  await maud.getByRole('option').first().click();
  await maud.getByRole('button', { name: 'Make a link' }).click();
  return (await maud.getByTestId('link').textContent())!;
}

test(
  'pages for whoever signs in, has a link, rides or keeps the books: nothing that axe finds, one heading, none too wide',
  { tag: '@full' },
  async ({ roan, trusting }) => {
    test.setTimeout(480_000);
    const maud = await instructor(trusting, roan);
    // What she looks at, she looks at with a thumb too.
    const thumb = await (await phone(trusting)).newPage();
    await signInMaud(thumb, roan);
    const nobody = await (await phone(trusting)).newPage();
    const found: Record<string, string[]> = {};
    let looked = 0;
    const look = async (page: Page, name: string, href: string) => {
      Object.assign(found, await lookAt(page, name, href));
      looked += 1;
    };

    await look(nobody, 'sign in', `${roan.url}/sign-in`);
    await maud.goto(`${roan.url}/yard/access`);
    await maud
      .getByRole('row', { name: /^Jory Pell/ })
      .getByRole('button', { name: 'Link for a device' })
      .click();
    await look(nobody, 'join', (await maud.getByTestId('link').textContent())!);
    await look(nobody, 'a link that is none', `${roan.url}/s/none`);
    for (const what of ['A rider’s page', 'A lesson', 'A layout'])
      await look(nobody, `link to ${what.toLowerCase()}`, await linkTo(maud, roan, what));

    const bas = await joined(maud, roan, 'Bas Tamsin', await phone(trusting));
    await look(bas, 'of a rider', `${roan.url}/mine`);
    await bas.setViewportSize({ width: 390, height: 844 });
    await bas.goto(`${roan.url}/mine`);
    const sending = bas.getByRole('region', { name: 'Films' });
    await sending.getByRole('combobox', { name: 'Who rides' }).click();
    await bas.getByRole('option', { name: 'Fennel' }).click();
    await sending.locator('input[type=file]').setInputFiles({
      ...{ name: 'at-home.webm', mimeType: 'video/webm' },
      buffer: await recordedFilm(bas, 2),
    });
    await expect(bas.getByText('It is with your instructor')).toBeVisible();
    const film = sending.getByRole('link', { name: /at-home/ });
    await look(bas, 'film of a rider', new URL((await film.getAttribute('href'))!, roan.url).href);

    await maud.goto(`${roan.url}/today`);
    const waits = maud.getByRole('region', { name: 'Films that wait for an answer' }).getByRole('link').first();
    await look(thumb, 'film to be judged', new URL((await waits.getAttribute('href'))!, roan.url).href);
    await look(thumb, 'who may come in', `${roan.url}/yard/access`);
    await look(thumb, 'yards', `${roan.url}/yards`);

    const office = await joined(maud, roan, await withOffice(roan), await phone(trusting));
    await look(office, 'office', `${roan.url}/office`);

    const findings = Object.values(found).flat().length;
    const what = 'pages for riders, links, films and the office, four ways';
    keepRow('axe', ['what', 'looked at', 'findings'], [what, looked, findings]);
    expect(found).toEqual({});
  },
);
