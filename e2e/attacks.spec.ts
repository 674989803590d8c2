import path from 'node:path';
import { createClient } from '@libsql/client';
import { CHOOSE, HELP, INSTRUCT, READ, SUM } from '../src/app/_server/access/testPlaces';
import { expect, test } from './support/fixtures';
import type { RoanServer } from './support/roanServer';

/** Writes into the database of a Roan while it does not run. */
async function inDatabase(
  roan: RoanServer,
  work: (ask: (sql: string, args?: string[]) => Promise<string[]>) => Promise<void>,
) {
  await roan.kill();
  const client = createClient({ url: `file:${path.join(roan.folder, 'roan.db')}` });
  await work(async (sql, args = []) => {
    const { rows } = await client.execute({ sql, args });
    return rows.map(row => String(row[0]));
  });
  client.close();
  await roan.start();
}

/** What a page of another yard could be named by. */
const OF_YARD = {
  layoutId: 'layouts',
  lessonId: 'lessons',
  horseId: 'horses',
  versionId: 'layout_versions',
  personId: 'people',
  arenaId: 'arenas',
  pairId: 'pairs',
} as const;
type Named = keyof typeof OF_YARD;

test('the ids of another yard lead nowhere, on every page and every route', async ({ demoYard }) => {
  const ids = {} as Record<Named, string>;
  await inDatabase(demoYard, async ask => {
    // The database itself refuses rows that are torn apart so: here the pages alone are looked at.
    for (const name of await ask("select name from sqlite_master where type = 'trigger'"))
      await ask(`drop trigger "${name}"`);
    // A second yard, to which one of everything goes; what is written there later than the first is never the current one.
    await ask("insert into yards (id, name, time_zone, created_at) values ('other', 'Other', 'UTC', 99999999999999)");
    for (const [name, table] of Object.entries(OF_YARD) as [Named, string][]) {
      const [id] = await ask(`select id from ${table} where yard_id <> 'other' order by id limit 1`);
      ids[name] = id!;
    }
    for (const [name, table] of Object.entries(OF_YARD) as [Named, string][])
      await ask(`update ${table} set yard_id = 'other' where id = ?`, [ids[name]]);
  });
  const filled = (at: string) => at.replace(/\[(\w+)\]/g, (_, name: string) => ids[name as Named] ?? 'none');
  const isNamed = (at: string) => [...at.matchAll(/\[(\w+)\]/g)].some(([, name]) => name! in ids);
  const all = [...INSTRUCT, ...HELP, ...READ, ...CHOOSE, ...SUM];
  const asked: string[] = [];
  for (const name of all.filter(isNamed)) {
    const [method, route] = name.includes(' ') ? name.split(' ') : ['GET', name.replace(/\/page$/, '')];
    const at = `/${filled(route!)}`;
    const answer = await fetch(`${demoYard.url}${at}`, {
      ...{ method, redirect: 'manual' as const },
      ...(method === 'GET' ? {} : { body: '{}', headers: { 'content-type': 'application/json' } }),
    });
    const told = `${method} ${at}: ${answer.status}`;
    // What cannot be read at all is refused before it is looked for; nothing is shown either way.
    expect([400, 404, 415, 422], told).toContain(answer.status);
    asked.push(name);
  }
  expect(asked.length).toBeGreaterThan(25);
});

test(
  'a script that is kept in names and notes is shown as it is written, and runs nowhere',
  { tag: '@full' },
  async ({ demoYard, page }) => {
    const evil = '<img src=x onerror="window.ran=1"><script>window.ran=1</script>';
    await inDatabase(demoYard, async ask => {
      await ask('update horses set notes = ?', [evil]);
      for (const table of ['horses', 'people', 'layouts', 'lessons', 'arenas', 'yards'])
        await ask(`update ${table} set name = ?`, [evil]);
    });
    for (const at of ['/yard', '/plan', '/set', '/ride', '/review']) {
      await page.goto(`${demoYard.url}${at}`);
      await expect(page.getByText(evil.slice(0, 20)).first()).toBeAttached();
      const inside = await page.evaluate(() => [
        (window as unknown as { ran?: number }).ran ?? 0,
        document.querySelectorAll('img[src="x"]').length,
      ]);
      expect([at, ...inside]).toEqual([at, 0, 0]);
    }
    // In a drawing it is words of the drawing.
    const [layoutId] = /plan\/([0-9a-f-]{36})/
      .exec(await (await page.request.get(`${demoYard.url}/plan`)).text())!
      .slice(1);
    const drawing = await (await page.request.get(`${demoYard.url}/api/layouts/${layoutId}/drawing`)).text();
    expect(drawing).not.toContain('<script>');
    expect(drawing).not.toContain('<img');
  },
);
