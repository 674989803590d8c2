import http from 'node:http';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { createClient } from '@libsql/client';
import type { Page } from '@playwright/test';
import { CHOOSE, HELP, INSTRUCT, READ, SUM } from '../src/app/_server/access/testPlaces';
import { askSecurely, scanned } from './support/network';
import { RoanServer } from './support/roanServer';
import { test as base } from './support/fixtures';
import { withOffice } from './support/office';
import { desk, expect, instructor, joined, phone, test } from './support/onNetwork';
import { PASSPHRASE, signIn } from './support/signIn';

/** A pass that a rider rode, by its id. */
async function passOf(roan: RoanServer, rider: string): Promise<string> {
  const client = createClient({ url: `file:${path.join(roan.folder, 'roan.db')}` });
  const sql = `select passes.id from passes join pairs on pairs.id = passes.pair_id
    join people on people.id = pairs.rider_id where people.name = ? limit 1`;
  const { rows } = await client.execute({ sql, args: [rider] });
  client.close();
  return String(rows[0]?.[0]);
}

/** How many rows each table of the yard has. */
async function yardRows(roan: RoanServer): Promise<Record<string, number>> {
  const client = createClient({ url: `file:${path.join(roan.folder, 'roan.db')}` });
  const { rows } = await client.execute(
    "select name from sqlite_master where type = 'table' and name not like 'sqlite%'",
  );
  const counts: Record<string, number> = {};
  for (const row of rows) {
    const name = String(row[0]);
    counts[name] = Number((await client.execute(`select count(*) from "${name}"`)).rows[0]![0]);
  }
  client.close();
  return counts;
}

/** Something that a table holds, by its id. */
async function firstOf(roan: RoanServer, table: string): Promise<string> {
  const client = createClient({ url: `file:${path.join(roan.folder, 'roan.db')}` });
  const { rows } = await client.execute(`select id from "${table}" limit 1`);
  client.close();
  return String(rows[0]?.[0]);
}

/** The cookie that a device carries. */
const cookieOf = async (page: Page): Promise<string> =>
  (await page.context().cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');

const pages = (names: readonly string[]) =>
  names.filter(name => name === 'page' || name.endsWith('/page')).map(name => `/${name.replace(/(^|\/)page$/, '')}`);
const routes = (names: readonly string[]) =>
  names.flatMap(name => {
    const [method, at] = name.split(' ');
    return at ? [{ method: method!, at: `/${at}` }] : [];
  });
const filled = (at: string) => at.replace(/\[\w+\]/g, 'none');

test(
  'every page and route, asked by nobody, a rider, a helper and the office: each comes where the table lets it, and nowhere else',
  { tag: '@full' },
  async ({ roan, trusting }) => {
    // Some hundred pages, each four times.
    test.setTimeout(480_000);
    const maud = await instructor(trusting, roan);
    const who = [
      { role: 'nobody', cookie: '', may: [] as readonly string[] },
      {
        role: 'rider',
        cookie: await cookieOf(await joined(maud, roan, 'Ode Quillan', await phone(trusting))),
        may: [...READ, ...CHOOSE],
      },
      {
        ...{ role: 'helper', may: [...READ, ...CHOOSE, ...HELP] },
        cookie: await cookieOf(await joined(maud, roan, 'Jory Pell', await phone(trusting))),
      },
      {
        ...{ role: 'office', may: [...CHOOSE, ...SUM] },
        cookie: await cookieOf(await joined(maud, roan, await withOffice(roan), await phone(trusting))),
      },
    ];
    const all = [...INSTRUCT, ...HELP, ...READ, ...CHOOSE, ...SUM];
    const origin = { origin: roan.url, 'content-type': 'application/json' };
    for (const { role, cookie, may } of who) {
      for (const at of pages(all)) {
        const answer = await askSecurely(roan, filled(at), { headers: { cookie } });
        const told = `${role} at ${at}: ${answer.status} ${String(answer.headers.location ?? '')}`;
        if (pages(may).includes(at)) expect([200, 307, 404], told).toContain(answer.status);
        else expect(answer.status, told).toBe(307);
        const elsewhere = role === 'nobody' ? '/sign-in' : '/mine';
        if (!pages(may).includes(at)) expect(String(answer.headers.location), told).toContain(elsewhere);
        else expect(String(answer.headers.location ?? ''), told).not.toContain('/sign-in');
      }
      for (const { method, at } of routes(all)) {
        const answer = await askSecurely(roan, filled(at), { method, headers: { cookie, ...origin } });
        const told = `${role}: ${method} ${at}: ${answer.status}`;
        const isLet = routes(may).some(one => one.method === method && one.at === at);
        if (isLet) expect([401, 403], told).not.toContain(answer.status);
        else expect(answer.status, told).toBe(role === 'nobody' ? 401 : 403);
      }
    }
  },
);

/** What pages ask the server to do, as it was built: each by the id that pages send. */
function builtActions(): { id: string; name: string; at: string }[] {
  const built = JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8')) as {
    node: Record<string, { exportedName: string; workers: Record<string, unknown> }>;
  };
  return Object.entries(built.node).map(([id, { exportedName, workers }]) => {
    const page = Object.keys(workers).find(name => name.endsWith('/page') && !name.includes('_not-found'))!;
    return { id, name: exportedName, at: filled(`/${page.replace(/^app\/|\/?page$/g, '')}`) };
  });
}

