import { openReader } from './openReader';
import { renameYard, currentYard } from './queries/yards';
import { yards } from './schema';
import { withTestDatabase } from './testDatabase';

test('while all there is is read, of one moment, somebody writes: neither waits for the other', async () => {
  await withTestDatabase(async (database, url) => {
    const before = process.env.ROAN_DATABASE_URL;
    process.env.ROAN_DATABASE_URL = url;
    const reader = await openReader();
    try {
      const { id } = await currentYard(database);
      const [first] = await reader.db.select().from(yards);
      await reader.db.transaction(async tx => {
        expect(await tx.select().from(yards)).toEqual([first]);
        await database.write(writing => renameYard(writing, id, 'Another name'));
        expect(await tx.select().from(yards)).toEqual([first]);
      });
      expect((await reader.db.select().from(yards))[0]!.name).toBe('Another name');
    } finally {
      reader.close();
      process.env.ROAN_DATABASE_URL = before;
      if (before === undefined) delete process.env.ROAN_DATABASE_URL;
    }
  });
});
