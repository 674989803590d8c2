import { randomUUID } from 'node:crypto';
import { moveThings } from '@/core';
import { eq } from 'drizzle-orm';
import { DatabaseRefused } from '../databaseRefused';
import { layoutVersions } from '../schema';
import { findLayout, saveLayout } from './layouts';
import type { Layout } from './layout';
import { findVersion, keepVersion, listVersions } from './layoutVersions';
import { testYard, type TestYard } from './testYard';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');

const layoutOf = async ({ database, yardId, layoutId }: TestYard) => (await findLayout(database.db, yardId, layoutId))!;

/** Moves the first fence of a layout a metre on, and saves it. */
async function changed({ database, yardId, layoutId }: TestYard, layout: Layout): Promise<Layout> {
  const plan = moveThings(layout.plan, [layout.plan.items[0]!.id], { xM: 0, yM: 1 });
  const change = { layoutId, baseRevision: layout.revision, name: layout.name, plan };
  await database.write(tx => saveLayout(tx, yardId, change, NOW_MS));
  return (await findLayout(database.db, yardId, layoutId))!;
}

test('the same state is kept once, another one beside it, and each is read as it was', async () => {
  await testYard('Course of eight', async yard => {
    const { database, yardId, layoutId } = yard;
    const { db, write } = database;
    const before = await layoutOf(yard);
    const first = await write(tx => keepVersion(tx, yardId, before, 'kept'));
    expect(await write(tx => keepVersion(tx, yardId, before, 'kept'))).toBe(first);
    const after = await changed(yard, before);
    const second = await write(tx => keepVersion(tx, yardId, after, 'kept'));
    expect(second).not.toBe(first);
    const [old, young] = [await findVersion(db, yardId, first), await findVersion(db, yardId, second)];
    const fence = before.plan.items[0]!.id;
    const at = (version: typeof old) => version!.layout.items.find(({ id }) => id === fence)!.at;
    expect(at(young).yM - at(old).yM).toBeCloseTo(1, 9);
    expect(old).toMatchObject({ reason: 'kept', name: before.name, revision: before.revision });
    expect((await listVersions(db, yardId, layoutId)).map(({ id }) => id)).toEqual(
      expect.arrayContaining([first, second]),
    );
    expect((await listVersions(db, yardId, layoutId))[0]!.revision).toBe(after.revision);
  });
});

test('a version is of its own yard, and one that is not there is none', async () => {
  await testYard('Course of eight', async yard => {
    const { db, write } = yard.database;
    const layout = await layoutOf(yard);
    const id = await write(tx => keepVersion(tx, yard.yardId, layout, 'kept'));
    expect(await findVersion(db, randomUUID(), id)).toBeNull();
    expect(await findVersion(db, yard.yardId, randomUUID())).toBeNull();
  });
});

test('a version that is damaged says which it is, and does not take the page down unnamed', async () => {
  await testYard('Course of eight', async yard => {
    const { db, write } = yard.database;
    const layout = await layoutOf(yard);
    const id = await write(tx => keepVersion(tx, yard.yardId, layout, 'kept'));
    const damage = (frozen: object) =>
      write(async tx => void (await tx.update(layoutVersions).set({ frozen }).where(eq(layoutVersions.id, id))));
    await damage({ layout: { format: 'roan-layout', version: 7 } });
    const failing = expect(findVersion(db, yard.yardId, id)).rejects;
    await failing.toThrow(DatabaseRefused);
    await expect(findVersion(db, yard.yardId, id)).rejects.toThrow(
      `The kept version of “${layout.name}” cannot be read: version: this Roan reads versions 1 and 2`,
    );
    // From before versions had a layout: without its row there is nothing to read.
    await damage({ arena: layout.arena });
    await expect(findVersion(db, yard.yardId, id)).rejects.toThrow(
      `The kept version of “${layout.name}” cannot be read`,
    );
  });
});
