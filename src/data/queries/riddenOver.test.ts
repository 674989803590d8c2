import { layoutVersions } from '../schema';
import { withTestDatabase } from '../testDatabase';
import { demoAt } from '../testDemo';
import { exerciseKinds, riddenOver } from './riddenOver';
import { currentYard } from './yards';

test('each version says of which layout it is and what stands on it, however often it is asked, in any order', async () => {
  await withTestDatabase(
    async database => {
      const { id: yardId } = await currentYard(database);
      const rows = await database.db.select().from(layoutVersions);
      expect(rows.length).toBeGreaterThan(1);
      const ids = rows.map(({ id }) => id);
      for (const asked of [ids.slice(0, 1), ids, [...ids].reverse(), [...ids, ...ids]]) {
        const found = await riddenOver(database.db, yardId, [...asked, 'none of them']);
        expect([...found.keys()].sort()).toEqual([...new Set(asked)].sort());
        for (const { id, layoutId, document } of rows.filter(row => asked.includes(row.id)))
          expect(found.get(id)).toEqual({ layoutId, kinds: exerciseKinds(document) });
      }
      expect(await riddenOver(database.db, 'another yard', ids)).toEqual(new Map());
    },
    demoAt(Date.parse('2026-06-01T12:00:00Z')),
  );
});
