import { sql } from 'drizzle-orm';
import { StoreFault } from '../databaseRefused';
import { keptAsItStands } from './keptAsItStands';
import { keeperOf, keptThrough } from './kept/findings';
import { findLayout, saveLayout } from './layouts';
import { testYard, type TestYard } from './testYard';

const versions = async ({ database }: TestYard) =>
  (await database.db.all<{ n: number }>(sql`select count(*) as n from layout_versions`))[0]!.n;

test('a layout is kept as it stands once, by whoever asks first', async () => {
  await testYard('Four on the bend', async yard => {
    const { database, yardId, layoutId } = yard;
    const layout = (await findLayout(database.db, yardId, layoutId))!;
    const before = await versions(yard);
    const first = await keptAsItStands(database.db, yardId, layout);
    expect(await keptAsItStands(database.db, yardId, layout)).toBe(first);
    expect(await versions(yard)).toBe(before + 1);
  });
});

test('what only reads has it kept by whoever writes for it, and finds it then', async () => {
  await testYard('Four on the bend', async yard => {
    const { database, yardId, layoutId } = yard;
    const layout = (await findLayout(database.db, yardId, layoutId))!;
    const beside = { ...database.db } as typeof database.db;
    Object.setPrototypeOf(beside, Object.getPrototypeOf(database.db) as object);
    const asked: string[] = [];
    keptThrough(beside, async finding => {
      asked.push(finding.what);
      await keeperOf(database.db)!(finding);
    });
    const id = await keptAsItStands(beside, yardId, layout);
    expect(asked).toEqual(['as it stands']);
    expect(await keptAsItStands(beside, yardId, layout)).toBe(id);
    // Nothing has to be kept that is kept.
    expect(asked).toHaveLength(1);
  });
});

test('one that was changed meanwhile is kept as it is now', async () => {
  await testYard('Four on the bend', async ({ database, yardId, layoutId }) => {
    const layout = (await findLayout(database.db, yardId, layoutId))!;
    await database.write(tx =>
      saveLayout(
        tx,
        yardId,
        { layoutId, name: 'Renamed', plan: layout.plan, baseRevision: layout.revision },
        Date.now(),
      ),
    );
    const now = (await findLayout(database.db, yardId, layoutId))!;
    expect(now.name).toBe('Renamed');
    expect(await keptAsItStands(database.db, yardId, layout)).toBe(await keptAsItStands(database.db, yardId, now));
  });
});

test('where nothing can be kept, or the layout is gone, it says so', async () => {
  await testYard('Four on the bend', async ({ database, yardId, layoutId }) => {
    const layout = (await findLayout(database.db, yardId, layoutId))!;
    const full = { ...database.db } as typeof database.db;
    Object.setPrototypeOf(full, Object.getPrototypeOf(database.db) as object);
    keptThrough(full, async () => {
      throw new StoreFault('The disk is full.');
    });
    await expect(keptAsItStands(full, yardId, layout)).rejects.toThrow('The disk is full.');
    await expect(keptAsItStands(database.db, yardId, { ...layout, id: 'gone' })).rejects.toThrow('cannot be kept');
  });
});
