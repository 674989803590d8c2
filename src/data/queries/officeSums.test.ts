import { withTestDatabase } from '../testDatabase';
import { demoAt } from '../testDemo';
import { officeSums, tellOffice, tellsOffice } from './officeSums';
import { listPairs } from './pairs';
import { listPasses } from './passes';
import { addYard, currentYard, findYard, listYards, renameYard } from './yards';

const NOW_MS = Date.parse('2026-06-03T12:00:00Z');
const DAY_MS = 24 * 3600 * 1000;

jest.setTimeout(90_000);

const season = demoAt(NOW_MS, 'season');

test('the office is told sums of the yards that tell them, and of no other', async () => {
  await withTestDatabase(async database => {
    const { db, write } = database;
    const yard = await currentYard(database);
    const silent = await write(tx => addYard(tx, 'The Silent Yard', 'UTC'));
    const empty = await write(tx => addYard(tx, 'An Empty Yard', 'UTC'));
    const [fromMs, untilMs] = [NOW_MS - 30 * DAY_MS, NOW_MS];
    expect(await officeSums(db, fromMs, untilMs)).toEqual([]);
    await write(async tx => {
      await tellOffice(tx, yard.id, true);
      await tellOffice(tx, empty.id, true);
      await tellOffice(tx, silent.id, true);
      await tellOffice(tx, silent.id, false);
    });
    expect(await Promise.all([yard, silent].map(({ id }) => tellsOffice(db, id)))).toEqual([true, false]);
    // Counted once more, pass by pass, as a pair's page has them.
    const pairs = await listPairs(db, yard.id);
    const ridden = (
      await Promise.all(pairs.map(async pair => ({ pair, passes: await listPasses(db, yard.id, pair.id) })))
    )
      .flatMap(({ pair, passes }) => passes.map(pass => ({ ...pass, horseId: pair.horseId })))
      .filter(({ riddenAtMs }) => riddenAtMs >= fromMs && riddenAtMs <= untilMs);
    const many = (of: (string | null)[]) => new Set(of.filter(one => one !== null)).size;
    expect(ridden.length).toBeGreaterThan(0);
    expect(await officeSums(db, fromMs, untilMs)).toEqual([
      { yardId: empty.id, yard: 'An Empty Yard', lessons: 0, passes: 0, pairs: 0, horses: 0 },
      {
        ...{ yardId: yard.id, yard: yard.name, passes: ridden.length },
        lessons: many(ridden.map(({ lessonId }) => lessonId)),
        pairs: many(ridden.map(({ pairId }) => pairId)),
        horses: many(ridden.map(({ horseId }) => horseId)),
      },
    ]);
  }, season);
});

test('a store has yards, the oldest first; each is found by its id and called as it is named', async () => {
  await withTestDatabase(async database => {
    const { db, write } = database;
    const first = await currentYard(database);
    const second = await write(tx => addYard(tx, 'Second', 'Europe/Vienna'));
    expect((await listYards(db)).map(({ id }) => id)).toEqual([first.id, second.id]);
    expect(await currentYard(database)).toEqual(first);
    await write(tx => renameYard(tx, second.id, 'The Lower Yard'));
    expect(await findYard(db, second.id)).toEqual({ ...second, name: 'The Lower Yard' });
    expect(await findYard(db, 'nowhere')).toBeNull();
  });
});
