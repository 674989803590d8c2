import { seedDemo } from '@/data/demo/seedDemo';
import { currentYard } from '@/data/queries/yards';
import { withTestDatabase } from '@/data/testDatabase';
import { yardStory } from './yardStory';

const NOW_MS = Date.parse('2026-06-03T12:00:00Z');

// What was planted: Quill’s stride grew, her left rein was worse, and there is a bad place in each arena (demoSeason).
test('the demo’s yard is told in three sentences, each of what was planted', async () => {
  await withTestDatabase(async database => {
    await seedDemo(database, NOW_MS, true);
    const { id } = await currentYard(database);
    const story = await yardStory(database.db, { id, timeZone: 'UTC' });
    expect(story.map(({ of }) => of)).toEqual(['stride', 'reins', 'place']);
    const [stride, reins, place] = story;
    expect(stride!.text).toMatch(/^Quill’s canter stride between fences has grown/);
    expect(reins!.text).toMatch(/^Quill .* on the right rein/);
    expect(place!.text).toMatch(/^More goes wrong .* than elsewhere/);
  });
});

test('an empty yard is told nothing, and nothing breaks', async () => {
  await withTestDatabase(async database => {
    const { id } = await currentYard(database);
    expect(await yardStory(database.db, { id, timeZone: 'UTC' })).toEqual([]);
  });
});