test(
  'every action of the built server, asked by nobody, a rider and a helper, does nothing for whom it is not',
  { tag: '@full' },
  async ({ roan, trusting }) => {
    const maud = await instructor(trusting, roan);
    const who = [
      { role: 'nobody', cookie: '', may: [] as readonly string[], told: 'Sign in first' },
      {
        ...{ role: 'rider', may: [...READ, ...CHOOSE], told: 'This is not for you to do' },
        cookie: await cookieOf(await joined(maud, roan, 'Ode Quillan', await phone(trusting))),
      },
      {
        ...{ role: 'helper', may: [...READ, ...CHOOSE, ...HELP], told: 'This is not for you to do' },
        cookie: await cookieOf(await joined(maud, roan, 'Jory Pell', await phone(trusting))),
      },
    ];
    const named = [...INSTRUCT, ...HELP, ...CHOOSE].map(name => name.replace('_server/', ''));
    const actions = builtActions().filter(({ name }) => named.includes(name));
    // Some are only asked by others: most of the table is there.
    expect(actions.length).toBeGreaterThan(50);
    // The phones keep the pages of the day by themselves, and a lesson that is opened keeps its layouts as they stand: it is open before.
    const run = `/ride/lessons/${await firstOf(roan, 'lessons')}/run`;
    expect((await askSecurely(roan, run, { headers: { cookie: who[2]!.cookie } })).status).toBe(200);
    const before = await yardRows(roan);
    for (const { role, cookie, may, told } of who) {
      for (const { id, name, at } of actions) {
        if (may.includes(name)) continue;
        const headers = { cookie, 'next-action': id, origin: roan.url, 'content-type': 'text/plain;charset=UTF-8' };
        // Four of whatever they take: an action must refuse before it looks at what it was sent.
        const body = JSON.stringify(['none', 'none', {}, 'none']);
        const answer = await askSecurely(roan, at, { method: 'POST', headers, body });
        // What answers nothing but that it is done is refused by throwing: the page is told no more than that.
        const isRefused = answer.text.includes(told) || /^\d+:E\{"digest"/m.test(answer.text);
        expect(isRefused, `${role} at ${at}: ${name} ${answer.status} ${answer.text.slice(0, 200)}`).toBe(true);
      }
    }
    expect(await yardRows(roan)).toEqual(before);
    // What makes sense is refused all the same: a layout that is there, copied; a session, ended.
    const layoutId = await firstOf(roan, 'layouts');
    for (const { cookie, told } of who)
      for (const [name, body] of [
        ['duplicateLayoutAction', [layoutId]],
        ['keepVersionAction', [layoutId]],
        ['addLayoutAction', [{ name: 'Mine now', arenaId: await firstOf(roan, 'arenas') }]],
        ['endSessionAction', [await firstOf(roan, 'sessions')]],
      ] as const) {
        const { id, at } = actions.find(one => one.name === name)!;
        const headers = { cookie, 'next-action': id, origin: roan.url, 'content-type': 'text/plain;charset=UTF-8' };
        const answer = await askSecurely(roan, at, { method: 'POST', headers, body: JSON.stringify(body) });
        expect(answer.text, name).toContain(told);
      }
    expect(await yardRows(roan)).toEqual(before);
  },
);

test('a phone joins by the code on the screen; the same link lets nobody else in; its session is ended from the desk', async ({
  roan,
  trusting,
}) => {
  const maud = await instructor(trusting, roan);
  const jory = await joined(maud, roan, 'Jory Pell', await phone(trusting));
  await expect(jory.getByRole('navigation', { name: 'Places' }).getByRole('link')).toHaveText(['Set', 'Ride']);
  // The one-use link, stolen: it is used up.
  await maud
    .getByRole('row', { name: /^Jory Pell/ })
    .getByRole('button', { name: 'Link for a device' })
    .click();
  const href = (await maud.getByTestId('link').textContent())!;
  const first = await (await phone(trusting)).newPage();
  await first.goto(href);
  await first.getByRole('button', { name: 'Come in as Jory Pell' }).click();
  await first.waitForURL(url => !url.pathname.startsWith('/join'));
  const thief = await (await phone(trusting)).newPage();
  await thief.goto(href);
  await expect(thief.getByText(/was used already/)).toBeVisible();
  await maud.keyboard.press('Escape');

  // A helper sets and ticks: the demo's course, on the phone.
  await jory.goto(`${roan.url}/set`);
  await jory.getByRole('link', { name: /^Course of eight/ }).click();
  await expect(jory.getByRole('heading', { level: 1 })).toContainText('Course of eight');
  await jory.getByRole('checkbox').first().check();
  await expect(jory.getByRole('checkbox').first()).toBeChecked();
  // The plan is not for a helper.
  await jory.goto(`${roan.url}/plan`);
  await expect(jory).toHaveURL(/\/set$/);

  await maud.reload();
  const running = maud.getByRole('button', { name: /^End Jory Pell/ });
  await expect(running).toHaveCount(2);
  await running.first().click();
  await expect(running).toHaveCount(1);
  await running.click();
  await expect(maud.getByRole('button', { name: /^End Jory Pell/ })).toHaveCount(0);
  await jory.goto(`${roan.url}/ride`);
  await expect(jory).toHaveURL(/\/sign-in/);
});

test(
  'a passphrase is guessed at in vain: one sentence for whatever is wrong, and then a wait',
  { tag: '@full' },
  async ({ roan, trusting }) => {
    const page = await (await desk(trusting)).newPage();
    const sentences = new Set<string>();
    for (const [name, passphrase] of [
      ['Maud Ferrier', 'wrong but long enough'],
      ['Nobody At All', PASSPHRASE],
      ['Jory Pell', PASSPHRASE],
    ] as const) {
      await signIn(page, roan, name, passphrase);
      sentences.add((await page.getByRole('alert').filter({ hasText: /\w/ }).first().textContent())!);
    }
    expect([...sentences]).toEqual(['That name and passphrase do not go together.']);
    for (let more = 0; more < 8; more += 1) await signIn(page, roan, 'Maud Ferrier', `guess number ${more} of many`);
    await expect(page.getByText(/Too many tries: wait \d+ minutes?/)).toBeVisible();
    // Even the right one has to wait then.
    await signIn(page, roan, 'Maud Ferrier', PASSPHRASE);
    await expect(page.getByText(/Too many tries/)).toBeVisible();
  },
);

test(
  'a rider reads what is theirs and nobody else’s; a link on a phone shows it without a sign-in until it is taken back',
  { tag: '@full' },
  async ({ roan, trusting }) => {
    const maud = await instructor(trusting, roan);
    const ode = await joined(maud, roan, 'Ode Quillan', await phone(trusting));
    await expect(ode).toHaveURL(/\/mine$/);
    await expect(ode.getByRole('navigation', { name: 'Places' }).getByRole('link')).toHaveText(['Mine']);
    await ode.getByRole('region', { name: 'To come' }).getByRole('link').first().click();
    await expect(ode.getByRole('heading', { name: /^Ode Quillan with/ })).toBeVisible();
    const [, lessonId, ownId] = /lessons\/(.+)\/for\/(.+)$/.exec(ode.url())!;
    // Bas's page of the same lesson, by its address.
    await maud.goto(`${roan.url}/ride/lessons/${lessonId}`);
    const others = await maud.evaluate(async id => {
      const links = [...document.querySelectorAll('a')].map(({ href }) => href);
      return { links, id };
    }, lessonId);
    expect(others.links.length).toBeGreaterThan(0);
    const review = await maud.request.get(`${roan.url}/review`, { ignoreHTTPSErrors: true });
    const pairIds = [
      ...new Set([...(await review.text()).matchAll(/\/review\/([0-9a-f-]{36})/g)].map(([, id]) => id!)),
    ];
    const cookie = await cookieOf(ode);
    const answers = await Promise.all(
      pairIds.map(
        async id => [id, (await askSecurely(roan, `/review/${id}`, { headers: { cookie } })).status] as const,
      ),
    );
    expect(answers.filter(([, status]) => status === 404).length).toBeGreaterThan(0);
    expect(answers.find(([id]) => id === ownId)?.[1]).toBe(200);
    for (const [id, status] of answers.filter(([, one]) => one === 404)) {
      const page = await askSecurely(roan, `/ride/lessons/${lessonId}/for/${id}`, { headers: { cookie } });
      expect([status, page.status]).toEqual([404, 404]);
      const sheet = await askSecurely(roan, `/api/lessons/${lessonId}/sheet?pair=${id}`, { headers: { cookie } });
      expect(sheet.status).toBe(404);
    }
    expect((await askSecurely(roan, `/api/lessons/${lessonId}/sheet`, { headers: { cookie } })).status).toBe(404);

    // A film of a pass of Ode's: hers to see, and not Bas's.
    const bas = await cookieOf(await joined(maud, roan, 'Bas Tamsin', await phone(trusting)));
    const passId = await passOf(roan, 'Ode Quillan');
    const film = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypisom and what is filmed')]).toString(
      'latin1',
    );
    const sent = await askSecurely(roan, `/api/videos?pass=${passId}&name=hers.mp4`, {
      ...{ method: 'POST', body: film },
      headers: { cookie: await cookieOf(maud), origin: roan.url, 'content-type': 'video/mp4' },
    });
    expect(sent.status, sent.text).toBe(200);
    const filmId = (JSON.parse(sent.text) as { id: string }).id;
    const seen = async (who: string) =>
      (await askSecurely(roan, `/api/videos/${filmId}`, { headers: { cookie: who } })).status;
    expect([await seen(cookie), await seen(bas), await seen('')]).toEqual([200, 404, 401]);
    const page2 = await askSecurely(roan, `/api/videos?pass=${passId}&name=page.mp4`, {
      ...{ method: 'POST', body: '<svg onload="alert(1)"></svg>' },
      headers: { cookie: await cookieOf(maud), origin: roan.url, 'content-type': 'video/mp4' },
    });
    expect(page2.status).toBe(422);

    // A link for Ode, read on a phone that nobody is signed in on.
    await maud.goto(`${roan.url}/yard/access`);
    await maud.getByRole('combobox', { name: 'Which' }).click();
    await maud.getByRole('option', { name: 'Ode Quillan' }).click();
    await maud.getByRole('button', { name: 'Make a link' }).click();
    const href = await scanned(maud, /A link to read by/);
    await maud.keyboard.press('Escape');
    const stranger = await (await phone(trusting)).newPage();
    await stranger.goto(href);
    await expect(stranger.getByRole('heading', { name: 'Ode Quillan', level: 1 })).toBeVisible();
    await expect(stranger.getByText(/Bas Tamsin|Neve Arkwell|Barley/)).toHaveCount(0);
    await stranger
      .getByRole('link', { name: /The bend/ })
      .first()
      .click();
    await expect(stranger.getByRole('heading', { name: /^Ode Quillan with/ })).toBeVisible();
    await expect(stranger.getByRole('navigation', { name: 'Places' })).toHaveCount(0);
    const shared = `/api/feed/${href.split('/').at(-1)}/films/${filmId}`;
    expect((await askSecurely(roan, shared)).status).toBe(200);
    await maud.getByRole('button', { name: /^Take back A rider/ }).click();
    await expect(maud.getByRole('button', { name: /^Take back/ })).toHaveCount(0);
    await stranger.goto(href);
    await expect(stranger.getByRole('heading', { name: 'Ode Quillan', level: 1 })).toHaveCount(0);

    expect((await askSecurely(roan, shared)).status).toBe(404);

    // The calendar as a feed: when and where, and nobody's name.
    await maud.getByRole('combobox', { name: 'What it shows' }).click();
    await maud.getByRole('option', { name: 'The calendar, as a feed' }).click();
    await maud.getByRole('button', { name: 'Make a link' }).click();
    const feed = await scanned(maud, /A link to read by/);
    const calendar = await askSecurely(roan, new URL(feed).pathname);
    expect([calendar.status, calendar.text.startsWith('BEGIN:VCALENDAR')]).toEqual([200, true]);
    expect(calendar.text).not.toMatch(/Quillan|Tamsin|Ferrier/);
    expect((await askSecurely(roan, '/api/feed/aaaaaaaaaaaaaaaaaaaaaaaaaaa')).status).toBe(404);
  },
);

