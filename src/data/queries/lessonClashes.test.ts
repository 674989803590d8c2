import { addPair, listPairs } from './pairs';
import { lessonClashes } from './lessonClashes';
import { listArenas } from './arenas';
import { saveLesson } from './lessons';
import { testYard } from './testYard';

const AT_MS = Date.parse('2026-06-10T10:00:00Z');
const MINUTE_MS = 60_000;

test('a horse, a rider or an arena that two lessons want at one time is told, and nothing that only touches', async () => {
  await testYard('Two fences', async ({ database: { db, write }, yardId }) => {
    const [lower, field] = await listArenas(db, yardId);
    const pairs = await listPairs(db, yardId);
    const [quill, barley] = [pairs.find(p => p.horseName === 'Quill')!, pairs.find(p => p.horseName === 'Barley')!];
    await write(tx => addPair(tx, yardId, barley.riderId, quill.horseId));
    const other = (await listPairs(db, yardId)).find(
      ({ riderId, horseId }) => riderId === barley.riderId && horseId === quill.horseId,
    )!;
    const stage = {
      ...{ id: 's', name: 's', layoutId: null, questions: [], focus: '', seat: 'rising' as const, eachRein: 1 },
      ...{ minutes: 45, policy: 'let it go' as const, stop: { when: 'repetitions' as const } },
    };
    const lesson = (name: string, arenaId: string, minute: number, pairIds: string[]) =>
      write(tx =>
        saveLesson(tx, yardId, {
          ...{ name, arenaId, startsAtMs: AT_MS + minute * MINUTE_MS },
          plan: { pairIds, stages: [stage], breakEveryMin: 10 },
        }),
      );
    const own = await lesson('own', lower!.id, 0, [quill.id]);
    await lesson('same horse', field!.id, 30, [other.id]);
    await lesson('same arena', lower!.id, 44, [barley.id]);
    await lesson('right behind', lower!.id, 45, [quill.id]);
    const clashes = await lessonClashes(db, yardId, own);
    expect(clashes.map(({ what, name, lesson: of }) => [what, name, of])).toEqual(
      expect.arrayContaining([
        ['horse', 'Quill', 'same horse'],
        ['arena', lower!.name, 'same arena'],
      ]),
    );
    expect(clashes).toHaveLength(2);
    const two = await lessonClashes(db, yardId, await lesson('same rider', field!.id, 20, [barley.id]));
    expect(two.map(({ what, lesson: of }) => [what, of])).toEqual(
      expect.arrayContaining([
        ['rider', 'same horse'],
        ['arena', 'same horse'],
      ]),
    );
    expect(await lessonClashes(db, yardId, 'nowhere')).toEqual([]);
  });
});
