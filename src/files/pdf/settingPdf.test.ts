import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { newItem, placingTolerance, reckonLayout, settingSheet, type Layout } from '@/core';
import { printedSheet } from '../printedSheet';
import { distanceCardsPdf } from './cardsPdf';
import type { PaperSize } from './pdfPaper';
import { pdfRuns } from './pdfText';
import { settingPdf } from './settingPdf';
import { DPI, lineMiddlesMm, pdfPage, runs, type PdfPage } from './testPdf';

const MM = DPI / 25.4;

let folder: string;
beforeAll(() => (folder = mkdtempSync(path.join(tmpdir(), 'roan-pdf-'))));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
jest.setTimeout(60_000);

/** Two poles 6 m apart and a vertical 18 m on, on the centre line of a long arena. */
const POLES_M = [20, 26] as const;
const LAYOUT: Layout = {
  ...{ name: 'Łąka lane', arena: { widthM: 20, lengthM: 60, letters: '20x60' }, fall: null, school: 'whole-stride' },
  items: [
    ...POLES_M.map((yM, i) => ({ ...newItem('pole', `p${i + 1}`, { xM: 10, yM }, Math.PI / 2), lengthM: 3.5 })),
    newItem('vertical', 'heron', { xM: 10, yM: 44 }, Math.PI / 2),
  ],
  tracks: [
    {
      ...{ kind: 'items', id: 'lane', gait: 'canter', course: null, passes: 1 },
      through: ['p1', 'p2', 'heron'].map(item => ({ item, reversed: false })),
      legs: [1, 2].map(() => ({ track: 'natural', setting: 'course', approach: 'canter', asked: null, circle: null })),
    },
  ],
  horses: [{ name: 'Juniper', heightM: 1.6, type: 'all-round', level: 'novice', strides: {} }],
  kit: { poles: 3, stands: 2, cups: 20, blocks: 0, cones: 4, fillers: 0, markers: 0 },
} as Layout;

async function rendered(paper: PaperSize, page = 1, parts: 'sheet' | 'all' = 'sheet'): Promise<PdfPage> {
  const sheet = settingSheet(LAYOUT, { measureBy: 'walls', from: { xM: 10, yM: 0 } });
  const bytes = await settingPdf({
    ...{ layout: LAYOUT, whole: LAYOUT, sheet, tracks: reckonLayout(LAYOUT), arenaName: 'Long arena' },
    ...{ unit: 'ft', gaitWords: 'english', paper, parts, stageName: null, minutes: 9 },
    marks: { entrance: { xM: 10, yM: 0 }, homeFacingDeg: 90 },
    printed: printedSheet(LAYOUT, sheet, { unit: 'ft', stepM: 0.85 }),
    walker: { name: 'Małgorzata', stepM: 0.85 },
    tolerances: placingTolerance(LAYOUT),
  });
  return pdfPage(bytes, path.join(folder, `${paper}.pdf`), { page, dpi: DPI });
}

// ISO 216 and ANSI/ASME Y14.1 (from memory): A4 is 210 × 297 mm, Letter 8.5 × 11 in.
test.each([
  { paper: 'a4' as const, widthMm: 210, heightMm: 297 },
  { paper: 'letter' as const, widthMm: 215.9, heightMm: 279.4 },
])('on $paper the scale bar and two distances are right to half a millimetre', async ({ paper, widthMm, heightMm }) => {
  const page = await rendered(paper);
  expect(Math.abs(page.width / MM - widthMm)).toBeLessThan(0.2);
  expect(Math.abs(page.height / MM - heightMm)).toBeLessThan(0.2);
  const stated = /Drawn 1 : (\d+)/.exec(page.texts.join(' '));
  const mmPerM = 1000 / Number(stated?.[1]);
  // Who reads feet has a bar in feet: 30 ft of 0.3048 m (international yard and pound agreement, 1959).
  const barM = 30 * 0.3048;
  expect(page.texts.join(' ')).toContain('30 ft');
  const bar = runs(page, 'row', barM * mmPerM);
  expect(bar.length).toBeGreaterThan(0);
  for (const { from, to } of bar) expect(Math.abs((to - from) / MM - barM * mmPerM)).toBeLessThan(0.5);
  // The poles are strokes across the way, 3.5 m long: from one to the next is 6 m.
  const poles = lineMiddlesMm(runs(page, 'column', 3.5 * mmPerM));
  expect(poles.length).toBeGreaterThanOrEqual(2);
  expect(Math.abs(poles[1]! - poles[0]! - 6 * mmPerM)).toBeLessThan(0.5);
  // The long side of the arena.
  const walls = runs(page, 'row', 60 * mmPerM);
  expect(walls.length).toBeGreaterThan(0);
  for (const { from, to } of walls) expect(Math.abs((to - from) / MM - 60 * mmPerM)).toBeLessThan(0.5);
});

