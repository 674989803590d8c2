import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { askedToShow, newItem, type Layout, type LayoutHorse, type Question } from '@/core';
import { lessonPdf, riderPdf, type LessonSheet, type SheetPair } from './lessonPdf';
import { PdfPaper, type PaperSize } from './pdfPaper';
import { DPI, lineMiddlesMm, pdfPage, runs } from './testPdf';

let folder: string;
beforeAll(() => (folder = mkdtempSync(path.join(tmpdir(), 'roan-lesson-pdf-'))));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
jest.setTimeout(60_000);

const pageOf = (bytes: Buffer, page = 1) => pdfPage(bytes, path.join(folder, 'lesson.pdf'), { page });

const passes = (count: number) => Array.from({ length: count }, (_, at) => `left rein, pass number ${at + 1}`);

/** Two verticals 18 m apart on the centre line. */
const LINE: Layout = {
  ...{ name: 'Line', arena: { widthM: 20, lengthM: 60, letters: '20x60' }, fall: null, school: 'whole-stride' },
  items: [20, 38].map((yM, i) => ({
    ...newItem('vertical', `f${i + 1}`, { xM: 10, yM }, Math.PI / 2),
    groundLineBeforeM: null,
  })),
  tracks: [
    {
      ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1 },
      through: ['f1', 'f2'].map(item => ({ item, reversed: false })),
      legs: [{ track: 'natural', setting: 'course', approach: 'canter', asked: 4, circle: null }],
    },
  ],
  horses: [],
  kit: null,
} as unknown as Layout;
const JUNIPER: LayoutHorse = {
  ...{ id: 'juniper', name: 'Juniper', heightM: 1.6, type: 'all-round', level: 'novice', strides: {} },
} as unknown as LayoutHorse;
const IN_FOUR: Question = {
  ...{
    id: 'four',
    name: null,
    what: { kind: 'track', trackId: 'line' },
    gait: 'course-canter',
    rein: null,
    asked: [4],
  },
  state: { out: [], asPole: [], raisedM: {}, heightM: {}, form: {} },
};
const show = (asked: number) => askedToShow(LINE, { ...IN_FOUR, asked: [asked] }, JUNIPER)!;

const RIDDEN: SheetPair = {
  ...{ horse: 'Juniper', rider: 'Wren Asher', work: '6 efforts, 0 of them at 0.9 m and over.' },
  words: 'Look up earlier — and breathe.',
  asked: [{ stage: 'Four fences', line: 'the same canter throughout', shows: [show(4)] }],
  end: {
    ...{
      ridden: '5 passes, 4 of them clean.',
      best: 'Four fences: 2 clean one after the other.',
      change: '1, 3, 2: from down to clean.',
      reins: null,
    },
    next: ['One more clean pass on the right rein.'],
    summary: {
      stages: [
        {
          ...{ stage: 'Poles on the curve', question: 'Poles on the curve', clean: 3, passes: passes(3) },
          ...{ left: 2, right: 1, without: 0, change: null, minutes: 6.2 },
        },
        {
          ...{ stage: 'Four fences', question: '1, 3, 2', clean: 1, passes: ['clean', 'down at fence 3'] },
          ...{ left: 0, right: 0, without: 2, change: { before: 'down', after: 'clean' }, minutes: 3 },
        },
      ],
      next: ['One more clean pass on the right rein.'],
    },
  },
};
const WAITING: SheetPair = {
  ...{ ...RIDDEN, horse: 'Mayfly', rider: 'Łucja Dąb', words: '' },
  asked: [
    { stage: 'Four fences', line: 'the same canter throughout', shows: [show(4)] },
    { stage: 'And in five', line: '', shows: [show(5)] },
  ],
  end: {
    ridden: 'Nothing was ridden.',
    best: null,
    change: null,
    reins: null,
    next: [],
    summary: { stages: [], next: [] },
  },
};

const SHEET: LessonSheet = {
  ...{
    name: 'The bend, built up',
    when: 'Friday 27 November 2026, 10:30. Lower school',
    unit: 'm',
    gaitWords: 'english',
  },
  stages: [
    { name: 'Poles on the curve', line: 'look early; 2 times on each rein; 10 min', asked: [], watch: [] },
    {
      ...{
        name: 'Four fences',
        line: 'the same canter throughout; 15 min',
        watch: ['Stand: at the middle of the line.'],
      },
      asked: [{ show: show(4), readings: [{ horse: 'Juniper', legs: ['fence 1 to fence 2 easy four'] }] }],
    },
  ],
  cautions: ['Vertical 1 stands near the wall.'],
  pairs: [RIDDEN, WAITING],
  putRight: 'Put right afterwards 2 times, last on 28 November 2026.',
};

test('the sheet of a lesson has its stages in their order, and what every pair rode', async () => {
  const bytes = await lessonPdf(SHEET, 'a4');
  const { pages } = pageOf(bytes);
  const words = Array.from({ length: pages }, (_, page) => pageOf(bytes, page + 1).words).join(' ');
  expect(words).toContain('Stand: at the middle of the line.');
  expect(words).toContain('Juniper: fence 1 to fence 2 easy four.');
  expect(words).toContain('Vertical 1 stands near the wall.');
  expect(words).toContain('1. Poles on the curve. look early; 2 times on each rein; 10 min');
  expect(words.indexOf('2. Four fences.')).toBeGreaterThan(words.indexOf('1. Poles on the curve.'));
  expect(words).toContain('Poles on the curve: 2 on the left rein, 1 on the right, 3 clean, about 6');
  expect(words).toContain('3. left rein, pass number 3');
  expect(words).toContain('Four fences, 1, 3, 2: 2 ridden, 1 clean');
  expect(words).toContain('2. down at fence 3');
  expect(words).toContain('Next: One more clean pass on the right rein.');
  expect(words.indexOf('Nothing was recorded.')).toBeGreaterThan(words.indexOf('Mayfly with'));
  expect(words).toContain('Put right afterwards 2 times, last on 28 November 2026.');
  expect(words).toMatch(/qualified instructor/);
});

