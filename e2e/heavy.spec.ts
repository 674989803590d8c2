import path from 'node:path';
import { createClient } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { MEASURE_BY } from '@/core';
import { settingPaper } from '../src/app/_server/heavy/settingPaper';
import type { RoanDatabase } from '../src/data/openDatabase';
import { listLayouts } from '../src/data/queries/layouts';
import { madePlan } from '../src/data/queries/layoutVersions';
import * as schema from '../src/data/schema';
import { expect, test } from './support/fixtures';

test('what a worker of the built server makes is what is made without one, to the last letter', async ({
  demoYard,
  request,
}) => {
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
        ...({ layout: made, whole: made, measureBy, unit: 'm', walker: null, paper: 'a4', parts: 'sheet' } as const),
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
});