test('it names what is to be carried, measured and checked, in the shipped face', async () => {
  const page = await rendered('a4');
  const text = page.texts.join(' ').replace(/\s+/g, ' ');
  // Every piece is numbered twice: in the drawing, in its letters' size, and larger at its lines.
  const numbered = page.texts.flatMap((words, at) => (/^\d$/.test(words) ? [[words, page.sizesPt[at]!] as const] : []));
  const drawnPt = page.sizesPt[page.texts.indexOf('K')]!;
  expect(numbered.filter(([, sizePt]) => sizePt === drawnPt).map(([words]) => words)).toEqual(['1', '2', '3']);
  expect(numbered.filter(([, sizePt]) => sizePt > drawnPt).map(([words]) => words)).toEqual(['1', '2', '3']);
  // Where the alphabet changes a reader may see a gap.
  const closed = text.replaceAll(' ', '');
  expect(closed).toContain('Łąkalane');
  expect(closed).toContain('Małgorzata');
  expect(text).toContain('poles (1 more than the yard has)');
  expect(text).toMatch(/Both ends: along the \w long side, from \w/);
  expect(text).toMatch(/Check: /);
  expect(text).toContain('way in');
  expect(text).toContain('home');
  expect(text).toContain('Roan does not replace a qualified instructor');
  expect(page.pages).toBe(1);
  const pictures = await rendered('a4', 2, 'all');
  expect(pictures.pages).toBe(4);
  expect(pictures.texts.join(' ')).toContain('Step by step');
  const called = await rendered('a4', 3, 'all');
  expect(called.texts.join(' ')).toContain('Called out: lane');
  const card = (await rendered('a4', 4, 'all')).texts.join(' ');
  expect(card).toContain('Juniper');
  expect(card).toMatch(/1 to 2:/);
  const bytes = readFileSync(path.join(folder, 'a4.pdf'), 'latin1');
  expect(bytes).toContain('AtkinsonHyperlegible');
  expect(bytes).not.toMatch(/\/Subtype ?\/Image/);
});

test('poles have no fences whose ground a card could tell; where no horse has distances there is no card', async () => {
  const cards = async (layout: Layout) => {
    const wish = { layout, tracks: reckonLayout(layout), unit: 'm', gaitWords: 'english' } as const;
    const bytes = await distanceCardsPdf(wish, 'a4');
    return bytes && pdfPage(bytes, path.join(folder, 'cards.pdf')).words;
  };
  // Whole strides, common practice, no source: n strides want n + 1; a bounce is not among them.
  const ridden = { 'course-canter': { shortM: 3, normalM: 3.5, longM: 4 } };
  const own = { ...LAYOUT, horses: LAYOUT.horses.map(horse => ({ ...horse, strides: ridden })) };
  const [, ground] = (await cards(own))!.split(/Ground between low fences: .* longest /);
  expect(ground!.match(/\d: [\d.]+ m/g)).toEqual([
    '1: 7.00 m',
    '2: 10.50 m',
    '3: 14.00 m',
    '4: 17.50 m',
    '5: 21.00 m',
    '6: 24.50 m',
  ]);
  expect(ground).toContain('1: 7.00 m (6.00 m to 8.00 m)');
  const poles = { ...LAYOUT, items: LAYOUT.items.filter(({ kind }) => kind === 'pole') };
  const lane = { ...LAYOUT.tracks[0]!, through: [0, 1].map(i => ({ item: `p${i + 1}`, reversed: false })) };
  const onPoles = await cards({
    ...poles,
    tracks: [{ ...lane, legs: lane.kind === 'items' ? lane.legs.slice(1) : [] }],
  } as Layout);
  expect(onPoles).toContain('1 to 2:');
  expect(onPoles).not.toContain('Ground between');
  expect(await cards({ ...poles, tracks: [] })).toBeNull();
});

test('a text is set in runs of the alphabets that the face has', () => {
  expect(pdfRuns('Fen')).toEqual([{ alphabet: 'latin', text: 'Fen' }]);
  expect(pdfRuns('Łąk 6⅛')).toEqual([
    { alphabet: 'wide', text: 'Łą' },
    { alphabet: 'latin', text: 'k 6 1/8' },
  ]);
  expect(pdfRuns('馬')).toEqual([{ alphabet: 'latin', text: '?' }]);
});
