import { randomUUID } from 'node:crypto';
import { addLayout, findLayout, listLayouts, saveLayout } from './layouts';
import { once } from './saves';
import { testYard } from './testYard';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');

test('a save whose answer was lost has the same answer when it is sent again, and is no conflict with itself', async () => {
  await testYard('Course', async ({ database: { db, write }, yardId, layoutId }) => {
    const layout = (await findLayout(db, yardId, layoutId))!;
    const save = (saveId: string, name: string) =>
      write(tx =>
        once(tx, yardId, saveId, () =>
          saveLayout(tx, yardId, { layoutId, baseRevision: layout.revision, name, plan: layout.plan }, NOW_MS),
        ),
      );
    const saveId = randomUUID();
    const first = await save(saveId, 'once');
    expect(first).toEqual({ kind: 'saved', revision: layout.revision + 1 });
    expect(await save(saveId, 'once')).toEqual(first);
    expect((await findLayout(db, yardId, layoutId))!.revision).toBe(layout.revision + 1);
    // Another save from the same revision is one of another window.
    expect((await save(randomUUID(), 'another')).kind).toBe('stale');
  });
});

test('a copy that is sent twice is one copy; without a name each is its own', async () => {
  await testYard('Course', async ({ database: { db, write }, yardId, layoutId }) => {
    const { arena, plan } = (await findLayout(db, yardId, layoutId))!;
    const copy = (saveId?: string) =>
      write(tx => once(tx, yardId, saveId, () => addLayout(tx, yardId, { name: 'copy', arenaId: arena.id, plan })));
    const saveId = randomUUID();
    expect(await copy(saveId)).toBe(await copy(saveId));
    expect(await copy()).not.toBe(await copy());
    expect((await listLayouts(db, yardId)).filter(({ name }) => name === 'copy')).toHaveLength(3);
  });
});

test('what fails is not kept as done', async () => {
  await testYard('Course', async ({ database: { write }, yardId }) => {
    const saveId = randomUUID();
    const failing = write(tx => once(tx, yardId, saveId, () => Promise.reject(new Error('disk'))));
    await expect(failing).rejects.toThrow();
    expect(await write(tx => once(tx, yardId, saveId, async () => 'done'))).toBe('done');
  });
});
