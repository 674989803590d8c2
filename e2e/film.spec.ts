import { recordedFilm } from './support/film';
import { askSecurely, scanned } from './support/network';
import { expect, instructor, joined, phone, test } from './support/onNetwork';

const FILM_S = 4;

test(
  'a rider sends a film from home; it is judged with no lesson and answered; the rider reads it, and nobody else’s rider',
  { tag: '@full' },
  async ({ roan, trusting }) => {
    const maud = await instructor(trusting, roan);
    const bas = await joined(maud, roan, 'Bas Tamsin', await phone(trusting));
    await bas.goto(`${roan.url}/mine`);
    const sending = bas.getByRole('region', { name: 'Films' });
    await sending.getByRole('combobox', { name: 'Who rides' }).click();
    await bas.getByRole('option', { name: 'Fennel' }).click();
    await sending.getByLabel('What you would like to know').fill('Is the canter even?');
    await sending.locator('input[type=file]').setInputFiles({
      ...{ name: 'at-home.webm', mimeType: 'video/webm' },
      buffer: await recordedFilm(bas, FILM_S),
    });
    await expect(bas.getByText('It is with your instructor')).toBeVisible();
    await expect(sending.getByRole('listitem')).toContainText('not answered yet');
    await sending.getByRole('link', { name: /at-home/ }).click();
    await expect(bas.getByText('Not answered yet.')).toBeVisible();
    const filmPath = new URL(bas.url()).pathname;

    // The instructor finds it on coming, and marks what is seen at its times.
    await maud.goto(`${roan.url}/today`);
    await maud
      .getByRole('region', { name: 'Films that wait for an answer' })
      .getByRole('link', { name: /^Fennel with Bas Tamsin.*Is the canter even/ })
      .click();
    await expect(maud.getByRole('heading', { name: 'Fennel with Bas Tamsin' })).toBeVisible();
    const video = maud.locator('video');
    const ribbon = maud.getByRole('img', { name: /^The film in gaits/ });
    await expect(ribbon).toBeVisible();
    const at = async (atS: number) => {
      await video.evaluate((film: HTMLVideoElement, to) => (film.currentTime = to), atS);
      await expect.poll(() => video.evaluate((film: HTMLVideoElement) => film.seeking)).toBe(false);
    };
    const press = (group: string, name: string) =>
      maud.getByRole('group', { name: group, exact: true }).getByRole('button', { name, exact: true }).click();
    await at(0);
    await press('Asked from here on', 'canter');
    await press('Ridden from here on', 'canter');
    await press('Lead', 'left lead');
    for (const strideS of [0.2, 0.6, 1, 1.4, 1.8]) {
      await at(strideS);
      await press('Seen now', 'a stride (s)');
    }
    await at(2);
    await press('Ridden from here on', 'trot');
    await press('Seen now', 'break of gait (b)');
    await press('Head from here on', 'high');
    await maud.getByLabel('A word at this time').fill('He hollows before he breaks');
    await maud.getByRole('button', { name: 'Note it' }).click();
    await maud.getByRole('button', { name: 'Keep this picture' }).click();
    await expect(maud.getByRole('img', { name: 'The film at 0:02' })).toBeVisible();
    await at(3);
    await press('Ridden from here on', 'canter');
    const comesTo = maud.getByRole('region', { name: 'What it comes to' });
    await expect(comesTo).toContainText(/Canter as it was asked: \d\ss of \d\ss; trot 1\ss, first at 0:02\./);
    await expect(comesTo).toContainText('Leads: left lead at 0:00.');
    await expect(comesTo).toContainText('A break of gait: at 0:02.');
    await expect(comesTo).toContainText('Canter from 0:00: 5 strides, 2.50 a second.');
    await expect(ribbon).toHaveAccessibleName(/0:00 canter, 0:02 trot, 0:03 canter/);
    // What was wrongly marked is taken back; what was marked is there after a reload.
    await press('Seen now', 'break of gait (b)');
    await maud.getByRole('button', { name: 'Take back break of gait at 0:03' }).click();
    await expect(comesTo).toContainText('A break of gait: at 0:02.');
    await maud.getByLabel('What you say of it').fill('Even enough. Ride him round before you ask, and sit up.');
    await maud.reload();
    await expect(maud.getByLabel('What you say of it')).toHaveValue(/^Even enough/);
    await maud.getByRole('button', { name: 'Give the answer' }).click();
    await expect(maud.getByText('Given: Bas Tamsin reads it now.')).toBeVisible();

    // It stands in the review of the pair, beside what was ridden in lessons.
    await maud.getByRole('link', { name: 'All films of the pair' }).click();
    await expect(maud.getByRole('region', { name: 'With no lesson' }).getByRole('listitem')).toContainText('answered');
    await maud.getByRole('link', { name: 'To the review' }).click();
    const inReview = maud.getByRole('region', { name: 'Films with no lesson' });
    await expect(inReview).toContainText('A break of gait: at 0:02.');
    await expect(inReview.getByRole('img', { name: /^The film in gaits/ })).toBeVisible();

    // The rider reads it: the word, what it shows, and each time with its picture.
    await bas.goto(`${roan.url}/mine`);
    await expect(bas.getByRole('region', { name: 'Films' }).getByRole('listitem')).toContainText('answered');
    await bas.getByRole('link', { name: /at-home/ }).click();
    await expect(bas.getByRole('region', { name: 'A word from your instructor' })).toContainText('sit up');
    await expect(bas.getByRole('region', { name: 'What it shows' })).toContainText('trot 1\u00a0s, first at 0:02');
    const times = bas.getByRole('region', { name: 'Time by time' });
    await expect(times).toContainText('He hollows before he breaks');
    const still = times.getByRole('img', { name: 'The film at 0:02' });
    await expect.poll(() => still.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(64);
    await times.getByRole('button', { name: '0:02' }).first().click();
    await expect
      .poll(() => bas.locator('video').evaluate((film: HTMLVideoElement) => film.currentTime))
      .toBeCloseTo(2, 1);

    // Another rider finds neither page nor picture, and sends no film of his horse.
    const neve = await joined(maud, roan, 'Neve Arkwell', await phone(trusting));
    expect((await neve.goto(`${roan.url}${filmPath}`))!.status()).toBe(404);
    const picture = new URL((await still.getAttribute('src'))!, roan.url).pathname;
    const cookies = (await neve.context().cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');
    expect((await askSecurely(roan, picture, { headers: { cookie: cookies } })).status).toBe(404);

    // By the link to his page he reads it on a phone that nobody is signed in on.
    await maud.goto(`${roan.url}/yard/access`);
    await maud.getByRole('combobox', { name: 'Which' }).click();
    await maud.getByRole('option', { name: 'Bas Tamsin' }).click();
    await maud.getByRole('button', { name: 'Make a link' }).click();
    const href = await scanned(maud, /A link to read by/);
    const stranger = await (await phone(trusting)).newPage();
    await stranger.goto(href);
    await stranger.getByRole('link', { name: /at-home/ }).click();
    await expect(stranger.getByRole('region', { name: 'A word from your instructor' })).toContainText('sit up');
    await expect
      .poll(() =>
        stranger
          .getByRole('img', { name: 'The film at 0:02' })
          .evaluate((image: HTMLImageElement) => image.naturalWidth),
      )
      .toBe(64);
  },
);
