import { listArenas } from '@/data/queries/arenas';
import { listPairs } from '@/data/queries/pairs';
import { sandRecord } from '@/data/queries/sandRecord';
import { currentYard } from '@/data/queries/yards';
import { withTestDatabase } from '@/data/testDatabase';
import { demoAt } from '@/data/testDemo';
import { pairSands } from './pairSands';
import { yardStory } from './yardStory';
import { yardClock } from './yardTime';

const NOW_MS = Date.parse('2026-06-03T12:00:00Z');

// What was planted: Quill’s stride grew, her left rein was worse, and there is a bad place in each arena (demoSeason).
test('the demo’s yard is told in three sentences, each of what was planted', async () => {
  await withTestDatabase(
    async database => {
      const { id } = await currentYard(database);
      const story = await yardStory(database.db, { id, timeZone: 'UTC' });
      expect(story.map(({ of }) => of)).toEqual(['stride', 'reins', 'place']);
      const [stride, reins, place] = story;
      expect(stride!.text).toMatch(/^Quill’s canter stride between fences has grown/);
      expect(reins!.text).toMatch(/^Quill .* on the right rein/);
      expect(place!.text).toMatch(/^More goes wrong .* than elsewhere/);

      // A sand as one pair rode it: all of them together are what everybody rode, and a bad place is nobody's own.
      const pairs = await listPairs(database.db, id);
      const [arena] = await listArenas(database.db, id);
      const clock = yardClock('UTC');
      const all = await sandRecord(database.db, id, arena!, clock);
      const own = await Promise.all(
        pairs.map(async pair => (await sandRecord(database.db, id, arena!, clock, undefined, pair.id)).passes),
      );
      expect(own.reduce((sum, passes) => sum + passes, 0)).toBe(all.passes);
      for (const pair of pairs.slice(0, 3)) {
        const sands = await pairSands(database.db, { id, timeZone: 'UTC' }, pair, 'm');
        expect(sands.flatMap(({ claims }) => claims.map(({ text }) => text))).not.toContainEqual(
          expect.stringContaining('whoever rides'),
        );
      }
    },
    demoAt(NOW_MS, 'season'),
  );
});

test('an empty yard is told nothing, and nothing breaks', async () => {
  await withTestDatabase(async database => {
    const { id } = await currentYard(database);
    expect(await yardStory(database.db, { id, timeZone: 'UTC' })).toEqual([]);
  });
});
