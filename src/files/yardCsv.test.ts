import fc from 'fast-check';
import { readYardCsv, writeYardCsv, type CsvContent } from './yardCsv';
import { CSV_COLUMNS, CSV_LISTS } from './yardCsvColumns';

function read(list: (typeof CSV_LISTS)[number], text: string) {
  const result = readYardCsv(list, text);
  if (!result.ok) throw new Error(JSON.stringify(result.faults));
  return result.content.rows;
}

const faults = (list: (typeof CSV_LISTS)[number], text: string) => {
  const result = readYardCsv(list, text);
  return result.ok ? [] : result.faults.map(({ line, column, reason }) => `${line} ${column}: ${reason}`);
};

test('horses in any unit, with what is left out as practice has it', () => {
  const [pony, other] = read(
    'horses',
    'name,height,type,trot_poles_m\nMinnow,12.2 hh,pony,"3 ft 8 in"\nPepper,160 cm,,\n',
  );
  // 12.2 hands are 50 in; 3 ft 8 in are 44 in.
  expect(pony).toMatchObject({ name: 'Minnow', type: 'pony', heightM: expect.closeTo(50 * 0.0254, 9) });
  expect(pony).toMatchObject({ strides: { 'trot-poles': expect.closeTo(44 * 0.0254, 9), walk: null } });
  expect(other).toMatchObject({ type: 'all-round', level: 'novice', bornYear: null, stiffSide: null, notes: '' });
});

test('people and kit', () => {
  expect(read('people', 'name,role,step\nGreta,Instructor,88 cm\nLenna,rider,\n')).toMatchObject([
    { name: 'Greta', role: 'instructor', stepLengthM: expect.closeTo(0.88, 9) },
    { name: 'Lenna', role: 'rider', stepLengthM: null },
  ]);
  expect(read('kit', 'kind,count,size,name\npole,12,3.5,white\nstand-pair,8,,\n')).toMatchObject([
    { kind: 'pole', count: 12, sizeM: 3.5, name: 'white' },
    { kind: 'stand-pair', count: 8, sizeM: null },
  ]);
});

const TESTS = [
  'test,horse,gait,tested_at,lane,pace,count,part,void',
  'a,Minnow,trot,2026-05-03T09:30:00Z,60 ft,normal,8,,',
  'a,Minnow,trot,2026-05-03T09:30:00Z,60 ft,short,11,0.5,',
  'a,Minnow,trot,2026-05-03T09:30:00Z,60 ft,normal,4,,yes',
].join('\n');

test('the rows of one stride test are put together', () => {
  expect(read('stride-tests', TESTS)).toEqual([
    {
      ...{ horse: 'Minnow', entry: 'trot', moment: 'apart', testedAtMs: Date.parse('2026-05-03T09:30:00Z') },
      lane: { kind: 'taped', lengthM: expect.closeTo(18.288, 9) },
      passes: [
        { pace: 'normal', count: 8, behind: null, part: null, voided: false },
        { pace: 'short', count: 11, behind: null, part: 0.5, voided: false },
        { pace: 'normal', count: 4, behind: null, part: null, voided: true },
      ],
    },
  ]);
});

test('every wrong row is named, by its line and its column, and nothing is read', () => {
  const text = 'name,height,born\nMinnow,12.2 hh,\n,160,\nPepper,9 m,\nOtter,150,soon\n';
  expect(faults('horses', text)).toEqual([
    '3 name: Give the horse a name.',
    '4 height: A horse stands 60 to 220 cm (6 to 21.2 hands) at the withers.',
    '5 born: Type the year it was born, such as 2014, or leave it empty.',
  ]);
  const strides = 'name,height,trot_poles_m\nMinnow,12.2 hh,far\n';
  expect(faults('horses', strides)).toEqual([expect.stringMatching(/^2 trot_poles_m: /)]);
});

test.each([
  ['horses', 'name\nMinnow', '“height”'],
  ['horses', 'name,height,colour\nMinnow,150,bay', 'the column “colour”'],
  ['horses', 'name,height\n', 'no rows'],
  ['people', 'name,role\nGreta,groom', '2 role'],
  ['kit', 'kind,count,size\npole,3,', '2 size'],
  ['kit', 'kind,count\nsaddle,3', '2 kind'],
  ['kit', 'kind,count\ncone,some', '2 count'],
  ['stride-tests', TESTS.replace('Z,60 ft,short', 'Z,20,short'), '3 test'],
  ['stride-tests', TESTS.replace('8,,', '8.5,,'), '2 count'],
  ['stride-tests', TESTS.replace('0.5', '0.3'), '3 part'],
  ['stride-tests', TESTS.replace('2026-05-03T', 'yesterday '), '2 tested_at'],
  [
    'stride-tests',
    TESTS.split('\n')
      .filter((_, i) => i === 0 || i === 3)
      .join('\n'),
    'is void',
  ],
] as const)('%s: %j is refused with a line', (list, text, words) => {
  expect(faults(list, text).join(' ')).toContain(words);
});

test('every column is explained', () => {
  for (const list of CSV_LISTS) for (const { words } of CSV_COLUMNS[list]) expect(words.length).toBeGreaterThan(3);
});

const words = fc
  .string({ minLength: 1, maxLength: 20 })
  .filter(text => text.trim() === text && !/[\u0000-\u001f\uFEFF]/.test(text));
const millis = (least: number, most: number) =>
  fc.integer({ min: least * 1000, max: most * 1000 }).map(mm => mm / 1000);

test('what is written reads back, whatever names and notes hold', () => {
  const horse = fc.record({
    name: words,
    heightM: millis(1, 2),
    type: fc.constantFrom('cob' as const, 'gaited' as const),
    bornYear: fc.option(fc.integer({ min: 1990, max: 2024 })),
    level: fc.constantFrom('green' as const, 'advanced' as const),
    stiffSide: fc.option(fc.constantFrom('left' as const, 'right' as const)),
    notes: fc.oneof(fc.constant(''), words),
    strides: fc.record({ trot: fc.option(millis(2, 3)), 'trot-poles': fc.option(millis(1, 2)) }),
  });
  fc.assert(
    fc.property(fc.array(horse, { minLength: 1, maxLength: 5 }), rows => {
      const content: CsvContent = { list: 'horses', rows };
      const back = readYardCsv('horses', writeYardCsv(content));
      if (!back.ok) throw new Error(JSON.stringify(back.faults));
      expect(back.content.rows).toMatchObject(rows);
    }),
    { numRuns: 60 },
  );
});

test('stride tests round trip, parts and void passes among them', () => {
  const rows = read('stride-tests', TESTS);
  const again = readYardCsv('stride-tests', writeYardCsv({ list: 'stride-tests', rows } as CsvContent));
  expect(again.ok && again.content.rows).toEqual(rows);
});
