import { newItem, settingSheet, type Layout } from '@/core';
import { printedSheet } from '../printedSheet';
import { PdfPaper, PT_PER_MM } from './pdfPaper';
import { picturePages } from './picturePages';

const [MARGIN_MM, GAP_MM, HEAD_MM] = [12, 5, 6];

/** Eight poles along an arena, one with a name, and a fan round a peg; where each picture and its words came to lie, mm. */
async function drawn() {
  const poles = Array.from({ length: 8 }, (_, i) => ({
    ...newItem('pole', `p${i}`, { xM: 4 + (i % 2), yM: 4 + 6 * i }, Math.PI / 2),
    name: i === 2 ? 'blue' : null,
  }));
  const fan = [0.2, 0.6, 1.1].map(rad =>
    newItem('pole', `f${rad}`, { xM: 11 + 4 * Math.cos(rad), yM: 30 + 4 * Math.sin(rad) }, rad + Math.PI / 2),
  );
  const items = [...poles, ...fan];
  const layout = {
    ...{
      name: 'Eight and a fan',
      arena: { widthM: 20, lengthM: 60, letters: '20x60' },
      fall: null,
      school: 'whole-stride',
    },
    ...{ items, tracks: [], horses: [], kit: null },
  } as unknown as Layout;
  const sheet = settingSheet(layout, { measureBy: 'walls', from: { xM: 10, yM: 0 } });
  const paper = new PdfPaper('a4', 'Eight and a fan');
  let page = 1;
  const heads: { text: string; bold?: boolean; xMm: number; yMm: number }[] = [];
  const frames: { page: number; xMm: number; yMm: number; widthMm: number; endMm: number }[] = [];
  const { rect } = paper.doc;
  jest.spyOn(paper.doc, 'addPage').mockImplementation(() => ((page += 1), paper.doc));
  jest.spyOn(paper, 'words').mockImplementation((words, xMm, yMm) => (heads.push({ ...words, xMm, yMm }), 5));
  jest.spyOn(paper.doc, 'rect').mockImplementation((...box) => {
    const [x, y, wide, high] = box.map(one => one / PT_PER_MM) as [number, number, number, number];
    frames.push({ page, xMm: x - MARGIN_MM, yMm: y, widthMm: wide, endMm: y + high });
    return rect.apply(paper.doc, box);
  });
  picturePages(paper, {
    layout,
    whole: layout,
    sheet,
    printed: printedSheet(layout, sheet, { unit: 'm', stepM: null }),
  });
  return { heads: heads.slice(-frames.length), frames, yMm: paper.yMm, paper };
}

test('two pictures beside each other, rows below each other, each whole on its page', async () => {
  const { frames, paper, yMm } = await drawn();
  expect(frames).toHaveLength(12);
  const widthMm = (210 - 2 * MARGIN_MM - GAP_MM) / 2;
  frames.forEach((frame, index) => {
    expect(frame.widthMm).toBeCloseTo(widthMm, 6);
    expect(frame.xMm).toBeCloseTo(index % 2 === 0 ? 0 : widthMm + GAP_MM, 6);
    expect(frame.endMm).toBeLessThanOrEqual(paper.endMm);
    const beside = frames[index - (index % 2)]!;
    expect([frame.page, frame.yMm]).toEqual([beside.page, beside.yMm]);
    const above = frames.slice(0, index - (index % 2)).filter(({ page }) => page === frame.page);
    for (const { endMm } of above) expect(frame.yMm - HEAD_MM - GAP_MM).toBeGreaterThanOrEqual(endMm - 1e-6);
  });
  expect(new Set(frames.map(({ page }) => page)).size).toBeGreaterThan(1);
  expect(yMm).toBeCloseTo(frames[11]!.endMm + GAP_MM, 6);
});

test('over each picture stand its number and its name', async () => {
  const { frames, heads } = await drawn();
  heads.forEach(({ text, bold, xMm, yMm }, index) => {
    expect(text).toMatch(/^Peg 1$|^[A-J] {2}pole$|^blue {2}pole blue$/);
    expect([bold, xMm, yMm + HEAD_MM]).toEqual([
      true,
      ...[frames[index]!.xMm, frames[index]!.yMm].map(mm => expect.closeTo(mm, 6)),
    ]);
  });
  expect(new Set(heads.map(({ text }) => text)).size).toBe(12);
});