test('a pair begins where there is room below its head, and what was put right is said where anything was', async () => {
  const { line } = PdfPaper.prototype;
  const said: { words: Parameters<typeof line>[0]; leftMm: number }[] = [];
  const spy = jest.spyOn(PdfPaper.prototype, 'line').mockImplementation(function (this: PdfPaper, words, gapMm) {
    said.push({ words, leftMm: this.leftMm });
    line.call(this, words, gapMm);
  });
  const rode = (count: number): SheetPair => {
    const [first] = RIDDEN.end.summary.stages;
    return { ...RIDDEN, end: { ...RIDDEN.end, summary: { next: [], stages: [{ ...first!, passes: passes(count) }] } } };
  };
  const many = Array.from({ length: 14 }, (_, count) => [rode(count), WAITING]).flat();
  const bytes = await lessonPdf({ ...SHEET, pairs: many, putRight: null }, 'a4');
  await lessonPdf(SHEET, 'a4');
  spy.mockRestore();
  expect(pageOf(bytes).pages).toBeLessThan(8);
  const heads = said.filter(({ words }) => / with /.test(words.text));
  expect(heads).toHaveLength(30);
  for (const { words, leftMm } of heads) expect([words.bold, leftMm > 28]).toEqual([true, true]);
  const putRight = said.filter(({ words }) => words.text?.startsWith('Put right') ?? true);
  expect(putRight.map(({ words }) => words)).toEqual([{ text: SHEET.putRight, grey: true }]);
  // The line from the saddle is on a rider's own sheet.
  expect(said.some(({ words }) => words.text.includes('From the saddle'))).toBe(false);
});

test('a rider who rode is told of that, and of nobody else', async () => {
  const bytes = await riderPdf(SHEET, RIDDEN, 'letter');
  const { words } = pageOf(bytes);
  expect(words).toContain('A word from your instructor Look up earlier — and breathe.');
  expect(words).toContain('Best: Four fences: 2 clean one after the other.');
  expect(words).not.toContain('Said:');
  expect(words).toContain('Wren Asher with Juniper');
  expect(words).toContain('What you rode');
  expect(words).toContain('6 efforts, 0 of them at 0.9 m and over.');
  expect(words).not.toMatch(/Mayfly|2\. Four fences/);
});

test('a rider who has not ridden yet is told what is planned, in letters of every name', async () => {
  const { words } = pageOf(await riderPdf(SHEET, WAITING, 'a4'));
  expect(words.replace(/\s/g, '')).toContain('ŁucjaDąbwithMayfly');
  expect(words).toContain('What you will be asked Four fences the same canter throughout');
  // A stride of 3.4 m or so: 18 m of ground in four.
  expect(words).toMatch(/fence 1 to fence 2: 18\.00 m, straight on: four asked/);
  expect(words).toMatch(/And in five (track )?Drawn above\./);
  // Once for what is drawn once.
  expect(words.match(/From the saddle, 12 m before fence 1/g)).toHaveLength(1);
  expect(words).toMatch(/five asked/);
  expect(words).not.toMatch(/efforts|Nothing was recorded|Juniper/);
});

test('a long lesson goes on over pages, and no pass of it is lost', async () => {
  const long = {
    ...RIDDEN,
    end: { ...RIDDEN.end, summary: { next: [], stages: [{ ...RIDDEN.end.summary.stages[0]!, passes: passes(120) }] } },
  };
  const bytes = await lessonPdf({ ...SHEET, pairs: [long] }, 'a4');
  const { pages } = pageOf(bytes);
  expect(pages).toBeGreaterThan(1);
  const all = Array.from({ length: pages }, (_, page) => pageOf(bytes, page + 1).words).join(' ');
  for (let pass = 1; pass <= 120; pass += 1) expect(all).toContain(`${pass}. left rein, pass number ${pass} `);
});

// ISO 216 and ANSI/ASME Y14.1 (from memory): A4 is 210 × 297 mm, Letter 8.5 × 11 in.
test.each(['a4', 'letter'] as PaperSize[])('on %s the course of a rider is drawn to scale', async paper => {
  const page = pdfPage(await riderPdf(SHEET, WAITING, paper), path.join(folder, `${paper}.pdf`), { dpi: DPI });
  const mmPerM = 1000 / Number(/Drawn 1 : (\d+)/.exec(page.words)?.[1]);
  const mm = DPI / 25.4;
  for (const { from, to } of runs(page, 'row', 60 * mmPerM))
    expect(Math.abs((to - from) / mm - 60 * mmPerM)).toBeLessThan(0.5);
  expect(runs(page, 'row', 60 * mmPerM).length).toBeGreaterThan(0);
  // The rails are strokes across the way: from one to the next are 18 m.
  const { widthM } = LINE.items[0] as { widthM: number };
  const rails = lineMiddlesMm(runs(page, 'column', widthM * mmPerM));
  const apart = rails.flatMap((one, at) => rails.slice(at + 1).map(other => other - one));
  expect(apart.some(gap => Math.abs(gap - 18 * mmPerM) < 0.5)).toBe(true);
});
