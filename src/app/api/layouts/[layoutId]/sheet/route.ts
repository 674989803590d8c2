import { answering, problemAnswer } from '@/app/_server/answering';
import { download } from '@/app/_server/download';
import { measureByOf, settingSetup, sheetOf, walkersOf } from '@/app/_server/settingSetup';
import { yardContext } from '@/app/_server/yardContext';
import { placingTolerance, reckonLayout } from '@/core';
import { settingPdf } from '@/files/pdf/settingPdf';
import { printedSheet } from '@/files/printedSheet';
import { settingCsv } from '@/files/settingCsv';

/** The setting sheet as a file: ?as=pdf (with &paper=a4 or letter) or csv; &by=tapes, &steps=somebody's id. */
export const GET = answering(async (request: Request, { params }: { params: Promise<{ layoutId: string }> }) => {
  const { layoutId } = await params;
  const wish = new URL(request.url).searchParams;
  const as = wish.get('as');
  const paper = wish.get('paper') ?? 'a4';
  if (as !== 'pdf' && as !== 'csv') return problemAnswer(400, 'Say ?as=pdf or ?as=csv.');
  if (paper !== 'a4' && paper !== 'letter') return problemAnswer(400, 'The paper is a4 or letter.');
  const { db, yard, unit } = await yardContext();
  const setup = await settingSetup(db, yard.id, layoutId);
  if (!setup) return problemAnswer(404, 'This layout is not in the yard any more.');
  const { layout, yardLayout } = setup;
  if (layout.items.length === 0) return problemAnswer(422, 'There is nothing to set in this layout.');
  const sheet = sheetOf(setup, measureByOf(wish.get('by')));
  const walker = (await walkersOf(db, yard.id)).find(({ id }) => id === wish.get('steps')) ?? null;
  const printed = printedSheet(layout, sheet, { unit, stepM: walker?.stepLengthM ?? null });
  if (as === 'csv') return download(settingCsv(sheet, printed), layout.name, '.csv', 'text/csv');
  const bytes = await settingPdf({
    ...{ layout, printed, unit, paper, arenaName: yardLayout.arena.name },
    tracks: reckonLayout(layout),
    walker: walker && { name: walker.name, stepM: walker.stepLengthM },
    touchiest: placingTolerance(layout),
  });
  return download(new Uint8Array(bytes), layout.name, '.pdf', 'application/pdf');
});
