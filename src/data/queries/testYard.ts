import type { OpenDatabase } from '../database';
import { withTestDatabase } from '../testDatabase';
import { demoAt } from '../testDemo';
import { listLayouts } from './layouts';
import { currentYard } from './yards';

/** A yard made for one test, and a layout of it. */
export type TestYard = { database: OpenDatabase; yardId: string; layoutId: string };

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');

/** Runs a test on a fresh demo yard, with the layout whose name begins like this. */
export async function testYard(layoutName: string, test: (yard: TestYard) => Promise<void>): Promise<void> {
  await withTestDatabase(async database => {
    const yard = await currentYard(database);
    const layout = (await listLayouts(database.db, yard.id)).find(({ name }) => name.startsWith(layoutName));
    if (!layout) throw new Error(`testYard: no layout “${layoutName}”`);
    await test({ database, yardId: yard.id, layoutId: layout.id });
  }, demoAt(NOW_MS));
}
