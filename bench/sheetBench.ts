/** How a setting sheet and its paper grow with their pieces, reckoned as the worker beside the taps does. */
import { placingTolerance, reckonLayout, seededRandom, settingSheet, type Layout } from '@/core';
import { settingPdf } from '../src/files/pdf/settingPdf';
import { printedSheet, roundedLengths } from '../src/files/printedSheet';

export const PIECES = [50, 500, 2000] as const;
const ROUNDS = 3;

/** Poles anywhere, as thick on the sand whatever their number. */
function poles(many: number): Layout {
  const random = seededRandom(many);
  const [widthM, lengthM] = [10 + 3 * Math.sqrt(many), 10 + 4 * Math.sqrt(many)];
  const items = Array.from({ length: many }, (_, at) => ({
    ...{ kind: 'pole' as const, id: `pole ${at}`, name: null, lengthM: 3, raised: { leftM: 0, rightM: 0 } },
    at: { xM: 3 + random() * (widthM - 6), yM: 3 + random() * (lengthM - 6) },
    headingRad: random() * 2 * Math.PI,
  }));
  return { name: `${many} poles`, arena: { widthM, lengthM }, items, horses: [], tracks: [] } as unknown as Layout;
}

export type SheetTimes = { pieces: number; sheetMs: number; paperMs: number };

/** The median of a few, milliseconds; the largest once. */
export async function benchSheets(): Promise<SheetTimes[]> {
  const times: SheetTimes[] = [];
  await once(PIECES[0]);
  for (const pieces of PIECES) {
    const rounds: SheetTimes[] = [];
    for (let round = 0; round < (pieces > 1000 ? 1 : ROUNDS); round += 1) rounds.push(await once(pieces));
    const median = (of: 'sheetMs' | 'paperMs') => rounds.map(one => one[of]).sort((a, b) => a - b)[rounds.length >> 1]!;
    times.push({ pieces, sheetMs: median('sheetMs'), paperMs: median('paperMs') });
  }
  return times;
}

async function once(pieces: number): Promise<SheetTimes> {
  const layout = poles(pieces);
  const beganMs = performance.now();
  const sheet = settingSheet(layout, { measureBy: 'line', from: { xM: layout.arena.widthM / 2, yM: 0 } });
  const reader = { unit: 'm' as const, stepM: 0.8 };
  const printed = printedSheet(layout, sheet, reader, roundedLengths(layout, sheet, reader), layout);
  const sheetMs = performance.now() - beganMs;
  await settingPdf({
    ...{ layout, whole: layout, sheet, printed, tracks: reckonLayout(layout), tolerances: placingTolerance(layout) },
    ...{
      arenaName: 'Any',
      stageName: null,
      unit: 'm',
      gaitWords: 'english',
      walker: null,
      minutes: 0,
      paper: 'a4',
      parts: 'sheet',
    },
    marks: { northDeg: null, gridFromDeg: null, entrance: null, homeFacingDeg: null, fixed: [], spots: [] } as never,
  });
  return { pieces, sheetMs, paperMs: performance.now() - beganMs - sheetMs };
}
