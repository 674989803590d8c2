import { randomUUID } from 'node:crypto';
import { DEFAULT_LEG, newItem, type Item, type PlannedTrack } from '@/core';
import { eq } from 'drizzle-orm';
import { ownExercises, yards } from '../schema';
import { withTestDatabase } from '../testDatabase';
import { addOwnExercise, listOwnExercises } from './ownExercises';
import { currentYard } from './yards';

const ITEMS: Item[] = [
  newItem('vertical', 'ash', { xM: 0, yM: -9 }, Math.PI / 2),
  newItem('oxer', 'elm', { xM: 0, yM: 9 }, Math.PI / 2),
];
const TRACKS: PlannedTrack[] = [
  {
    ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1, legs: [DEFAULT_LEG] },
    through: ITEMS.map(({ id }) => ({ item: id, reversed: false })),
  },
];

const own = (title: string) => ({
  ...{ title, purposes: ['rhythm' as const], level: 'novice' as const, items: ITEMS, tracks: TRACKS },
});

test('what was kept on the shelf comes from it as it was arranged, by its title', async () => {
  await withTestDatabase(async database => {
    const { db, write } = database;
    const yard = await currentYard(database);
    const second = await write(tx => addOwnExercise(tx, yard.id, own('Willow line')));
    const first = await write(tx => addOwnExercise(tx, yard.id, own('Alder line')));
    const listed = await listOwnExercises(db, yard.id);
    expect(listed.map(({ id }) => id)).toEqual([first, second]);
    expect(listed[0]).toMatchObject({ title: 'Alder line', purposes: ['rhythm'], level: 'novice' });
    expect(listed[0]!.items).toEqual(ITEMS);
    expect(listed[0]!.tracks).toEqual(TRACKS);
  });
});

test('what was put away, or is another yard’s, is not on this shelf', async () => {
  await withTestDatabase(async database => {
    const { db, write } = database;
    const yard = await currentYard(database);
    const other = randomUUID();
    await write(async tx => {
      const [row] = (await tx.select().from(yards)) as [typeof yards.$inferSelect];
      await tx.insert(yards).values({ ...row, id: other, name: 'Over the hill' });
      const away = await addOwnExercise(tx, yard.id, own('Put away'));
      await tx
        .update(ownExercises)
        .set({ archivedAt: new Date(0) })
        .where(eq(ownExercises.id, away));
      await addOwnExercise(tx, other, own('Theirs'));
    });
    expect(await listOwnExercises(db, yard.id)).toEqual([]);
    expect(await listOwnExercises(db, other)).toHaveLength(1);
  });
});

test('one that is damaged is named', async () => {
  await withTestDatabase(async database => {
    const { db, write } = database;
    const yard = await currentYard(database);
    await write(async tx => {
      const id = await addOwnExercise(tx, yard.id, own('Alder line'));
      await tx
        .update(ownExercises)
        .set({ document: { format: 'a poem' } })
        .where(eq(ownExercises.id, id));
    });
    await expect(listOwnExercises(db, yard.id)).rejects.toThrow('“Alder line” on the shelf cannot be read');
  });
});
