import {
  layoutCautions, placingTolerance, reckonLayout, settingSheet, settingWalk, carryPlan, carryRoute, walkedOffM, sheetLabels, type Layout } from '@/core';
import { printedSheet, roundedLengths } from '../src/files/printedSheet';
import { stepPicture } from '../src/files/stepPicture';
import { settingPdf } from '../src/files/pdf/settingPdf';
const time = <T>(name: string, f: () => T): T => { const t = performance.now(); const r = f(); console.log('  ', name, (performance.now() - t).toFixed(0), 'ms'); return r; };
function big(n: number): Layout {
  const wide = Math.ceil(Math.sqrt(n));
  const arena = { widthM: 10 + wide * 3, lengthM: 10 + wide * 4 };
  const items = Array.from({ length: n }, (_, i) => ({ kind: 'pole' as const, name: null, raisedM: 0, id: `p${i}`, at: { xM: 5 + (i % wide) * 3 + ((i * 7) % 5) * 0.1, yM: 5 + Math.floor(i / wide) * 4 + ((i * 3) % 4) * 0.1 }, headingRad: (i % 7) * 0.3, lengthM: 3, raised: { leftM: 0, rightM: 0 } }));
  return { name: `big ${n}`, arena, items, horses: [], tracks: [] } as unknown as Layout;
}
async function main() {
  for (const n of (process.env.NS ?? '50,200,500').split(',').map(Number)) {
    console.log(n);
    const layout = big(n);
    const from = { xM: layout.arena.widthM / 2, yM: 0 };
    const sheet = time('settingSheet', () => settingSheet(layout, { measureBy: 'line', from }));
    const reader = { unit: 'm' as const, stepM: 0.8 };
    const rounded = time('roundedLengths', () => roundedLengths(layout, sheet, reader));
    const printed = time('printedSheet', () => printedSheet(layout, sheet, reader, rounded, layout));
    const tracks = time('reckonLayout', () => reckonLayout(layout));
    time('layoutCautions', () => layoutCautions(layout, tracks));
    const tolerances = time('placingTolerance', () => placingTolerance(layout));
    time('settingWalk', () => settingWalk(layout, sheet, from));
    const { loads } = time('carryPlan', () => carryPlan([], layout.items, from));
    time('carryRoute', () => carryRoute(loads, from));
    time('walkedOff', () => walkedOffM(layout, sheet, 0.8, 0.05));
    const numberOf = sheetLabels(layout, layout);
    time('pictures', () => sheet.pieces.map((_, i) => stepPicture(layout, sheet, { set: sheet.pieces[i]!, lines: printed.pieces[i]!.lines, numberOf })));
    if (process.env.PDF) { const t = performance.now(); await settingPdf({ layout, whole: layout, sheet, tracks, printed, arenaName: 'x', marks: { northDeg: null, gridFromDeg: null, entrance: null, homeFacingDeg: null, fixed: [], spots: [] } as never, stageName: null, unit: 'm', walker: null, tolerances, minutes: 3, paper: 'a4', parts: 'sheet' }); console.log('   pdf', (performance.now() - t).toFixed(0)); }
  }
}
void main();
