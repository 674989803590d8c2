import { askedLayout, questionWords, questionWork, trackKey } from '@/core';
import { asToday, layoutOffers } from './layoutStages';
import { findLayout, saveLayout } from './layouts';
import { testYard, type TestYard } from './testYard';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');

async function offersOf({ database: { db }, yardId, layoutId }: TestYard) {
  return layoutOffers(db, yardId, (await findLayout(db, yardId, layoutId))!);
}

test('a track laid beside an exercise of the shelf is offered, and so is a second one over the same fences', async () => {
  await testYard('Four on the bend', async yard => {
    const { database, yardId, layoutId } = yard;
    const layout = (await findLayout(database.db, yardId, layoutId))!;
    const before = await offersOf(yard);
    const items = before.resolved.layout.items.filter(({ kind }) => kind === 'fence').map(({ id }) => id);
    const track = (id: string, name: string, through: string[]) => ({
      ...{ kind: 'items' as const, id, name, gait: 'course-canter' as const, course: null, passes: 1 },
      through: through.map(item => ({ item, reversed: false })),
      legs: through.slice(1).map(() => ({
        ...{ track: 'natural' as const, setting: 'course' as const, approach: 'canter' as const },
        ...{ asked: null, circle: null },
      })),
    });
    const tracks = [track('two', 'two of them', items.slice(0, 2)), track('three', 'three', items.slice(0, 3))];
    const plan = { ...layout.plan, tracks: [...layout.plan.tracks, ...tracks] };
    const change = { layoutId, baseRevision: layout.revision, name: layout.name, plan };
    await database.write(tx => saveLayout(tx, yardId, change, NOW_MS));
    const { questions, stages, resolved } = await offersOf(yard);
    const words = questions.map(asks => questionWords(resolved.layout, asks));
    expect(words).toEqual(expect.arrayContaining(['two of them', 'three']));
    expect(stages).toHaveLength(before.stages.length + 2);
    const two = asToday({ ...questions[words.indexOf('two of them')]!, id: 'q' }, resolved)!;
    expect(questionWork(askedLayout(resolved.layout, two.question)!).stops).toHaveLength(2);
  });
});

test('on the flat every figure is a question of its own, and the session another', async () => {
  await testYard('Three loops', async yard => {
    const { questions, resolved } = await offersOf(yard);
    const figures = resolved.layout.tracks.flatMap(track => (track.kind === 'figures' ? track.figures : []));
    expect(figures.length).toBeGreaterThan(1);
    const single = questions.filter(({ what }) => what.kind === 'figures' && what.figureIds.length === 1);
    expect(single).toHaveLength(figures.length);
    expect(new Set(questions.map(trackKey)).size).toBeGreaterThan(figures.length);
    for (const asks of questions) {
      const [track] = askedLayout(resolved.layout, { ...asks, id: 'q' })!.tracks;
      const over = asks.what.kind === 'stage' ? asks.what.over : asks.what;
      expect(track?.kind === 'figures' && over.kind === 'figures' && track.figures.length).toBe(
        over.kind === 'figures' ? over.figureIds.length : -1,
      );
    }
  });
});
