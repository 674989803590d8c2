import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { createClient } from '@libsql/client';
import { expect, test } from './support/fixtures';
import { shelfOfNewLayout } from './support/newLayout';
import { RoanServer } from './support/roanServer';

/** A Roan that begins its thread for pages at once, and is waited for until it makes them. */
async function besidePages(): Promise<RoanServer> {
  const told = { ROAN_PAGES_AFTER_MS: '0', ROAN_LOG: 'requests' };
  const roan = await RoanServer.start('season', undefined, { told });
  await expect.poll(() => roan.output, { timeout: 60_000 }).toContain('"what":"pages","beside":true');
  return roan;
}

/** How little urgent each thread of a process is, as the system sees it. */
const urgencyOfThreads = (pid: number) =>
  readdirSync(`/proc/${pid}/task`).map(id =>
    Number(readFileSync(`/proc/${pid}/task/${id}/stat`, 'utf8').split(') ')[1]!.split(' ')[16]),
  );

test(
  'pages that a thread beside the taps makes are the same, and show at once what was changed',
  { tag: '@full' },
  async ({ strictPage: page }) => {
    const roan = await besidePages();
    const alone = await RoanServer.start('season', undefined, { told: { ROAN_PAGES_AFTER_MS: '3600000' } });
    try {
      expect(urgencyOfThreads(roan.pid)).toContain(10);
      expect(urgencyOfThreads(alone.pid)).not.toContain(10);
      const told = async (server: RoanServer, address: string) => {
        await page.goto(`${server.url}${address}`);
        return page.locator('main').innerText();
      };
      const db = createClient({ url: `file:${path.join(roan.folder, 'roan.db')}` });
      const id = async (table: string) => String((await db.execute(`select id from ${table} limit 1`)).rows[0]!.id);
      const pairId = await id('pairs');
      const places = ['/today', '/plan', '/review', `/review/${pairId}`, `/yard/horses`, `/set/${await id('layouts')}`];
      for (const place of places) expect(await told(roan, place)).toBe(await told(alone, place));

      // What is changed by the one is read by the other.
      await shelfOfNewLayout(page, roan, 'Made beside pages', 'Osprey');
      await page.goto(`${roan.url}/plan`);
      await expect(page.getByText('Made beside pages').first()).toBeVisible();
      const passes = async () => /(\d+) passes/.exec(await told(roan, `/review/${pairId}`))?.[1];
      const before = Number(await passes());
      expect(before).toBeGreaterThan(0);
      const ridden = await db.execute({
        sql: 'select p.layout_version_id as version, q.document as question from passes p join questions q on q.id = p.question_id where p.pair_id = ?',
        args: [pairId],
      });
      const { version, question } = ridden.rows[0] as unknown as Record<'version' | 'question', string>;
      const pass = {
        ...{ id: randomUUID(), pairId, layoutVersionId: version, lessonId: null, stageId: null, stage: 'Beside' },
        ...{ question: JSON.parse(question) as unknown, rein: null, direction: 'as-drawn', riddenAtMs: Date.now() },
      };
      const sent = {
        lessonId: null,
        events: [{ type: 'pass', id: randomUUID(), by: null, pass }],
        sentAtMs: Date.now(),
      };
      const answer = await page.request.post(`${roan.url}/api/record`, { headers: { origin: roan.url }, data: sent });
      expect(await answer.text()).toContain('"taken":1');
      await expect.poll(passes).toBe(String(before + 1));
      // And what a page found out on its way is kept: no day waits to be read.
      const changed = async () => Number((await db.execute('select count(*) as n from changed_days')).rows[0]!.n);
      await expect.poll(changed).toBe(0);
      db.close();
    } finally {
      await alone.stop();
      await roan.stop();
    }
  },
);

test('what a page has to keep is kept where pages are made beside the taps: a lesson is begun, a link is read', async ({
  page,
}) => {
  const roan = await besidePages();
  const db = createClient({ url: `file:${path.join(roan.folder, 'roan.db')}` });
  const rows = async (sql: string) => Number((await db.execute(sql)).rows[0]!.n);
  try {
    const put = async (exercise: string) => {
      await page.getByRole('textbox', { name: 'Search the shelf' }).fill(exercise);
      const kept = page.waitForResponse(answer => answer.request().method() === 'PUT' && answer.ok());
      await page.getByRole('dialog').getByRole('listitem').getByRole('button').first().click();
      await page.getByRole('button', { name: 'Put it on the sand' }).click();
      await kept;
    };
    await shelfOfNewLayout(page, roan, 'Changed at the desk', 'Osprey');
    await put('four poles');
    const plan = page.url();
    await page.getByRole('button', { name: 'Teach this now' }).click();
    await page.getByRole('button', { name: /^Begin with/ }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Before anybody rides' })).toBeVisible();
    const lesson = page.url();
    // It is changed at the desk, and nobody has ridden it so: whoever opens the lesson keeps it as it stands.
    await page.goto(plan);
    await page.getByRole('button', { name: 'Shelf' }).click();
    await put('spiral');
    const before = await rows('select count(*) as n from layout_versions');
    await page.goto(lesson);
    await expect(page.getByRole('heading', { level: 1, name: 'Before anybody rides' })).toBeVisible();
    expect(await rows('select count(*) as n from layout_versions')).toBe(before + 1);

    await page.goto(`${roan.url}/yard/access`);
    await page.getByRole('combobox', { name: 'What it shows' }).click();
    await page.getByRole('option', { name: 'A layout' }).click();
    await page.getByRole('combobox', { name: 'Which' }).click();
    await page.getByRole('option', { name: 'Changed at the desk' }).click();
    await page.getByRole('button', { name: 'Make a link' }).click();
    const href = (await page.getByTestId('link').textContent())!;
    await page.goto(`${roan.url}${new URL(href).pathname}`);
    await expect(page.getByRole('heading', { level: 1, name: 'Changed at the desk' })).toBeVisible();
    await expect.poll(() => rows('select count(last_used_at) as n from share_links')).toBe(1);
  } finally {
    db.close();
    await roan.stop();
  }
});
