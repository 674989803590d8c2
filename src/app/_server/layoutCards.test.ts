import type { Horse } from '@/data/queries/horses';
import { listHorses } from '@/data/queries/horses';
import type { Layout } from '@/data/queries/layout';
import { listLayouts } from '@/data/queries/layouts';
import { testYard } from '@/data/queries/testYard';
import { layoutCards } from './layoutCards';

const PLAN = { place: 'plan', timeZone: 'Europe/London' } as const;

/** Runs a test with what a list of the demo's layouts is made from. */
const withList = (test: (read: () => Promise<[Layout[], Horse[]]>) => Promise<void>) =>
  testYard('', ({ database: { db }, yardId }) =>
    test(async () => [await listLayouts(db, yardId), await listHorses(db, yardId)]),
  );

test('a layout is reckoned for a list once, and anew where it or a horse is another one', () =>
  withList(async read => {
    const [layouts, horses] = await read();
    const [first] = layoutCards(layouts, horses, PLAN);
    const again = layoutCards(...(await read()), PLAN);
    expect(first!.tracks.length).toBeGreaterThan(0);
    expect(again[0]!.tracks).toBe(first!.tracks);

    // The first layout loses what lies on it; the others stay as they are.
    const bare = { ...layouts[0]!.plan, items: [], exercises: [], tracks: [] };
    const saved = [{ ...layouts[0]!, plan: bare, revision: layouts[0]!.revision + 1 }, ...layouts.slice(1)];
    const [emptied, ...same] = layoutCards(saved, horses, PLAN);
    expect(emptied!.items).toEqual([]);
    expect(emptied!.tracks).toEqual([]);
    same.forEach((card, index) => expect(card.tracks).toBe(again[index + 1]!.tracks));

    const renamed = horses.map(horse => ({ ...horse, name: `${horse.name} the long` }));
    const named = layoutCards(layouts, renamed, PLAN);
    expect(named[0]!.tracks).not.toBe(first!.tracks);
    expect(named.some(({ line }) => line.includes('the long'))).toBe(true);
  }));

test('a layout that came back with the number it had is told apart by when it was changed', () =>
  withList(async read => {
    const [layouts, horses] = await read();
    const [before] = layoutCards(layouts, horses, PLAN);
    const back = { ...layouts[0]!, updatedAt: new Date(1), plan: { ...layouts[0]!.plan, exercises: [], tracks: [] } };
    const [after] = layoutCards([back], horses, PLAN);
    expect(before!.tracks.length).toBeGreaterThan(0);
    expect(after!.tracks).toEqual([]);
  }));
