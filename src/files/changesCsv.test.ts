import Papa from 'papaparse';
import { writeChangesCsv, type ToldChange } from './changesCsv';

const change: ToldChange = {
  ...{ when: '2026-05-04 18:20', by: 'Mira', pair: 'Barley with Bas', ridden: '2026-05-04 17:31' },
  ...{ what: 'a mark', before: '5 from fence 1, "held"', after: '6 from fence 1', afterwards: true },
};

test('a change is one row, whatever stands in it, and reads back as it was', () => {
  const read = Papa.parse<Record<string, string>>(writeChangesCsv([change, { ...change, afterwards: false }]), {
    header: true,
  });
  expect(read.data.map(({ before, afterwards }) => [before, afterwards])).toEqual([
    ['5 from fence 1, "held"', 'yes'],
    ['5 from fence 1, "held"', 'no'],
  ]);
});

test('what a spreadsheet would reckon with stays text', () => {
  expect(writeChangesCsv([{ ...change, by: '=1+1' }])).toContain("'=1+1");
});
