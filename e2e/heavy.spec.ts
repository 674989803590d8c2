import path from 'node:path';
import { createClient } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { MEASURE_BY } from '@/core';
import { settingPaper } from '../src/app/_server/heavy/settingPaper';
import type { RoanDatabase } from '../src/data/database';
import { listLayouts } from '../src/data/queries/layouts';
import { madePlan } from '../src/data/queries/layoutVersions';
import * as schema from '../src/data/schema';
import { expect, test } from './support/fixtures';

test(
  'what a worker of the built server makes is what is made without one, to the last letter',
  { tag: '@full' },
  async ({ demoYard, request }) => {
    const client = createClient({ url: `file:${path.join(demoYard.folder, 'roan.db')}` });
    const db = drizzle(client, { schema }) as unknown as RoanDatabase;
    const [{ id: yardId }] = (await db.select().from(schema.yards)) as [typeof schema.yards.$inferSelect];
    const withoutDate = (pdf: Buffer) => pdf.toString('latin1').replace(/\(D:\d{14}Z\)|\/ID \[[^\]]*\]/g, '');
    let compared = 0;
    for (const layout of await listLayouts(db, yardId)) {
      const made = (await madePlan(db, yardId, layout)).layout;
      if (made.items.length === 0) continue;
      for (const measureBy of MEASURE_BY) {
        const wish = {
          ...({
            layout: made,
            whole: made,
            measureBy,
            unit: 'm',
            gaitWords: 'english',
            walker: null,
            paper: 'a4',
            parts: 'sheet',
          } as const),
          ...{ arenaName: layout.arena.name, marks: layout.arena.marks, stageName: null },
          from: layout.arena.marks.entrance ?? { xM: made.arena.widthM / 2, yM: 0 },
        };
        const asked = (as: string) =>
          request.get(`${demoYard.url}/api/layouts/${layout.id}/sheet?as=${as}&by=${measureBy}&steps=none`);
        const csv = await asked('csv');
        expect(csv.ok()).toBe(true);
        expect((await csv.text()).replace(/^\ufeff/, '')).toBe(
          String(await settingPaper({ ...wish, as: 'csv' })).replace(/^\ufeff/, ''),
        );
        compared += 1;
        if (measureBy !== 'line') continue;
        const pdf = await asked('pdf');
        expect(withoutDate(await pdf.body())).toBe(
          withoutDate(Buffer.from((await settingPaper({ ...wish, as: 'pdf' })) as Uint8Array)),
        );
      }
    }
    expect(compared).toBeGreaterThan(5);
    client.close();
  },
);

test('a paper that takes long says so and is kept when it is there; whoever will not wait stops it, and what is refused is said', async ({
  demoYard,
  strictPage: page,
}) => {
  await page.goto(`${demoYard.url}/plan`);
  const plan = (await page
    .getByRole('link', { name: /^Course of eight/ })
    .first()
    .getAttribute('href'))!;
  let slowMs = 2500;
  let asked = 0;
  await page.route(/\/sheet\?.*as=pdf/, async route => {
    asked += 1;
    await new Promise(resolve => setTimeout(resolve, slowMs));
    // Whoever stopped it does not wait any more.
    await route.continue().catch(() => undefined);
  });
  await page.goto(`${demoYard.url}${plan.replace('/plan/', '/set/')}`);
  const ask = async () => {
    await page.getByRole('button', { name: 'On paper' }).click();
    await page.getByRole('menuitem', { name: 'The sheet' }).first().click();
  };
  const making = page.getByText(/^The sheet is being made/);
  const download = page.waitForEvent('download');
  await ask();
  await expect(making).toBeVisible();
  expect((await download).suggestedFilename()).toMatch(/\.pdf$/);
  await expect(making).toHaveCount(0);

  slowMs = 20_000;
  await ask();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(making).toHaveCount(0);
  expect(asked).toBe(2);

  await page.unroute(/\/sheet\?.*as=pdf/);
  await page.route(/\/sheet\?.*as=pdf/, route =>
    route.fulfill({
      status: 503,
      json: { problem: 'Roan is busy with what others asked for: ask once more in a moment.' },
    }),
  );
  await ask();
  await expect(page.getByText('Roan is busy with what others asked for')).toBeVisible();
});

test(
  'after a kill the review says the same, and what is marked since is in it',
  { tag: '@full' },
  async ({ seasonYard, request }) => {
    const words = async () => {
      const list = await (await request.get(`${seasonYard.url}/review`)).text();
      const pair = /\/review\/[0-9a-f]{8}-[0-9a-f-]{27}/.exec(list)![0];
      const page = await (await request.get(`${seasonYard.url}${pair}`)).text();
      return { pair, said: [...page.matchAll(/<summary>([^<]+)<\/summary>/g)].map(found => found[1]), page };
    };
    const before = await words();
    expect(before.said.length).toBeGreaterThan(2);
    await seasonYard.kill();
    await seasonYard.start();
    const after = await words();
    expect(after.said).toEqual(before.said);
    // Beside Roan's back, as a restore would: what is kept is of before, and nobody is told the old.
    const passes = /(\d+) passes recorded/.exec(after.page)![1];
    await seasonYard.kill();
    const client = createClient({ url: `file:${path.join(seasonYard.folder, 'roan.db')}` });
    const pairId = before.pair.split('/').at(-1)!;
    await client.execute({
      sql: `update passes set undone_at = 1 where id in (select id from passes where pair_id = ? and undone_at is null limit 3)`,
      args: [pairId],
    });
    client.close();
    await seasonYard.start();
    const changed = await words();
    expect(Number(/(\d+) passes recorded/.exec(changed.page)![1])).toBe(Number(passes) - 3);
  },
);
