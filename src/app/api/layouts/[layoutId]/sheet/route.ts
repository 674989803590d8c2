import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../../_server/access/rules';
import { download } from '@/app/_server/download';
import { effortOf, measureByOf, settingSetup, sheetOf, walkersOf } from '@/app/_server/settingSetup';
import { yardContext } from '@/app/_server/yardContext';
import { placingTolerance, reckonLayout } from '@/core';
import { distanceCardsPdf, numberCardsPdf } from '@/files/pdf/cardsPdf';
import { settingPdf } from '@/files/pdf/settingPdf';
import { printedSheet, roundedLengths } from '@/files/printedSheet';
import { settingCsv } from '@/files/settingCsv';

const KINDS = ['pdf', 'csv', 'numbers', 'cards'] as const;

/**
 * The setting sheet as a file: ?as=pdf (with &parts=all for pictures and cards too), csv, numbers or cards (to cut out); &paper=a4 or
 * letter, &by=tapes, &steps=somebody's id, &stage=a stage's key.
 */
export const GET = answering(
  may.help,
  async (request: Request, { params }: { params: Promise<{ layoutId: string }> }) => {
    const { layoutId } = await params;
    const wish = new URL(request.url).searchParams;
    const as = KINDS.find(kind => kind === wish.get('as'));
    const paper = wish.get('paper') ?? 'a4';
    if (!as) return problemAnswer(400, 'Say ?as=pdf, csv, numbers or cards.');
    if (paper !== 'a4' && paper !== 'letter') return problemAnswer(400, 'The paper is a4 or letter.');
    const { db, yard, unit } = await yardContext();
    const setup = await settingSetup(db, yard.id, layoutId, wish.get('stage'));
    if (!setup) return problemAnswer(404, 'This layout is not in the yard any more.');
    const { layout, whole, yardLayout } = setup;
    if (layout.items.length === 0) return problemAnswer(422, 'There is nothing to set in this layout.');
    const pdf = (bytes: Buffer, name: string) => download(new Uint8Array(bytes), name, '.pdf', 'application/pdf');
    if (as === 'numbers') return pdf(await numberCardsPdf(whole, paper), `${layout.name} numbers`);
    if (as === 'cards') {
      const cards = await distanceCardsPdf({ layout, tracks: reckonLayout(layout), unit }, paper);
      return cards ? pdf(cards, `${layout.name} distances`) : problemAnswer(422, 'No horse rides this layout yet.');
    }
    const sheet = sheetOf(setup, measureByOf(wish.get('by')));
    const walker = (await walkersOf(db, yard.id)).find(({ id }) => id === wish.get('steps')) ?? null;
    const reader = { unit, stepM: walker?.stepLengthM ?? null };
    const printed = printedSheet(layout, sheet, reader, roundedLengths(layout, sheet, reader), whole);
    if (as === 'csv') return download(settingCsv(sheet, printed), layout.name, '.csv', 'text/csv');
    const bytes = await settingPdf({
      ...{ layout, whole, sheet, printed, unit, paper, arenaName: yardLayout.arena.name },
      marks: yardLayout.arena.marks,
      stageName: setup.stages.find(({ key }) => key === setup.stage)?.name ?? null,
      tracks: reckonLayout(layout),
      walker: walker && { name: walker.name, stepM: walker.stepLengthM },
      tolerances: placingTolerance(layout),
      minutes: effortOf(setup, sheet).minutes,
      parts: wish.get('parts') === 'all' ? 'all' : 'sheet',
    });
    return pdf(bytes, layout.name);
  },
);
