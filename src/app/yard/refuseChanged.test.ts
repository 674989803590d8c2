import { randomUUID } from 'node:crypto';
import { once } from '@/data/queries/saves';
import { currentYard } from '@/data/queries/yards';
import { withTestDatabase } from '@/data/testDatabase';
import { refuseChanged } from './refuseChanged';

const NOW = { id: 'h1', name: 'Quill', strides: { trot: 1.3, walk: null } };
const opened = JSON.stringify(NOW);

test('a form is saved where the thing is as it was opened, in whatever order its parts come', async () => {
  await withTestDatabase(async database => {
    const { id } = await currentYard(database);
    const saveId = randomUUID();
    const ask = (sent: unknown, now: object | null = NOW) => refuseChanged(database.db, id, sent, now, 'Quill');
    expect(await ask({ opened, saveId })).toBe(saveId);
    const turned = JSON.stringify({ strides: { walk: null, trot: 1.3 }, name: 'Quill', id: 'h1' });
    expect(await ask({ opened: turned, saveId })).toBe(saveId);
    expect(await ask({ opened: null, saveId }, null)).toBe(saveId);
    // A page of before an update says nothing of it.
    for (const nothing of [undefined, null, 'x', { opened: 7 }]) expect(await ask(nothing)).toBeUndefined();
  });
});

test('what somebody else changed meanwhile is not saved over; what was saved already is done', async () => {
  await withTestDatabase(async database => {
    const { id } = await currentYard(database);
    const saveId = randomUUID();
    const changed = { ...NOW, name: 'Quill', strides: { trot: 1.35, walk: null } };
    const ask = () => refuseChanged(database.db, id, { opened, saveId }, changed, 'Quill');
    await expect(ask()).rejects.toThrow('in another window');
    await database.write(tx => once(tx, id, saveId, async () => true));
    expect(await ask()).toBe(saveId);
  });
});
