import { eq } from 'drizzle-orm';
import { readYardCsv } from '@/files/yardCsv';
import type { CsvList } from '@/files/yardCsvColumns';
import type { Transaction } from '../database';
import { horses } from '../schema';
import { withTestDatabase } from '../testDatabase';
import { formerStatesOf } from './formerStates';
import { listHorses } from './horses';
import { listKit } from './kit';
import { listPeople } from './people';
import { listStrideTests } from './strideTests';
import { importList } from './yardLists';
import { addYard, currentYard } from './yards';

const read = (list: CsvList, text: string) => {
  const csv = readYardCsv(list, text);
  if (!csv.ok) throw new Error(JSON.stringify(csv.faults));
  return csv.content;
};

/** A transaction that counts what it is asked. */
function counted(tx: Transaction): { tx: Transaction; statements: () => number } {
  let statements = 0;
  const asked = new Proxy(tx, {
    get(target, key) {
      const value: unknown = Reflect.get(target, key);
      if (typeof value !== 'function') return value;
      if (['select', 'insert', 'update', 'delete', 'run', 'all'].includes(String(key))) statements += 1;
      return value.bind(target) as unknown;
    },
  });
  return { tx: asked, statements: () => statements };
}

/** For `count` horses: all lists of them, each with half its rows there before where `again`. */
const listsOf = (count: number, heightCm: number): [CsvList, string][] => {
  const each = (row: (index: number) => string) => Array.from({ length: count }, (_, index) => row(index)).join('\n');
  return [
    [
      'horses',
      `name,height,trot_m\n${each(index => `Horse ${index},${heightCm + (index % 10)} cm,2.${index % 5}5 m`)}`,
    ],
    ['people', `name,role\n${each(index => `Rider ${index},rider`)}`],
    ['kit', `kind,name,size,count\n${each(index => `pole,number ${index},3 m,4`)}`],
    [
      'stride-tests',
      `test,horse,gait,tested_at,lane,pace,count\n${each(index => `${index},Horse ${index},trot,2026-05-03T09:30:00Z,20,normal,8`)}`,
    ],
  ];
};

test('a long list is taken in by a few statements, and read again changes what is there', async () => {
  await withTestDatabase(async ({ db, write, ...database }) => {
    const { id: yardId } = await currentYard({ db, write, ...database });
    const takeIn = (list: CsvList, text: string) =>
      write(async real => {
        const { tx, statements } = counted(real);
        return { changes: await importList(tx, yardId, read(list, text)), statements: statements() };
      });
    for (const [list, text] of listsOf(900, 140)) {
      const { changes, statements } = await takeIn(list, text);
      expect([list, changes]).toEqual([list, { added: 900, changed: 0, left: 0 }]);
      // A tap that comes meanwhile waits for all of them.
      expect(statements).toBeLessThan(20);
    }
    for (const [list, text] of listsOf(900, 141)) {
      const { changes, statements } = await takeIn(list, text);
      const there = list === 'stride-tests' ? { changed: 0, left: 900 } : { changed: 900, left: 0 };
      expect([list, changes]).toEqual([list, { added: 0, ...there }]);
      expect(statements).toBeLessThan(20);
    }
    const horses = await listHorses(db, yardId);
    expect(horses).toHaveLength(900);
    const seven = horses.find(({ name }) => name === 'Horse 7')!;
    expect(seven).toMatchObject({ heightM: 1.48, strides: { trot: { source: 'typed', normalM: 2.25 } } });
    expect(await formerStatesOf(db, yardId, 'horse', seven.id)).toMatchObject([{ was: { heightM: 1.47 } }]);
    expect(await listStrideTests(db, yardId, seven.id)).toMatchObject([{ passes: [{ count: 8 }] }]);
    expect(await listPeople(db, yardId)).toHaveLength(900);
    expect((await listKit(db, yardId)).map(({ count }) => count)).toEqual(Array(900).fill(4));
  });
});

test('what a list of one yard changes is left alone in another', async () => {
  await withTestDatabase(async database => {
    const { db, write } = database;
    const here = (await currentYard(database)).id;
    const { id: there } = await write(tx => addYard(tx, 'Other', 'UTC'));
    for (const yardId of [here, there])
      await write(tx => importList(tx, yardId, read('people', 'name,role\nWyn,rider')));
    await write(tx => importList(tx, here, read('people', 'name,role\nWyn,helper')));
    const roleIn = async (yardId: string) => (await listPeople(db, yardId)).map(({ role }) => role);
    expect([await roleIn(here), await roleIn(there)]).toEqual([['helper'], ['rider']]);
  });
});

test('a row is known by its name, however that is written', async () => {
  await withTestDatabase(async database => {
    const { id: yardId } = await currentYard(database);
    const takeIn = (text: string) => database.write(tx => importList(tx, yardId, read('horses', text)));
    await takeIn('name,height\nMinnow,125 cm\nOtter,140 cm\n');
    expect(await takeIn('name,height\n MINNOW ,127 cm\n')).toEqual({ added: 0, changed: 1, left: 0 });
    expect((await listHorses(database.db, yardId)).map(({ name, heightM }) => [name, heightM])).toEqual([
      ['MINNOW', expect.closeTo(1.27, 9)],
      ['Otter', expect.closeTo(1.4, 9)],
    ]);
  });
});

test('a name that two of the yard bear, or that the list names twice, is refused, and nothing is taken in', async () => {
  await withTestDatabase(async database => {
    const { id: yardId } = await currentYard(database);
    const takeIn = (text: string) => database.write(tx => importList(tx, yardId, read('horses', text)));
    await takeIn('name,height\nMinnow,125 cm\nOtter,140 cm\n');
    const refused = (text: string, words: string) => expect(takeIn(text)).rejects.toThrow(words);
    await refused('name,height\nHeron,130 cm\n heron,131 cm\n', 'twice');
    await database.write(tx => tx.update(horses).set({ name: 'MINNOW' }).where(eq(horses.name, 'Otter')));
    await refused('name,height\nHeron,130 cm\nminnow,127 cm\n', 'The yard has 2 called “minnow”');
    expect((await listHorses(database.db, yardId)).map(({ name }) => name)).toEqual(['Minnow', 'MINNOW']);
  });
});
