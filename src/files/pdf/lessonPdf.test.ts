import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { lessonPdf, riderPdf, type LessonSheet } from './lessonPdf';

let folder: string;
beforeAll(() => (folder = mkdtempSync(path.join(tmpdir(), 'roan-lesson-pdf-'))));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
jest.setTimeout(60_000);

/** What is written on a page, as a reader of PDF files that is not Roan's finds it. */
function pageOf(bytes: Buffer, page = 1): { words: string; pages: number } {
  const file = path.join(folder, 'lesson.pdf');
  writeFileSync(file, bytes);
  const args = ['scripts/lib/renderPdf.mjs', file, String(page), '20', path.join(folder, 'lesson.grey')];
  const { status, stdout, stderr } = spawnSync(process.execPath, args, { encoding: 'utf8' });
  if (status !== 0) throw new Error(stderr);
  const { texts, pages } = JSON.parse(stdout) as { texts: string[]; pages: number };
  return { words: texts.join(' ').replace(/\s+/g, ' '), pages };
}

const passes = (count: number) => Array.from({ length: count }, (_, at) => `left rein, pass number ${at + 1}`);

const RIDDEN: LessonSheet['pairs'][number] = {
  ...{ horse: 'Juniper', rider: 'Wren Asher', work: '6 efforts, 0 of them at 0.9 m and over.' },
  summary: {
    stages: [
      {
        ...{ stage: 'Poles on the curve', question: 'Poles on the curve', clean: 3, passes: passes(3) },
        ...{ left: 2, right: 1, without: 0 },
      },
      {
        ...{ stage: 'Four fences', question: '1, 3, 2', clean: 1, passes: ['clean', 'down at fence 3'] },
        ...{ left: 0, right: 0, without: 2 },
      },
    ],
    next: ['One more clean pass on the right rein.'],
  },
};
const WAITING = { ...RIDDEN, horse: 'Mayfly', rider: 'Łucja Dąb', summary: { stages: [], next: [] } };

const SHEET: LessonSheet = {
  ...{ name: 'The bend, built up', when: 'Friday 27 November 2026, 10:30. Lower school' },
  stages: [
    { name: 'Poles on the curve', line: 'look early; 2 times on each rein; 10 min' },
    { name: 'Four fences', line: 'the same canter throughout; 15 min' },
  ],
  pairs: [RIDDEN, WAITING],
  putRight: 'Put right afterwards 2 times, last on 28 November 2026.',
};

test('the sheet of a lesson has its stages in their order, and what every pair rode', async () => {
  const { words, pages } = pageOf(await lessonPdf(SHEET, 'a4'));
  expect(pages).toBe(1);
  expect(words).toContain('1. Poles on the curve. look early; 2 times on each rein; 10 min');
  expect(words.indexOf('2. Four fences.')).toBeGreaterThan(words.indexOf('1. Poles on the curve.'));
  expect(words).toContain('Poles on the curve: 2 on the left rein, 1 on the right, 3 clean');
  expect(words).toContain('3. left rein, pass number 3');
  expect(words).toContain('Four fences, 1, 3, 2: 2 ridden, 1 clean');
  expect(words).toContain('2. down at fence 3');
  expect(words).toContain('Next: One more clean pass on the right rein.');
  expect(words.indexOf('Nothing was recorded.')).toBeGreaterThan(words.indexOf('Mayfly with'));
  expect(words).toContain('Put right afterwards 2 times, last on 28 November 2026.');
  expect(words).toMatch(/qualified instructor/);
});

test('a rider who rode is told of that, and of nobody else', async () => {
  const { words } = pageOf(await riderPdf(SHEET, RIDDEN, 'letter'));
  expect(words).toContain('Wren Asher with Juniper');
  expect(words).toContain('What you rode');
  expect(words).toContain('6 efforts, 0 of them at 0.9 m and over.');
  expect(words).not.toMatch(/Mayfly|2\. Four fences/);
});

test('a rider who has not ridden yet is told what is planned, in letters of every name', async () => {
  const { words } = pageOf(await riderPdf(SHEET, WAITING, 'a4'));
  expect(words.replace(/\s/g, '')).toContain('ŁucjaDąbwithMayfly');
  expect(words).toContain('2. Four fences. the same canter throughout; 15 min');
  expect(words).not.toMatch(/efforts|Nothing was recorded|Juniper/);
});

test('a long lesson goes on over pages, and no pass of it is lost', async () => {
  const long = {
    ...RIDDEN,
    summary: { ...RIDDEN.summary, stages: [{ ...RIDDEN.summary.stages[0]!, passes: passes(120) }] },
  };
  const bytes = await lessonPdf({ ...SHEET, pairs: [long] }, 'a4');
  const { pages } = pageOf(bytes);
  expect(pages).toBeGreaterThan(1);
  const all = Array.from({ length: pages }, (_, page) => pageOf(bytes, page + 1).words).join(' ');
  for (let pass = 1; pass <= 120; pass += 1) expect(all).toContain(`${pass}. left rein, pass number ${pass} `);
});