test(
  'the guards of the browser hold over HTTPS, cookies are kept from scripts and other sites, and plain HTTP leads to HTTPS',
  { tag: '@full' },
  async ({ roan, trusting }) => {
    const plain = await new Promise<http.IncomingMessage>((resolve, reject) =>
      http.get({ hostname: '127.0.0.1', port: roan.port, path: '/yard?x=1' }, resolve).on('error', reject),
    );
    expect([plain.statusCode, plain.headers.location]).toEqual([308, `${roan.url}/yard?x=1`]);
    const door = await askSecurely(roan, '/sign-in');
    expect(door.headers['content-security-policy']).toContain("frame-ancestors 'none'");
    expect(door.headers['x-frame-options']).toBe('DENY');
    // A foreign name, a foreign site, and an address that only looks like one.
    expect((await askSecurely(roan, '/sign-in', { headers: { host: 'roan.evil.example' } })).status).toBe(421);
    for (const origin of ['https://evil.example', 'null', `http://127.0.0.1:${roan.port + 1}`])
      expect((await askSecurely(roan, '/api/record', { method: 'POST', headers: { origin } })).status).toBe(403);
    // What a sender says of itself is not believed: who asks from where, and for which page.
    const told = { 'x-forwarded-for': '10.0.0.1', 'x-forwarded-host': 'evil.example', 'x-roan-page': '/evil' };
    const sent = await askSecurely(roan, '/yard', { headers: told });
    expect(sent.headers.location).toBe('/sign-in?to=%2Fyard');
    const maud = await instructor(trusting, roan);
    const [cookie, ...rest] = (await maud.context().cookies()).filter(({ name }) => name.includes('roan'));
    expect(rest.filter(({ httpOnly }) => httpOnly)).toEqual([]);
    expect(cookie).toMatchObject({ name: '__Host-roan', httpOnly: true, secure: true, sameSite: 'Lax' });
    expect(await maud.evaluate(() => [document.cookie.includes('__Host-roan'), window.isSecureContext])).toEqual([
      false,
      true,
    ]);
    // Nobody is sent elsewhere after signing in.
    const page = await (await desk(trusting)).newPage();
    await page.goto(`${roan.url}/sign-in?to=//evil.example/`);
    await page.getByLabel('Name').fill('Maud Ferrier');
    await page.getByRole('textbox', { name: 'Passphrase' }).fill(PASSPHRASE);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.waitForURL(`${roan.url}/today`);
  },
);

base(
  'on this machine alone a yard stays open and says so, until somebody sets a passphrase',
  async ({ demoYard, page }) => {
    await page.goto(`${demoYard.url}/yard/access`);
    await expect(page.getByRole('region', { name: 'Open on this machine' })).toContainText(
      'whoever sits here may do everything',
    );
    await page.getByLabel('Your name').fill('Maud Ferrier');
    const field = page.getByRole('textbox', { name: 'Passphrase' });
    await field.fill('short');
    await page.getByRole('button', { name: 'Set the passphrase' }).click();
    await expect(page.getByText(/at least 10 letters/)).toBeVisible();
    await field.fill(PASSPHRASE);
    await page.getByRole('button', { name: 'Set the passphrase' }).click();
    await expect(page.getByRole('region', { name: 'Signed in' })).toContainText('this one');
    // The same person, not a second of the name.
    await expect(page.getByRole('row', { name: /^Maud Ferrier/ })).toHaveCount(2);
    await page.getByRole('button', { name: 'Maud Ferrier: sign out' }).click();
    await page.waitForURL(/\/sign-in/);
    await page.goto(`${demoYard.url}/yard`);
    await expect(page).toHaveURL(/\/sign-in/);
  },
);
